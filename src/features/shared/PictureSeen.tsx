import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Body, Button, Small } from '@/ui';
import type { ChosenPicture, useSeen } from './useSeen';

interface PictureSeenProps<Found> extends Pick<ReturnType<typeof useSeen<Found>>, 'seen' | 'choose'> {
  /** What the button says before there is a picture. */
  readonly label: string;
  /** What is said while it is looked at. */
  readonly looking: string;
  readonly testID: string;
  readonly children: (picture: ChosenPicture, found: Found) => ReactNode;
}

/** A picture to choose, and what was seen on it. */
export function PictureSeen<Found>({
  seen,
  choose,
  label,
  looking,
  testID,
  children,
}: PictureSeenProps<Found>) {
  return (
    <>
      <View className="items-start">
        <Button
          label={seen.step === 'none' ? label : t`Another photo`}
          hint={t`The picture stays on this device`}
          disabled={seen.step === 'looking'}
          onPress={() => void choose()}
          testID={testID}
        />
      </View>
      {seen.step === 'looking' ? (
        <View role="status">
          <Small>{looking}</Small>
        </View>
      ) : null}
      {seen.step === 'failed' ? <Body>{seen.text}</Body> : null}
      {seen.step === 'seen' ? children(seen.picture, seen.found) : null}
    </>
  );
}
