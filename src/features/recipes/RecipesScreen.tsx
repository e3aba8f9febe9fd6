import { plural, t } from '@lingui/core/macro';
import { Link, router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { grouped } from '@/core/base/language';
import { classifyVersion, kindWords, verdictHeadline, type Verdict } from '@/core/recipe/classification';
import type { RecipeVersion } from '@/core/records/shapes';
import { selectRecipes, useAppSelector } from '@/store';
import { Body, Button, Field, ScreenHead, Small, Strong, useWide, useWidth } from '@/ui';
import { PushBar } from '@/ui/charts/PushBar';
import { List } from '@/ui/List';
import { RecipeTabs } from '../shared/RecipeTabs';
import { SearchButton } from '../shared/SearchButton';
import { minutesText, recipeUseWords } from '../shared/treatmentWords';
import { useLarder } from '../shared/useLarder';
import { useSchool } from '../shared/useSchool';
import { AxisEnds } from './Ledger';
import { useRecipeSearch } from './useRecipeSearch';

/** From so many recipes on a search is worth its place. */
const SEARCH_FROM = 6;

/** All recipes with their verdicts; drawn as they come into sight, for there may be thousands. */
export function RecipesScreen() {
  const recipes = useAppSelector(selectRecipes);
  const [words, setWords] = useState('');
  const [isSearching, setIsSearching] = useState(false);
  const { found, indexing } = useRecipeSearch(recipes, words);
  const wide = useWide();
  const { width, onLayout } = useWidth();
  const columns = wide ? 2 : 1;
  const column = Math.max(0, (width - (columns - 1) * 32) / columns);
  const headline =
    recipes.length === 0
      ? t`No recipe yet`
      : plural({ count: recipes.length }, { one: '# recipe', other: '# recipes' });
  const canSearch = recipes.length >= SEARCH_FROM;
  const head = (
    <View className="gap-2 pb-1 wide:gap-4 wide:pb-4" onLayout={onLayout}>
      <ScreenHead
        before={<RecipeTabs here="/recipes" />}
        ofPerson
        headline={headline}
        actions={
          <>
            {canSearch && !wide ? (
              <SearchButton isOpen={isSearching} onPress={() => setIsSearching(!isSearching)} />
            ) : null}
            <Button label={t`New recipe`} onPress={() => router.push('/recipes/new')} testID="new-recipe" />
          </>
        }
      />
      {canSearch && (wide || isSearching) ? (
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
      {recipes.length > 0 ? (
        <View style={{ width: column }}>
          <AxisEnds />
        </View>
      ) : null}
    </View>
  );
  return (
    <List
      key={columns}
      className="flex-1"
      contentContainerClassName="w-full px-5 pb-16 pt-1 wide:max-w-page wide:p-8"
      columnWrapperClassName={columns > 1 ? 'gap-8' : undefined}
      numColumns={columns}
      data={width > 0 ? found : []}
      keyExtractor={(recipe) => recipe.recipeId}
      initialNumToRender={8}
      windowSize={5}
      ListHeaderComponent={head}
      ListFooterComponent={
        recipes.length > 1 ? (
          <View className="items-start pt-4">
            <Button label={t`Compare two`} onPress={() => router.push('/recipes/compare')} testID="compare" />
          </View>
        ) : null
      }
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
  const school = useSchool();
  const larder = useLarder();
  const verdict = useMemo(() => classifyVersion(recipe, school, larder), [recipe, school, larder]);
  return (
    <View className="border-t border-line" style={{ width }}>
      <Link
        href={{ pathname: '/recipes/[recipeId]', params: { recipeId: recipe.recipeId } }}
        className="py-3"
      >
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
            {t`${{ use: recipeUseWords()[recipe.use] }} · ${{ minutes: minutesText(recipe.contactMinutes) }} on`}
          </Small>
        </View>
      </Link>
    </View>
  );
}
