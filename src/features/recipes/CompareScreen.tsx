import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { rounded } from '@/core/base/measures';
import { keepingOf } from '@/core/kitchen/batches';
import { percentText } from '@/core/kitchen/making';
import { acidityWords, detailsOf, roleWords, verdictHeadline } from '@/core/recipe/classification';
import { compareLines, type Larder } from '@/core/recipe/larder';
import { judge } from '@/core/recipe/safety';
import type { School, RecipeVersion } from '@/core/records/shapes';
import { selectRecipes, useAppSelector } from '@/store';
import { Body, Button, Heading, Screen, Small, useWidth } from '@/ui';
import { PushBar } from '@/ui/charts/PushBar';
import { useLarder } from '../shared/useLarder';
import { useSchool } from '../shared/useSchool';
import { RecipePicker } from './RecipePicker';

interface CompareScreenProps {
  readonly startWith: string | undefined;
  /** Without one, the version before, where there is one. */
  readonly against: string | undefined;
}

/** Two recipes, or two versions of one, side by side. */
export function CompareScreen({ startWith, against }: CompareScreenProps) {
  const recipes = useAppSelector(selectRecipes);
  const larder = useLarder();
  const school = useSchool();
  const [first, second] = pairOf({ startWith, against }, recipes, larder);
  const [a, setA] = useState(first);
  const [b, setB] = useState(second);
  return (
    <Screen
      over={t`Recipes`}
      headline={
        a && b
          ? t`${{ title: title(a, larder) }} beside ${{ otherTitle: title(b, larder) }}`
          : t`Two side by side`
      }
      reason={t`What each does, and what is in one and not in the other.`}
    >
      {recipes.length === 0 ? (
        <View className="items-start gap-2">
          <Body>{t`There is no recipe yet to set beside another.`}</Body>
          <Button tone="main" label={t`New recipe`} onPress={() => router.navigate('/recipes/new')} />
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-6">
        <View className="min-w-column-xl flex-1">
          <RecipePicker label={t`the first`} chosen={a} onChoose={setA} testID="compare-a" />
        </View>
        <View className="min-w-column-xl flex-1">
          <RecipePicker label={t`the second`} chosen={b} onChoose={setB} testID="compare-b" />
        </View>
      </View>
      {a && b ? <Comparison a={a} b={b} larder={larder} school={school} /> : null}
      <View className="items-start">
        <Button label={t`Back`} onPress={() => router.navigate('/recipes')} />
      </View>
    </Screen>
  );
}

type Pair = readonly [RecipeVersion | undefined, RecipeVersion | undefined];

/** What stands beside each other at first: what was asked for, a version and the one before; where nothing was, two to begin with. */
function pairOf(
  { startWith, against }: CompareScreenProps,
  recipes: readonly RecipeVersion[],
  larder: Larder,
): Pair {
  if (startWith === undefined && against === undefined) return [recipes[0], recipes[1]];
  const start = recipes.find(({ recipeId }) => recipeId === startWith);
  const other = recipes.find(({ recipeId }) => recipeId === against);
  if (!start || other) return [start, other];
  const before = larder.twinsOf(start)[0] ?? larder.recipe(start.recipeId, start.version - 1);
  return before ? [before, start] : [start, undefined];
}

function title(version: RecipeVersion, larder: Larder): string {
  return t`${{ recipeName: version.name }}, version ${{ versionNumber: larder.versionName(version) }}`;
}

interface ComparisonProps {
  readonly a: RecipeVersion;
  readonly b: RecipeVersion;
  readonly larder: Larder;
  readonly school: School;
}

function Comparison({ a, b, larder, school }: ComparisonProps) {
  const { width, onLayout } = useWidth();
  const [one, two] = [a, b].map((recipe) => factsOf(recipe, larder, school));
  if (!one || !two)
    return <Body>{t`One of the two cannot be weighed, so there is nothing to compare.`}</Body>;
  const half = Math.max(0, (width - 24) / 2);
  const parts = compareLines(one.lines, two.lines);
  return (
    <View className="gap-5" onLayout={onLayout} testID="comparison">
      <View className="flex-row gap-6">
        {[one, two].map((facts, index) => (
          <View key={index} className="flex-1 gap-1">
            <Heading level={2}>{facts.headline}</Heading>
            {half > 0 ? <PushBar width={half} {...facts.verdict.push} label={facts.headline} /> : null}
          </View>
        ))}
      </View>
      <Rows
        label={t`What they do`}
        rows={one.rows.map(([name, value], index) => [name, value, two.rows[index]?.[1] ?? ''])}
      />
      <Rows
        label={t`What is in them, by weight`}
        rows={parts.map((part) => [
          part.name,
          part.a === 0 ? '–' : percentText(part.a),
          part.b === 0 ? '–' : percentText(part.b),
        ])}
      />
    </View>
  );
}

function Rows({ label, rows }: { label: string; rows: readonly (readonly [string, string, string])[] }) {
  return (
    <View className="gap-1">
      <Heading level={3}>{label}</Heading>
      <View role="table" aria-label={label} className="gap-1">
        {rows.map(([name, a, b]) => (
          <View key={name} role="row" className="border-t border-line pt-1">
            <View role="rowheader">
              <Small>{name}</Small>
            </View>
            <View className="flex-row gap-6">
              <View role="cell" className="flex-1">
                <Body className={a === b ? '' : 'font-strong'}>{a}</Body>
              </View>
              <View role="cell" className="flex-1">
                <Body className={a === b ? '' : 'font-strong'}>{b}</Body>
              </View>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}

function factsOf(recipe: RecipeVersion, larder: Larder, school: School) {
  const judged = judge(recipe.lines, undefined, larder, { school, strained: recipe.strained });
  if (!judged.ok) return undefined;
  const { lines, verdict } = judged.value;
  const { loads, strength, finishedGrams } = verdict;
  const { acidity, roles } = detailsOf(verdict, lines);
  const gramsPer100 = (value: number) => t`${{ value: rounded(value, 2) }} g in 100 g`;
  const rows: readonly (readonly [string, string])[] = [
    [t`Strength`, t`${strength} of 5`],
    [t`Acting protein`, gramsPer100(loads.protein)],
    [t`Tannin`, gramsPer100(loads.tannin)],
    [t`Sugars, humectants`, gramsPer100(loads.humectant)],
    [t`Mucilage`, gramsPer100(loads.mucilage)],
    [t`Oil`, gramsPer100(loads.penetratingOil + loads.sealingOil)],
    [t`Acid`, acidityWords(acidity) ?? t`none to speak of`],
    [
      t`Good as`,
      roles
        .filter(({ fits }) => fits === 'good')
        .map(({ role }) => roleWords()[role])
        .join(', ') || t`nothing in particular`,
    ],
    [t`To put on`, t`${{ finishedGrams: Math.round(finishedGrams) }} g`],
    [t`Keeps in the fridge`, daysText(keepingOf(lines, 'fridge').days)],
  ];
  return { lines, verdict, headline: verdictHeadline(verdict), rows };
}

function daysText(days: number): string {
  return days === 0
    ? t`not beyond the day`
    : days === 1
      ? t({ message: 'a day', context: 'how long it keeps' })
      : plural(days, { one: '# day', other: '# days' });
}
