import MiniSearch from 'minisearch';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { plainWords, singular } from '@/core/ingredients';
import type { RecipeVersion } from '@/core/recipes';

/** Documents that are indexed before the page may breathe again. */
const CHUNK = 100;

const emptyIndex = () =>
  new MiniSearch<RecipeVersion>({
    idField: 'recipeId',
    fields: ['name', 'text'],
    searchOptions: { fuzzy: 0.2, prefix: true, boost: { name: 3 }, combineWith: 'AND' },
    processTerm: (term) => singular(plainWords(term).join('')) || null,
  });

/**
 * The recipes that a few words find, the best first; all of them for no words. The index is made in small steps, so that
 * thousands of recipes do not hold the page up.
 */
export function useRecipeSearch(
  recipes: readonly RecipeVersion[],
  words: string,
): { readonly found: readonly RecipeVersion[]; readonly indexing: boolean } {
  const [ready, setReady] = useState<{ of: readonly RecipeVersion[]; index: MiniSearch<RecipeVersion> }>();
  const asked = useDeferredValue(words.trim());
  const wanted = asked !== '';
  useEffect(() => {
    if (!wanted) return;
    let current = true;
    const index = emptyIndex();
    void index.addAllAsync(recipes, { chunkSize: CHUNK }).then(() => {
      if (current) setReady({ of: recipes, index });
    });
    return () => {
      current = false;
    };
  }, [recipes, wanted]);

  const byId = useMemo(() => new Map(recipes.map((recipe) => [recipe.recipeId, recipe])), [recipes]);
  const found = useMemo(() => {
    if (asked === '' || !ready) return recipes;
    return ready.index.search(asked).flatMap(({ id }) => byId.get(id as string) ?? []);
  }, [asked, ready, recipes, byId]);
  return { found, indexing: wanted && ready?.of !== recipes };
}
