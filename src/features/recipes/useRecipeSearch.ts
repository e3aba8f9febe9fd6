import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { RecipeSearch } from '@/core/recipe/parsing';
import type { RecipeVersion } from '@/core/records/shapes';

/** The recipes that a few words find, the best first; all of them for no words. */
export function useRecipeSearch(
  recipes: readonly RecipeVersion[],
  words: string,
): { readonly found: readonly RecipeVersion[]; readonly indexing: boolean } {
  const [ready, setReady] = useState<{ of: readonly RecipeVersion[]; search: RecipeSearch }>();
  const asked = useDeferredValue(words.trim());
  const wanted = asked !== '';
  useEffect(() => {
    if (!wanted) return;
    let current = true;
    void RecipeSearch.over(recipes).then((search) => {
      if (current) setReady({ of: recipes, search });
    });
    return () => {
      current = false;
    };
  }, [recipes, wanted]);

  const found = useMemo(
    () => (asked === '' || !ready ? recipes : ready.search.find(asked)),
    [asked, ready, recipes],
  );
  return { found, indexing: wanted && ready?.of !== recipes };
}
