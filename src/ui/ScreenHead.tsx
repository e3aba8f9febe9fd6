import { createContext, use, type ReactNode } from 'react';
import { View } from 'react-native';
import { Heading, Lead, Small } from './Text';
import { usePageHeading } from './usePageHeading';
import { useWide } from './useWide';

/** Whose hair the screens are about; the frame of the application gives it. */
export const PersonContext = createContext<ReactNode>(null);

export interface ScreenHeadProps {
  /** Stands above everything: rooms of one place. */
  readonly before?: ReactNode;
  /** A short line over the headline: where one is. On a phone the rooms say it. */
  readonly over?: string | undefined;
  /** The answer in words. */
  readonly headline: string;
  /** The reason under it. */
  readonly reason?: string | undefined;
  /** The screen is about one person's hair, who can be changed here. */
  readonly ofPerson?: boolean;
  /** Beside the headline: what most come here to do. */
  readonly actions?: ReactNode;
}

/** What every screen begins with: where one is, whose hair it is, the answer, the reason. */
export function ScreenHead({ before, over, headline, reason, ofPerson = false, actions }: ScreenHeadProps) {
  const wide = useWide();
  const person = use(PersonContext);
  const heading = usePageHeading(headline);
  const corner = ofPerson ? person : null;
  const isCornerAbove = before !== undefined && before !== null;
  const line = isCornerAbove && !wide ? undefined : over;
  return (
    <View className="-mb-1 wide:mb-0 wide:pb-4">
      {isCornerAbove ? (
        <View className="flex-row flex-wrap items-center justify-between gap-x-3 border-b border-line">
          {before}
          {corner}
        </View>
      ) : null}
      {line || (corner && !isCornerAbove) ? (
        <View className="-mb-2 min-h-target flex-row flex-wrap content-center items-center justify-between gap-x-3">
          <View className="flex-1">{line ? <Small>{line}</Small> : null}</View>
          {isCornerAbove ? null : corner}
        </View>
      ) : null}
      <View className={line ? '' : 'pt-3'}>
        <View className="flex-row flex-wrap items-center justify-between gap-2">
          <View className={actions ? '' : 'flex-1'}>
            <Heading level={1} live nativeRef={heading}>
              {headline}
            </Heading>
          </View>
          {actions ? <View className="max-w-full flex-row flex-wrap gap-2">{actions}</View> : null}
        </View>
        {reason ? <Lead>{reason}</Lead> : null}
      </View>
    </View>
  );
}
