import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { shelfOf, type ShelfItem } from '@/core/kitchen/batches';
import { ofKind, type SavedLine } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, Small } from '@/ui';
import { grams } from '../shared/amounts';
import { useLarder } from '../shared/useLarder';
import { useToday } from '../shared/useToday';

/** A recipe that goes into another one, and the batch of it that is used first. */
export interface ShelfPart {
  readonly recipeId: string;
  readonly name: string;
  readonly grams: number;
  readonly item: ShelfItem | undefined;
}

/** What of a batch comes ready from the shelf. */
export function useShelfParts(lines: readonly SavedLine[]): ShelfPart[] {
  const records = useAppSelector(selectLiveRecords);
  const larder = useLarder();
  const today = useToday();
  return useMemo(() => {
    const made = lines.filter((line) => line.made !== undefined && line.grams !== null);
    if (made.length === 0) return [];
    const shelf = shelfOf(ofKind(records, 'batch'), ofKind(records, 'batch-event'), larder, today).filter(
      ({ state }) => state === 'good' || state === 'use-first',
    );
    return made.flatMap(({ made: ref, grams: wanted }): ShelfPart[] => {
      if (!ref) return [];
      const name = larder.recipe(ref.recipeId, ref.version)?.name ?? t`a recipe that is no longer here`;
      const item = shelf.find(({ batch }) => batch.recipeId === ref.recipeId);
      return [{ recipeId: ref.recipeId, name, grams: wanted ?? 0, item }];
    });
  }, [lines, records, larder, today]);
}

/** Where each part that is a recipe itself comes from: a jar that is there, or one to make first. */
export function FromShelf({ parts }: { parts: readonly ShelfPart[] }) {
  return parts.map(({ recipeId, name, grams: wanted, item }) => {
    const there = item ? item.left * item.batch.portionGrams : 0;
    return (
      <View key={recipeId} className="gap-1" testID={`part-${recipeId}`}>
        <Small>
          {item
            ? t`${name} comes from the shelf: ${{ wanted: grams(wanted) }} of ${{ there: grams(there) }}, good until ${{ day: formatDay(item.useBy, 'EEEE d MMMM') }}.`
            : t`${name} is not on the shelf.`}
        </Small>
        {there < wanted ? (
          <View className="items-start">
            <Button
              label={t`Make ${name} first`}
              onPress={() => router.push({ pathname: '/recipes/make/[recipeId]', params: { recipeId } })}
            />
          </View>
        ) : null}
      </View>
    );
  });
}
