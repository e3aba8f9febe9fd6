import { Link, router } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import { classifyLines, verdictHeadline } from '@/core/classification';
import { savedWeighedLines } from '@/core/hair';
import type { RecipeVersion } from '@/core/recipes';
import { selectRecipes, useAppSelector } from '@/store';
import { Body, Button, Screen, Small, Strong, useWide, useWidth } from '@/ui';
import { PushBar } from '@/ui/charts/PushBar';
import { minutesText } from '../shared/beatWords';
import { useHead } from '../shared/useHead';

/** All recipes with their verdicts. */
export function BenchScreen() {
  const recipes = useAppSelector(selectRecipes);
  const wide = useWide();
  const { width, onLayout } = useWidth();
  const columns = wide ? 2 : 1;
  const column = Math.max(0, (width - (columns - 1) * 32) / columns);
  return (
    <Screen
      over="Bench"
      headline={
        recipes.length === 0
          ? 'No recipe yet'
          : `${recipes.length} ${recipes.length === 1 ? 'recipe' : 'recipes'}`
      }
      reason="What each one does, from soft on the left to firm on the right."
    >
      <View className="items-start">
        <Button
          tone="main"
          label="Read a recipe"
          onPress={() => router.push('/bench/new')}
          testID="new-recipe"
        />
      </View>
      <View onLayout={onLayout} role="list" aria-label="Recipes" className="flex-row flex-wrap gap-x-8">
        {width > 0
          ? recipes.map((recipe) => <RecipeEntry key={recipe.recipeId} recipe={recipe} width={column} />)
          : null}
      </View>
    </Screen>
  );
}

const USE_WORDS = { mask: 'mask', 'pre-poo': 'pre-poo', rinse: 'rinse or mist' } as const;

function RecipeEntry({ recipe, width }: { recipe: RecipeVersion; width: number }) {
  const school = useHead()?.school ?? 'my-hair';
  const verdict = useMemo(() => classifyLines(savedWeighedLines(recipe), school), [recipe, school]);
  return (
    <View role="listitem" className="border-t border-line" style={{ width }}>
      <Link href={{ pathname: '/bench/[recipeId]', params: { recipeId: recipe.recipeId } }} className="py-3">
        <View className="w-full gap-1">
          <Strong className="text-lead">{recipe.name}</Strong>
          {verdict.ok ? (
            <>
              <Body>{verdictHeadline(verdict.value)}</Body>
              <PushBar width={width} {...verdict.value.push} label={verdictHeadline(verdict.value)} />
            </>
          ) : (
            <Body>{verdict.problems[0].message}</Body>
          )}
          <Small>
            {USE_WORDS[recipe.use]} · {minutesText(recipe.contactMinutes)} on · version {recipe.version}
          </Small>
        </View>
      </Link>
    </View>
  );
}
