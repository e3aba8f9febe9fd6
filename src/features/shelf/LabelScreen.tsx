import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { Text, View } from 'react-native';
import { batchLines, jarLabel, shelfOf } from '@/core/kitchen/batches';
import { ofKind } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, Screen, Small } from '@/ui';
import { NotFound } from '../shared/NotFound';
import { useLarder } from '../shared/useLarder';
import { useToday } from '../shared/useToday';

/** The label of one batch, as it is printed: everything else on the page stays off the paper. */
export function LabelScreen({ batchId }: { batchId: string }) {
  const records = useAppSelector(selectLiveRecords);
  const larder = useLarder();
  const today = useToday();
  const item = useMemo(
    () =>
      shelfOf(
        ofKind(records, 'batch').filter((batch) => batch.batchId === batchId),
        ofKind(records, 'batch-event'),
        larder,
        today,
      )[0],
    [records, larder, today, batchId],
  );
  if (!item) return <NotFound />;
  const recipe = larder.used(item.batch);
  const label = jarLabel(item, batchLines(item.batch, recipe, larder));
  return (
    <Screen
      over={t`Shelf`}
      headline={t`Label`}
      reason={t`One for each portion; freezers wash ink away, so cover it with tape.`}
    >
      <View
        nativeID="print-label"
        testID="print-label"
        className="w-field-2xl gap-1 rounded-xl border-2 border-ink bg-raised p-4"
      >
        <Text className="font-head text-title text-ink">{label.name}</Text>
        <Text className="font-strong text-lead text-ink">{label.notFood}</Text>
        <Text className="font-strong text-body text-ink">{label.useBy}</Text>
        <Text className="font-text text-body text-ink">
          {[label.made, label.keep, label.shake].filter(Boolean).join(' · ')}
        </Text>
        <Text className="font-text text-small text-ink">{label.contains}</Text>
        {label.allergens ? <Text className="font-strong text-small text-ink">{label.allergens}</Text> : null}
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Print`} onPress={() => window.print()} testID="print" />
        <Button label={t`Back`} onPress={() => router.navigate('/shelf')} />
      </View>
      <Small>{t`Never keep it in a jar that looks like food.`}</Small>
    </Screen>
  );
}
