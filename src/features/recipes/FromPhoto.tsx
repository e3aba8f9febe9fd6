import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import type { ReadPrinted } from '@/core/vision/labels';
import { Button, Small } from '@/ui';
import { askVision } from '@/workers';
import { PictureSeen } from '../shared/PictureSeen';
import { useSeen } from '../shared/useSeen';

/** A printed recipe by its photo: what was read goes into the text, where it can be put right. */
export function FromPhoto({ onText }: { readonly onText: (text: string) => void }) {
  const { seen, choose } = useSeen<ReadPrinted>((file) => askVision('page', file));
  return (
    <PictureSeen
      {...{ seen, choose }}
      label={t`Read a photo of a recipe`}
      looking={t`Reading the letters. Some seconds.`}
      testID="page-photo"
    >
      {(_, { text, isReadable }) => (
        <View className="items-start gap-2">
          {isReadable ? (
            <>
              <Small>{text}</Small>
              <Button
                tone="main"
                label={t`Put it in the recipe`}
                onPress={() => onText(text)}
                testID="take-page"
              />
            </>
          ) : (
            <Small
              live
            >{t`Print can be read, and very clear handwriting; this can't. Type it instead.`}</Small>
          )}
        </View>
      )}
    </PictureSeen>
  );
}
