import { plural, t } from '@lingui/core/macro';
import { View } from 'react-native';
import { sheetTroubleWords } from '@/core/vision/words';
import { Button, Small, Strong } from '@/ui';
import { askVision, type SeenSheet } from '@/workers';
import { PictureSeen } from '../shared/PictureSeen';
import { useSeen } from '../shared/useSeen';

interface StrandPhotoProps {
  /** What is measured next: "at rest". */
  readonly what: string;
  readonly onLength: (millimetres: number) => void;
}

/** A strand beside a bank card, measured along its curve, for hands that cannot hold a ruler. */
export function StrandPhoto({ what, onLength }: StrandPhotoProps) {
  const { seen, choose } = useSeen<SeenSheet>((file) => askVision('hairs', file));
  return (
    <View className="gap-2">
      <PictureSeen
        {...{ seen, choose }}
        label={t`Measure it on a photo: ${what}`}
        looking={t`Following each hair. Some seconds.`}
        testID="strand-photo"
      >
        {(_, { hairs, troubles }) => {
          const longest = Math.max(0, ...hairs.map(({ lengthMm }) => lengthMm));
          if (hairs.length === 0 || troubles.length > 0)
            return (
              <Small live>
                {troubles.map((trouble) => sheetTroubleWords()[trouble]).join(' ') ||
                  t`No strand was found. Lay one on plain paper, a bank card flat beside it.`}
              </Small>
            );
          return (
            <View className="flex-row flex-wrap items-center gap-3">
              <Strong>{t`${{ mm: Math.round(longest) }} mm along its curve`}</Strong>
              {hairs.length > 1 ? (
                <Small>{t`The longest of ${plural(hairs.length, { one: '# hair', other: '# hairs' })}; lay one alone to be sure.`}</Small>
              ) : null}
              <Button
                tone="main"
                label={t`Take it: ${what}`}
                onPress={() => onLength(Math.round(longest))}
                testID="take-length"
              />
            </View>
          );
        }}
      </PictureSeen>
    </View>
  );
}
