import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { ScreenHead, type ScreenHeadProps } from './ScreenHead';
import { useKeptScroll } from './useKeptScroll';
import { useWide } from './useWide';

/** Runs on over the sheets of paper (global.css). */
const SCROLLS = { dataSet: { scrolls: '' } } as object;

interface ScreenProps extends ScreenHeadProps {
  readonly children: ReactNode;
  /** On a wide screen, stands to the right of the main pane; on a phone, below it. */
  readonly side?: ReactNode;
  /** How much of a wide screen the main pane takes. */
  readonly sideShare?: 'third' | 'half';
}

/** The frame of every place: headline, reason, one main thing, and on a wide screen a second pane. */
export function Screen({ children, side, sideShare = 'third', ...head }: ScreenProps) {
  const wide = useWide();
  const kept = useKeptScroll();
  if (!wide) {
    return (
      <ScrollView
        {...SCROLLS}
        ref={kept}
        className="flex-1"
        contentContainerClassName="w-full gap-4 px-5 pb-16 pt-1"
      >
        <ScreenHead {...head} />
        {children}
        {side}
      </ScrollView>
    );
  }
  // The main pane stands in one place of the tree whether there is a side or not: a side that comes while she types must
  // not take the field from under her.
  return (
    <View className="flex-1 flex-row">
      <ScrollView
        {...SCROLLS}
        ref={kept}
        className={sideShare === 'half' || !side ? 'flex-1' : 'flex-[2]'}
        contentContainerClassName={`w-full gap-4 p-8 pb-16 pt-6 ${side ? '' : 'max-w-page'}`}
      >
        <ScreenHead {...head} />
        {children}
      </ScrollView>
      {side ? (
        // It may hold nothing to tab to, and must scroll by keyboard all the same.
        <ScrollView
          {...SCROLLS}
          role="complementary"
          tabIndex={0}
          className="flex-1 border-l border-line bg-raised"
          contentContainerClassName="gap-4 p-8 pb-16"
        >
          {side}
        </ScrollView>
      ) : null}
    </View>
  );
}
