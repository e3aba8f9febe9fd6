import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { comfortZoneOf } from '@/core/hair/state';
import { AS_WRITTEN, SCIENCE_PARTS, type Head, type Science, type SciencePart } from '@/core/records/shapes';
import { selectLarder, selectLarderContents, useAppSelector } from '@/store';
import { Body, Button, Heading, LabelledChoice, Screen, Small, Strong } from '@/ui';
import { askEstimator, type ChangedVerdict } from '@/workers';
import { PeopleTabs } from '../shared/PeopleTabs';
import { newStamp } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHead } from '../shared/useHead';
import { useSchool } from '../shared/useSchool';

const partWords = perLanguage(
  (): Readonly<Record<SciencePart, { readonly label: string; readonly help: string }>> => ({
    firm: { label: t`Protein it takes to be firm`, help: t`1.2 g in 100 g push half as much as they can.` },
    soft: { label: t`Moisture it takes to be soft`, help: t`8 g of glycerin, or its like, in 100 g.` },
    oil: { label: t`Oil it takes to be an oil treatment`, help: t`25 g in 100 g.` },
    water: { label: t`How much water itself softens`, help: t`100 g count like 2 g of glycerin.` },
    intact: {
      label: t`How much food protein acts`,
      help: t`Egg, dairy, beans, seeds: by what you count as protein.`,
    },
    tannin: { label: t`How much tea and henna firm`, help: t`1 g of tannin counts like 0.6 g of protein.` },
  }),
);

const factorOptions = perLanguage(() => [
  { value: '0.5', label: t`half` },
  { value: '1', label: t`as assumed` },
  { value: '2', label: t`twice` },
]);

/** Edges of the comfort zone to choose from, steps of firmness from springy (working assumption). */
const EDGES = [0.25, 0.5, 0.8] as const;
const edgeOptions = perLanguage(() => [
  { value: String(EDGES[0]), label: t`sooner` },
  { value: String(EDGES[1]), label: t`as assumed` },
  { value: String(EDGES[2]), label: t`later` },
]);

/** Where one person begins to find her hair too soft or too firm. */
function Comfort({ head }: { head: Head }) {
  const add = useAddRecords();
  const { low, high } = comfortZoneOf(head, 'firmness');
  const edges = { low: low ?? -EDGES[1], high: high ?? EDGES[1] };
  const set = (comfort: typeof edges) =>
    add([{ ...head, ...newStamp(), comfort }], t`The comfort zone of ${{ name: head.name }} is set.`);
  return (
    <>
      <LabelledChoice
        label={t`When ${{ name: head.name }}’s hair is too soft`}
        help={t`Read and planned by it from today on.`}
        options={edgeOptions()}
        value={String(-edges.low)}
        onChange={(value) => set({ ...edges, low: -Number(value) })}
        testID="comfort-low"
      />
      <LabelledChoice
        label={t`When it is too firm`}
        options={edgeOptions()}
        value={String(edges.high)}
        onChange={(value) => set({ ...edges, high: Number(value) })}
        testID="comfort-high"
      />
    </>
  );
}

/** Half loads, water, food protein: hers to change, with what that changes among her recipes. */
export function CountsScreen() {
  const { science } = useAppSelector(selectLarder);
  const head = useHead();
  const add = useAddRecords();
  const set = (factors: Science, said: string) => add([{ ...newStamp(), kind: 'science', factors }], said);
  const isUsual = SCIENCE_PARTS.every((part) => science[part] === AS_WRITTEN[part]);
  return (
    <Screen
      before={<PeopleTabs here="/people/settings" />}
      headline={t`What counts, and how much`}
      reason={t`Nobody has measured these on hair. Change one, and see which recipes change.`}
      side={<Changed />}
    >
      {head ? <Comfort head={head} /> : null}
      {SCIENCE_PARTS.map((part) => {
        const { label, help } = partWords()[part];
        return (
          <LabelledChoice
            key={part}
            label={label}
            help={help}
            options={factorOptions()}
            value={String(science[part])}
            onChange={(value) => set({ ...science, [part]: Number(value) }, t`${label}: it is set.`)}
            testID={`counts-${part}`}
          />
        );
      })}
      {isUsual ? null : (
        <View className="items-start">
          <Button
            label={t`Back to what’s assumed`}
            onPress={() => set(AS_WRITTEN, t`All as assumed again.`)}
            testID="counts-back"
          />
        </View>
      )}
    </Screen>
  );
}

/** What these choices change among her recipes; worked out off the page. */
function Changed() {
  const contents = useAppSelector(selectLarderContents);
  const school = useSchool();
  const [changed, setChanged] = useState<readonly ChangedVerdict[] | null>(null);
  useEffect(() => {
    let current = true;
    askEstimator('changedBy', { ...contents, school }).then(
      (found) => current && setChanged(found),
      () => current && setChanged(null),
    );
    return () => {
      current = false;
    };
  }, [contents, school]);
  return (
    <View className="gap-2 pt-2" testID="counts-changed">
      <Heading level={2}>{t`What it changes`}</Heading>
      {changed === null ? <Small>{t`Working it out.`}</Small> : null}
      {changed?.length === 0 ? <Body>{t`None of your recipes becomes another kind.`}</Body> : null}
      {changed?.map(({ recipeId, name, was, is }) => (
        <View key={recipeId}>
          <Strong>{name}</Strong>
          <Small>{t`${is} (was ${{ was: was.toLowerCase() }})`}</Small>
        </View>
      ))}
    </View>
  );
}
