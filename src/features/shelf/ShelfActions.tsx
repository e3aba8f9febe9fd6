import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { batchEvent, batchLines, movingForbidden, type ShelfItem } from '@/core/kitchen/batches';
import { judgeWeighed } from '@/core/recipe/safety';
import type { BatchEvent, Place, Head } from '@/core/records/shapes';
import { selectHeads, useAppSelector } from '@/store';
import { Body, Button, Choice, Problem, Small } from '@/ui';
import { PatchTests, useFirstUse } from '../shared/PatchTests';
import { placeWords } from '../shared/placeWords';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useKit } from '../shared/useKit';
import { useLarder } from '../shared/useLarder';
import { useToday } from '../shared/useToday';

const HALVES = [0.5, 1, 2] as const;
const reasons = perLanguage(
  () => [t`smell`, t`mould or specks`, t`past its day`, t`did not like it`] as const,
);

const moveWords = perLanguage((): Readonly<Record<Place, string>> => ({
  room: t`Move to room warmth`,
  fridge: t`Move to the fridge`,
  freezer: t`Freeze it`,
}));
const thawWords = perLanguage((): Readonly<Record<Place, string>> => ({
  ...moveWords(),
  room: t`Thaw at room warmth`,
  fridge: t`Thaw in the fridge`,
}));

/** What can be done with a batch: used on a head that may have it, moved, thrown out, made again. */
export function ShelfActions({ item }: { item: ShelfItem }) {
  const add = useAddRecords();
  const today = useToday();
  const { places } = useKit();
  const heads = useAppSelector(selectHeads);
  const [headId, setHeadId] = useState<string | null>(heads[0]?.headId ?? null);
  const [problem, setProblem] = useState<string | null>(null);
  const head = heads.find((each) => each.headId === headId);
  const { batch, name } = item;
  const toPlace = item.place === 'freezer' ? thawWords() : moveWords();
  const event = (part: Pick<BatchEvent, 'what'> & Partial<BatchEvent>, said: string) =>
    add([batchEvent(newStamp(), { batchId: batch.batchId, day: today, ...part })], said);
  const move = (place: Place) => {
    const why = movingForbidden(item, place);
    setProblem(why ?? null);
    if (!why) event({ what: 'moved', place }, t`${name} is now ${{ place: placeWords()[place] }}.`);
  };
  return (
    <View className="gap-3 border-l-4 border-line pl-3">
      {item.state === 'past' ? (
        <Problem>{t`Past its day: throw it out rather than use it.`}</Problem>
      ) : (
        <View className="gap-2">
          {heads.length > 1 ? (
            <Choice
              label={t`Used on`}
              options={heads.map((each) => ({ value: each.headId, label: each.name }))}
              value={headId}
              onChange={setHeadId}
            />
          ) : null}
          {head ? (
            <UseOn
              item={item}
              head={head}
              onUse={(portions) =>
                event(
                  { what: 'used', portions, headId },
                  t`${portions} of ${name} used on ${{ headName: head.name }}.`,
                )
              }
            />
          ) : (
            <Small>{t`Add a person first; then you can log what you use.`}</Small>
          )}
        </View>
      )}
      <View className="flex-row flex-wrap gap-2">
        {places
          .filter((place) => place !== item.place)
          .map((place) => (
            <Button
              key={place}
              label={toPlace[place]}
              hint={`${toPlace[place]}: ${name}`}
              onPress={() => move(place)}
            />
          ))}
      </View>
      {problem ? <Problem live>{problem}</Problem> : null}
      <Body>{t`Throw it out, because of:`}</Body>
      <View className="flex-row flex-wrap gap-2">
        {reasons().map((reason) => (
          <Button
            key={reason}
            label={reason}
            hint={t`Throw out ${name}: ${reason}`}
            onPress={() => event({ what: 'discarded', reason }, t`${name} is thrown out.`)}
          />
        ))}
      </View>
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Make it again`}
          hint={t`Make ${name} again`}
          onPress={() =>
            router.push({ pathname: '/recipes/make/[recipeId]', params: { recipeId: batch.recipeId } })
          }
        />
      </View>
    </View>
  );
}

interface UseOnProps {
  readonly item: ShelfItem;
  readonly head: Head;
  readonly onUse: (portions: number) => void;
}

/** The uses that are offered for one head; none while a caution stops it or its patch test is not clear. */
function UseOn({ item, head, onUse }: UseOnProps) {
  const { batch, name, left } = item;
  const larder = useLarder();
  const { use } = useFirstUse(batch.recipeId, head);
  const stops = useMemo(() => {
    const recipe = larder.used(batch);
    const lines = batchLines(batch, recipe, larder);
    const judged = judgeWeighed(lines, head, {
      science: larder.science,
      texts: recipe?.lines.map(({ text }) => text),
    });
    return judged.ok ? judged.value.stops : [];
  }, [batch, larder, head]);
  if (stops.length > 0)
    return (
      <View role="alert">
        {stops.map(({ id, text, act }) => (
          <Small key={id}>{t`Not for ${{ headName: head.name }}: ${text} ${act}`}</Small>
        ))}
      </View>
    );
  if (!use.may) return <PatchTests recipeId={batch.recipeId} recipeName={name} head={head} />;
  return (
    <View className="flex-row flex-wrap gap-2">
      {HALVES.filter((portions) => portions <= left).map((portions) => (
        <Button
          key={portions}
          label={portions === 0.5 ? t`Used half` : t`Used ${portions}`}
          hint={
            portions === 0.5
              ? t`Used half a portion of ${name}`
              : t`Used ${plural(portions, { one: '# portion', other: '# portions' })} of ${name}`
          }
          onPress={() => onUse(portions)}
        />
      ))}
    </View>
  );
}
