import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { shelfOf, type ShelfItem } from '@/core/kitchen/batches';
import { ofKind } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, ButtonBox, Heading, Screen, Small, Strong } from '@/ui';
import { grams } from '../shared/amounts';
import { placeWords } from '../shared/placeWords';
import { RecipeTabs } from '../shared/RecipeTabs';
import { useLarder } from '../shared/useLarder';
import { useToday } from '../shared/useToday';
import { Leftovers } from './Leftovers';
import { ShelfActions } from './ShelfActions';

/** Gone batches that are still shown; the rest stay in the records. */
const SHOWN_GONE = 5;
/** Batches drawn at once. */
const SHOWN = 40;

/** What was made and is still there: use first what spoils first. */
export function ShelfScreen() {
  const records = useAppSelector(selectLiveRecords);
  const larder = useLarder();
  const today = useToday();
  const [more, setMore] = useState(1);
  const items = useMemo(
    () => shelfOf(ofKind(records, 'batch'), ofKind(records, 'batch-event'), larder, today),
    [records, larder, today],
  );
  const there = items.filter(({ state }) => state !== 'gone');
  const gone = items.filter(({ state }) => state === 'gone').slice(-SHOWN_GONE);
  const shown = there.slice(0, more * SHOWN);
  return (
    <Screen before={<RecipeTabs here="/shelf" />} headline={headlineOf(there)} reason={reasonOf(there)}>
      <View role="list" aria-label={t`On the shelf`} className="gap-1">
        {shown.map((item) => (
          <ShelfRow key={item.batch.batchId} item={item} />
        ))}
      </View>
      {shown.length < there.length ? (
        <Button
          label={t`Show ${{ count: there.length - shown.length }} more`}
          onPress={() => setMore(more + 1)}
        />
      ) : null}
      <Leftovers />
      {gone.length > 0 ? (
        <View className="gap-1">
          <Heading level={2}>{t`Used up or thrown out`}</Heading>
          {gone.map((item) => (
            <Small key={item.batch.batchId}>
              {t`${{ itemName: item.name }}, made ${{ madeOn: formatDay(item.batch.madeOn, 'd MMM') }}`}
            </Small>
          ))}
        </View>
      ) : null}
    </Screen>
  );
}

function headlineOf(there: readonly ShelfItem[]): string {
  const [past, ...others] = there.filter(({ state }) => state === 'past');
  const first = there.find(({ state }) => state === 'use-first');
  if (past && others.length > 0)
    return t`Throw out ${{ name: past.name }} and ${{ others: others.length }} more`;
  if (past) return t`Throw out ${{ name: past.name }}`;
  if (first) return t`Use ${{ firstName: first.name }} first`;
  return there.length === 0 ? t`The shelf is empty` : t`Everything keeps`;
}

function reasonOf(there: readonly ShelfItem[]): string {
  if (there.length === 0) return t`Make a recipe, and its portions stand here with their use-by day.`;
  const portions = there.reduce((total, { left }) => total + left, 0);
  return t`${plural({ count: there.length }, { one: '# batch', other: '# batches' })}, ${plural(portions, { one: '# portion', other: '# portions' })}.`;
}

function ShelfRow({ item }: { item: ShelfItem }) {
  const [open, setOpen] = useState(false);
  const { batch, name, left, place, state } = item;
  const portions = t`${left} of ${plural({ portions: batch.portions }, { one: '# portion', other: '# portions' })} of ${{ grams: grams(batch.portionGrams) }}`;
  return (
    <View
      role="listitem"
      className={`gap-1 border-t py-1 ${state === 'good' ? 'border-line' : 'border-rule'}`}
      testID={`batch-${batch.batchId}`}
    >
      <ButtonBox expanded={open} onPress={() => setOpen(!open)} testID={`open-${batch.batchId}`}>
        <View className="flex-row justify-between gap-3">
          <Strong className="flex-1 text-lead">{name}</Strong>
          <Strong className={state === 'past' ? 'text-danger' : ''}>{whenText(item)}</Strong>
        </View>
        <Small>
          {item.thawed
            ? t`${portions} ${{ place: placeWords()[place] }}, thawed`
            : `${portions} ${placeWords()[place]}`}
        </Small>
      </ButtonBox>
      {open ? (
        <>
          <Small>
            {[
              t`made ${{ madeOn: formatDay(batch.madeOn, 'd MMM') }}`,
              ...(batch.waterAddedGrams > 0
                ? [t`${{ grams: grams(batch.waterAddedGrams) }} water added`]
                : []),
            ].join(' · ')}
          </Small>
          <Small>{t`Limited by ${{ limitedBy: item.limitedBy }}. ${{ why: item.why }}`}</Small>
          <Small>{item.shakeFirst ? t`Shake it first. ${{ signs: item.signs }}` : item.signs}</Small>
          {place === 'freezer' && left <= 1 && left > 0 ? (
            <Small>{t`The last of it: thaw it in the fridge the evening before, and use it that day.`}</Small>
          ) : null}
          <View className="items-start">
            <Button
              tone="quiet"
              label={t`Label`}
              hint={t`Label of ${name}`}
              onPress={() =>
                router.push({ pathname: '/shelf/[batchId]', params: { batchId: batch.batchId } })
              }
            />
          </View>
        </>
      ) : null}
      {open ? <ShelfActions item={item} /> : null}
    </View>
  );
}

function whenText({ daysLeft, useBy, state }: ShelfItem): string {
  if (state === 'past') return t`past since ${{ useBy: formatDay(useBy, 'd MMM') }}`;
  if (daysLeft === 0) return t`last day today`;
  if (daysLeft === 1) return t`until tomorrow`;
  return t`until ${{ useBy: formatDay(useBy, 'd MMM') }}`;
}
