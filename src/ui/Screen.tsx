import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Heading, Lead, Small } from './Text';
import { useWide } from './useWide';

interface ScreenProps {
  /** Stands above everything: rooms of one place. */
  readonly before?: ReactNode;
  /** A short line over the headline: where one is. */
  readonly over?: string;
  /** The answer in words. */
  readonly headline: string;
  /** The reason under it. */
  readonly reason?: string;
  readonly children: ReactNode;
  /** On a wide screen, stands to the right of the main pane; on a phone, below it. */
  readonly side?: ReactNode;
  /** How much of a wide screen the main pane takes. */
  readonly sideShare?: 'third' | 'half';
}

/** The frame of every place: headline, reason, one main thing, and on a wide screen a second pane. */
export function Screen({ before, over, headline, reason, children, side, sideShare = 'third' }: ScreenProps) {
  const wide = useWide();
  const head = (
    <View className="gap-1 pb-4">
      {before ? <View className="pb-3">{before}</View> : null}
      {over ? <Small>{over}</Small> : null}
      <Heading level={1} live>
        {headline}
      </Heading>
      {reason ? <Lead>{reason}</Lead> : null}
    </View>
  );
  if (!wide) {
    return (
      <ScrollView className="flex-1" contentContainerClassName="w-full gap-4 p-5 pb-16">
        {head}
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
        className={sideShare === 'half' || !side ? 'flex-1' : 'flex-[2]'}
        contentContainerClassName={`w-full gap-4 p-8 pb-16 ${side ? '' : 'max-w-page'}`}
      >
        {head}
        {children}
      </ScrollView>
      {side ? (
        // It may hold nothing to tab to, and must scroll by keyboard all the same.
        <ScrollView
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
