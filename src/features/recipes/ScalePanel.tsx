import { t } from '@lingui/core/macro';
import { Text, View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { rounded } from '@/core/base/measures';
import { Body, Button, Small } from '@/ui';
import type { Scale } from './useScale';

const statusWords = perLanguage(
  () =>
    ({
      off: t`No scale is connected. Weights can be typed.`,
      connecting: t`Looking for the scale …`,
      gone: t`The scale is gone. Type the weights, or connect it again: what was taken stays.`,
      live: '',
    }) as const,
);

/** The scale's own display, and what can be done with it. The scale that ships is a stand-in. */
export function ScalePanel({ scale, wanted }: { scale: Scale; wanted: number | null }) {
  const live = scale.status === 'live';
  return (
    <View className="gap-2 rounded-2xl border-2 border-line p-3" role="group" aria-label={t`Kitchen scale`}>
      {live ? (
        <View className="flex-row items-baseline gap-3">
          <Text className="font-head text-headline text-ink" testID="scale-display">
            {rounded(scale.grams ?? 0, 1)} g
          </Text>
          <Small live>{scale.settled === null ? t`moving` : t`settled`}</Small>
        </View>
      ) : (
        <Body>{statusWords()[scale.status]}</Body>
      )}
      <View className="flex-row flex-wrap gap-2">
        {live ? (
          <>
            <Button label={t`Tare`} onPress={scale.tare} testID="scale-tare" />
            {wanted === null ? null : (
              <Button
                label={t`Stand-in: pour ${{ wanted: rounded(wanted, 1) }} g`}
                onPress={() => scale.put(wanted)}
                testID="scale-pour"
              />
            )}
            <Button label={t`Stand-in: a little more`} onPress={() => scale.put(1)} />
            <Button label={t`Stand-in: unplug`} onPress={scale.vanish} testID="scale-unplug" />
          </>
        ) : (
          <Button
            label={scale.status === 'gone' ? t`Connect again` : t`Connect the scale`}
            disabled={scale.status === 'connecting'}
            onPress={scale.connect}
            testID="scale-connect"
          />
        )}
      </View>
    </View>
  );
}
