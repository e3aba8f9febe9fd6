import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { sum } from '@/core/base/measures';
import { lineInView } from '@/core/kitchen/making';
import type { Larder } from '@/core/recipe/larder';
import { judge } from '@/core/recipe/safety';
import { ofKind, type RecipeVersion, type SavedLine, type StoredRecord } from '@/core/records/shapes';
import {
  allDone,
  makingStarted,
  selectHeads,
  selectLiveRecords,
  selectMaking,
  selectPantry,
  selectRecipes,
  useAppDispatch,
  useAppSelector,
  type MakingRun,
} from '@/store';
import { Body, Button, Heading, Problem, Screen, Small, Strong } from '@/ui';
import { grams } from '../shared/amounts';
import { NotFound } from '../shared/NotFound';
import { PatchTests } from '../shared/PatchTests';
import { usedGramsByHead } from '../shared/usedGrams';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import { useSchool } from '../shared/useSchool';
import { AmountPane } from './AmountPane';
import { CostPane } from './CostPane';
import { FromShelf, useShelfParts } from './FromShelf';
import { GritLine } from './GritLine';
import { MakeDone } from './MakeDone';
import { MakeList } from './MakeList';
import { makingOf, type Making } from './makingOf';
import { MeasureChoice, MethodList, MethodSums } from './MethodList';
import { MissingLines } from './MissingLines';
import { StepsEditor } from './StepsEditor';
import { useAmount } from './useAmount';
import { useMethod, useWarnings } from './useMethod';
import { WaysPane } from './WaysPane';

/** Makes a batch: how much, what is missing, the steps, and onto the shelf. */
export function MakeScreen({ recipeId }: { recipeId: string }) {
  const recipe = useAppSelector(selectRecipes).find((known) => known.recipeId === recipeId);
  return recipe ? <MakeRecipe recipe={recipe} /> : <NotFound />;
}

function MakeRecipe({ recipe }: { recipe: RecipeVersion }) {
  const larder = useLarder();
  const run = useAppSelector(selectMaking);
  const pantry = useAppSelector(selectPantry);
  const school = useSchool();
  const mine = run?.recipeId === recipe.recipeId ? run : null;
  const version = mine ? (larder.recipe(mine.recipeId, mine.version, mine.recordId) ?? recipe) : recipe;
  const running = useMemo(
    () => (mine ? makingOf(version, mine.factor, larder, pantry, school) : null),
    [mine, version, larder, pantry, school],
  );
  return mine && running?.ok ? (
    <Running making={running.value} run={mine} />
  ) : (
    <HowMuch recipe={recipe} otherRun={run !== null && !mine} />
  );
}

/** A batch that is being made: its steps, and what came out once they are done. */
function Running({ making, run }: { making: Making; run: MakingRun }) {
  const larder = useLarder();
  const records = useAppSelector(selectLiveRecords);
  const method = useMethod(making, making.steps);
  const warnings = useWarnings(making);
  const isMade = method.steps.every((_, index) => run.done.includes(String(index)));
  const { recipe } = making;
  const list = <MakeList making={making} method={method} warnings={warnings} run={run} />;
  return (
    <Screen
      over={t`${{ recipeName: recipe.name }} · version ${{ versionNumber: larder.versionName(recipe) }}`}
      headline={isMade ? t`How much came out?` : t`Making ${{ grams: grams(making.finishedGrams) }}`}
      reason={isMade ? '' : t`Tap a step when it is done.`}
      side={isMade ? list : undefined}
    >
      {isMade ? <MakeDone making={making} run={run} lastWater={lastWaterOf(records, making)} /> : list}
    </Screen>
  );
}

/** Water beside the recipe in its newest batch, for as much as is made now; null where it was never made. */
function lastWaterOf(records: readonly StoredRecord[], { recipe, weighed }: Making): number | null {
  const last = ofKind(records, 'batch').findLast(({ recipeId }) => recipeId === recipe.recipeId);
  if (!last) return null;
  const wentIn = sum(last.weighed.map((grams) => grams ?? 0));
  return wentIn > 0 ? (last.waterAddedGrams * sum(weighed.map(({ grams }) => grams))) / wentIn : null;
}

const NO_LINES: readonly SavedLine[] = [];

/** The amount, the lines in it, what it costs, and the way to begin. */
function HowMuch({ recipe, otherRun }: { recipe: RecipeVersion; otherRun: boolean }) {
  const larder = useLarder();
  const pantry = useAppSelector(selectPantry);
  const heads = useAppSelector(selectHeads);
  const records = useAppSelector(selectLiveRecords);
  const dispatch = useAppDispatch();
  const head = useHead();
  const school = useSchool();
  const written = useMemo(
    () => makingOf(recipe, 1, larder, pantry, school),
    [recipe, larder, pantry, school],
  );
  const isOil = written.ok && written.value.verdict.kind === 'oil';
  const used = useMemo(() => usedGramsByHead(records, larder, isOil), [records, larder, isOil]);
  const facts = written.ok
    ? {
        recipe,
        finishedGrams: written.value.finishedGrams,
        density: written.value.density,
        isOil,
        heads,
        usedGrams: (headId: string) => used.get(headId) ?? [],
      }
    : null;
  const { draft, change, amounts, factor } = useAmount(facts, head?.headId);
  const scale = factor.ok ? factor.value : 1;
  const making = useMemo(
    () => (scale === 1 ? written : makingOf(recipe, scale, larder, pantry, school)),
    [recipe, scale, written, larder, pantry, school],
  );
  const shelfParts = useShelfParts(making.ok ? making.value.lines : NO_LINES);
  if (!making.ok)
    return (
      <Screen headline={recipe.name} reason={making.problems[0].message}>
        {null}
      </Screen>
    );
  const chosen = draft.kind === 'heads' ? amounts.map((amount) => amount.head) : head ? [head] : [];
  const stops = chosen.flatMap((each) => {
    const judged = judge(recipe.lines, each, larder, { strained: recipe.strained });
    return judged.ok ? judged.value.stops.map((caution) => ({ head: each, caution })) : [];
  });
  const begin = (isMade: boolean) => {
    dispatch(
      makingStarted({
        recipeId: recipe.recipeId,
        version: recipe.version,
        recordId: recipe.id,
        factor: scale,
        startedAt: new Date().toISOString(),
      }),
    );
    if (isMade) dispatch(allDone({ steps: making.value.steps.length }));
  };
  return (
    <Screen
      over={t`${{ recipeName: recipe.name }} · version ${{ versionName: larder.versionName(recipe) }}`}
      headline={t`Make ${{ grams: grams(making.value.finishedGrams) }}`}
      reason={t`${{ headline: making.value.headline }}.`}
      side={
        <CostPane
          cost={making.value.cost}
          making={making.value}
          amounts={amounts}
          pantry={pantry}
          larder={larder}
        />
      }
    >
      <AmountPane
        draft={draft}
        change={change}
        heads={heads}
        amounts={amounts}
        factor={factor}
        finishedGrams={written.ok ? written.value.finishedGrams : 0}
        lineNames={namesOf(recipe, larder)}
      />
      {stops.map(({ head: each, caution }) => (
        <View
          key={`${each.headId}-${caution.id}`}
          role="alert"
          className="rounded-2xl border-2 border-danger p-3"
        >
          <Strong>
            {each.name}: {caution.text}
          </Strong>
          <Body>{caution.act}</Body>
        </View>
      ))}
      {chosen.map((each) => (
        <PatchTests key={each.headId} recipeId={recipe.recipeId} recipeName={recipe.name} head={each} />
      ))}
      {otherRun ? <Small>{t`Another making is under way; beginning this one ends it.`}</Small> : null}
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={t`Start making`}
          disabled={!factor.ok || stops.length > 0}
          onPress={() => begin(false)}
          testID="begin-making"
        />
        <Button
          label={t`I made it my way`}
          hint={t`I made it my way, today or before`}
          disabled={!factor.ok || stops.length > 0}
          onPress={() => begin(true)}
          testID="made-it"
        />
        <Button label={t`Back`} onPress={() => router.navigate('/recipes')} />
      </View>
      {stops.length > 0 ? <Problem>{t`It shouldn't be made for this person as it stands.`}</Problem> : null}
      <FromShelf parts={shelfParts} />
      <Way making={making.value} />
      <MissingLines making={making.value} larder={larder} pantry={pantry} school={school} />
    </Screen>
  );
}

/** How it will be made, and how likely bits stay, before anything is mixed. */
function Way({ making }: { making: Making }) {
  const [changes, setChanges] = useState(false);
  const { recipe, steps } = making;
  const method = useMethod(making, steps);
  const warnings = useWarnings(making);
  if (changes) return <StepsEditor recipe={recipe} steps={steps} onDone={() => setChanges(false)} />;
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Your way of making it`}</Heading>
      <MethodSums method={method} />
      <MeasureChoice />
      <MethodList method={method} warnings={warnings} />
      <GritLine making={making} />
      <WaysPane making={making} />
      <View className="items-start">
        <Button
          tone="quiet"
          label={t`Change the steps`}
          onPress={() => setChanges(true)}
          testID="change-steps"
        />
      </View>
    </View>
  );
}

function namesOf(recipe: RecipeVersion, larder: Larder) {
  return recipe.lines.flatMap((line, index) =>
    line.grams === null ? [] : [{ index, name: lineInView(line, larder).name }],
  );
}
