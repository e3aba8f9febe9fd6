import { plural, t } from '@lingui/core/macro';
import { Link, router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { grouped } from '@/core/base/language';
import { classifyVersion, kindWords, verdictHeadline, type Verdict } from '@/core/recipe/classification';
import type { RecipeVersion } from '@/core/records/shapes';
import { selectRecipes, useAppSelector } from '@/store';
import { Body, Button, Field, Heading, Lead, Small, Strong, useWide, useWidth } from '@/ui';
import { PushBar } from '@/ui/charts/PushBar';
import { List } from '@/ui/List';
import { minutesText, recipeUseWords } from '../shared/beatWords';
import { BenchTabs } from '../shared/BenchTabs';
import { useHead } from '../shared/useHead';
import { useLarder } from '../shared/useLarder';
import { useRecipeSearch } from './useRecipeSearch';

/** From so many recipes on a search is worth its place. */
const SEARCH_FROM = 6;

/** All recipes with their verdicts; drawn as they come into sight, for there may be thousands. */
export function BenchScreen() {
  const recipes = useAppSelector(selectRecipes);
  const [words, setWords] = useState('');
  const { found, indexing } = useRecipeSearch(recipes, words);
  const wide = useWide();
  const { width, onLayout } = useWidth();
  const columns = wide ? 2 : 1;
  const column = Math.max(0, (width - (columns - 1) * 32) / columns);
  const headline =
    recipes.length === 0
      ? t`No recipe yet`
      : plural({ count: recipes.length }, { one: '# recipe', other: '# recipes' });
  const head = (
    <View className="gap-4 pb-4" onLayout={onLayout}>
      <BenchTabs here="/bench" />
      <View className="gap-1">
        <Heading level={1} live>
          {headline}
        </Heading>
        <Lead>{t`What each one does, from soft on the left to firm on the right.`}</Lead>
      </View>
      <View className="flex-row flex-wrap gap-3">
        <Button
          tone="main"
          label={t`Read a recipe`}
          onPress={() => router.push('/bench/new')}
          testID="new-recipe"
        />
        {recipes.length > 1 ? (
          <Button label={t`Compare two`} onPress={() => router.push('/bench/compare')} testID="compare" />
        ) : null}
      </View>
      {recipes.length >= SEARCH_FROM ? (
        <Field
          label={t`Search by name or ingredient`}
          value={words}
          onChange={setWords}
          testID="recipe-search"
        />
      ) : null}
      {words.trim() === '' ? null : (
        <Small live>
          {indexing
            ? t`Looking …`
            : t`${{ count: grouped(found.length) }} found for “${{ words: words.trim() }}”`}
        </Small>
      )}
    </View>
  );
  return (
    <List
      key={columns}
      className="flex-1"
      contentContainerClassName="w-full p-5 pb-16 wide:max-w-page"
      columnWrapperClassName={columns > 1 ? 'gap-8' : undefined}
      numColumns={columns}
      data={width > 0 ? found : []}
      keyExtractor={(recipe) => recipe.recipeId}
      initialNumToRender={8}
      windowSize={5}
      ListHeaderComponent={head}
      renderItem={({ item }) => <RecipeEntry recipe={item} width={column} />}
    />
  );
}

/** The headline, and what the school in force says where the headline is a disagreement. */
function inList(verdict: Verdict): string {
  const [headline, own] = [verdictHeadline(verdict), kindWords(verdict)];
  return headline === own ? own : t`${headline}; for you ${{ own: own.toLowerCase() }}`;
}

function RecipeEntry({ recipe, width }: { recipe: RecipeVersion; width: number }) {
  const school = useHead()?.school ?? 'my-hair';
  const larder = useLarder();
  const verdict = useMemo(() => classifyVersion(recipe, school, larder), [recipe, school, larder]);
  return (
    <View className="border-t border-line" style={{ width }}>
      <Link href={{ pathname: '/bench/[recipeId]', params: { recipeId: recipe.recipeId } }} className="py-3">
        <View className="w-full gap-1">
          <Strong className="text-lead">{recipe.name}</Strong>
          {verdict.ok ? (
            <>
              <Body>{inList(verdict.value)}</Body>
              <PushBar width={width} {...verdict.value.push} label={inList(verdict.value)} />
            </>
          ) : (
            <Body>{verdict.problems[0].message}</Body>
          )}
          <Small>
            {t`${{ use: recipeUseWords()[recipe.use] }} · ${{ minutes: minutesText(recipe.contactMinutes) }} on · version ${{ versionName: larder.versionName(recipe) }}`}
          </Small>
        </View>
      </Link>
    </View>
  );
}
