import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { sum } from '@/core/base/measures';
import { errorText, lineInView } from '@/core/kitchen/making';
import { againstJar, inStock, type Cost } from '@/core/kitchen/pantry';
import type { Larder } from '@/core/recipe/larder';
import { judge } from '@/core/recipe/safety';
import {
  ofKind,
  type Ingredient,
  type PantryItem,
  type RecipeVersion,
  type StoredRecord,
} from '@/core/records/shapes';
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
import { grams, money } from '../shared/amounts';
import { NotFound } from '../shared/NotFound';
import { PatchTests } from '../shared/PatchTests';
import { usedGramsByHead } from '../shared/usedGrams';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import { AmountPane } from './AmountPane';
import { FromShelf, useShelfParts } from './FromShelf';
import { GritLine } from './GritLine';
import { MakeDone } from './MakeDone';
import { MakeList } from './MakeList';
import { makingOf, type Making } from './makingOf';
import { MeasureChoice, MethodList, MethodSums } from './MethodList';
import { StepsEditor } from './StepsEditor';
import { Substitutes } from './Substitutes';
import { useAmount, type HeadAmount } from './useAmount';
import { useMethod, useWarnings } from './useMethod';

/** Makes a batch: how much, what is missing, the steps, and onto the shelf. */
export function MakeScreen({ recipeId }: { recipeId: string }) {
  const recipe = useAppSelector(selectRecipes).find((known) => known.recipeId === recipeId);
  return recipe ? <MakeRecipe recipe={recipe} /> : <NotFound />;
}

function MakeRecipe({ recipe }: { recipe: RecipeVersion }) {
  const larder = useLarder();
  const run = useAppSelector(selectMaking);
  const pantry = useAppSelector(selectPantry);
  const school = useHead()?.school ?? 'my-hair';
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
      side={isMade ? list : <MakeDone making={making} run={run} lastWater={lastWaterOf(records, making)} />}
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

/** The amount, the lines in it, what it costs, and the way to begin. */
function HowMuch({ recipe, otherRun }: { recipe: RecipeVersion; otherRun: boolean }) {
  const larder = useLarder();
  const pantry = useAppSelector(selectPantry);
  const heads = useAppSelector(selectHeads);
  const records = useAppSelector(selectLiveRecords);
  const dispatch = useAppDispatch();
  const head = useHead();
  const school = head?.school ?? 'my-hair';
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
    () => makingOf(recipe, scale, larder, pantry, school),
    [recipe, scale, larder, pantry, school],
  );
  const shelfParts = useShelfParts(making.ok ? making.value.lines : []);
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
    if (isMade) dispatch(allDone(making.value.steps.map((_, index) => String(index))));
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
        lineNames={namesOf(recipe, larder)}
      />
      <FromShelf parts={shelfParts} />
      <Way making={making.value} />
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
        <Button label={t`Back`} onPress={() => router.navigate('/bench')} />
      </View>
      <LinesToMeasure making={making.value} larder={larder} pantry={pantry} school={school} />
      {stops.length > 0 ? <Problem>{t`It is not to be made for this head as it stands.`}</Problem> : null}
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

interface LinesProps {
  readonly making: Making;
  readonly larder: Larder;
  readonly pantry: ReadonlyMap<string, PantryItem>;
  readonly school: Parameters<typeof makingOf>[4];
}

/** Every line by scale and by spoon, with the error of each, and a way out when it is missing. */
function LinesToMeasure({ making, larder, pantry, school }: LinesProps) {
  const [missing, setMissing] = useState<number | null>(null);
  return (
    <View role="list" aria-label={t`To measure out`} className="gap-1" testID="to-measure">
      <Heading level={2}>{t`What goes in`}</Heading>
      {making.lines.map((line, index) => {
        if (line.grams === null) return null;
        const { name, words, grams: weight, spoons } = lineInView(line, larder);
        const error = errorText(spoons.error);
        const item = line.ingredientId === null ? undefined : pantry.get(line.ingredientId);
        const short = item && item.gramsLeft !== null && item.gramsLeft < line.grams;
        return (
          <View key={index} role="listitem" className="gap-1 border-t border-line py-2">
            <View className="flex-row justify-between gap-3">
              <Strong className="flex-1">{words}</Strong>
              <Strong>{weight.text}</Strong>
            </View>
            <View className="flex-row flex-wrap items-center justify-between gap-x-3">
              <Small>
                {spoons.text}
                {error ? ` (${error})` : ''}
                {short
                  ? t` · only ${{ grams: grams(item.gramsLeft ?? 0) }} in the pantry`
                  : inStock(item)
                    ? t` · in the pantry`
                    : ''}
              </Small>
              <Button
                tone="quiet"
                label={missing === index ? t`Close` : t`Instead …`}
                hint={t`What could take the place of ${name}?`}
                expanded={missing === index}
                onPress={() => setMissing(missing === index ? null : index)}
              />
            </View>
            {missing === index ? (
              <Substitutes
                recipe={making.recipe}
                factor={making.factor}
                lines={making.weighed}
                replaced={index}
                verdict={making.verdict}
                school={school}
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

/** Water, g in 100 g, from which a conditioner is a jar to use and not a raw material. */
const FINISHED_WATER = 40;

function isFinished(ingredient: Ingredient | undefined): boolean {
  return (
    ingredient !== undefined &&
    ingredient.roles.includes('conditioner') &&
    ingredient.composition.water > FINISHED_WATER
  );
}

interface CostPaneProps {
  readonly cost: Cost;
  readonly making: Making;
  /** What one use takes on each chosen head. */
  readonly amounts: readonly HeadAmount[];
  readonly pantry: ReadonlyMap<string, PantryItem>;
  readonly larder: Larder;
}

/** What the batch costs, a use of it, and the same weight from a bought jar. */
function CostPane({ cost, making, amounts, pantry, larder }: CostPaneProps) {
  const jars = [...pantry.values()].filter(
    ({ ingredientId, pack }) => pack && isFinished(larder.ingredient(ingredientId)),
  );
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Cost`}</Heading>
      {cost.parts.length === 0 ? (
        <Small>{t`No ingredient has a price yet. Prices are kept in the Pantry.`}</Small>
      ) : (
        <>
          <Body>{t`${{ money: money(cost.total) }} for the batch, in the currency of your prices`}</Body>
          {(making.finishedGrams > 0 ? amounts : []).map(({ head, grams: used }) => (
            <Body key={head.headId}>
              {t`${{ money: money((cost.total * used) / making.finishedGrams) }} a use on ${{ headName: head.name }}`}
            </Body>
          ))}
          {cost.parts.map(({ name, price }) => (
            <View key={name} className="flex-row justify-between gap-3">
              <Small>{name}</Small>
              <Small>{money(price)}</Small>
            </View>
          ))}
        </>
      )}
      {cost.unpriced.length > 0 ? (
        <Small>{t`Without a price: ${{ unpriced: cost.unpriced.join(', ') }}.`}</Small>
      ) : null}
      {jars.map((jar) => {
        const compared = againstJar(cost, making.finishedGrams, jar);
        return compared && cost.parts.length > 0 ? (
          <Small key={jar.ingredientId}>
            {t`100 g cost ${{ money: money(compared.perHundred) }}; of `}
            {larder.ingredient(jar.ingredientId)?.name} {money(compared.jarPerHundred)}.
          </Small>
        ) : null;
      })}
    </View>
  );
}
