import { t } from '@lingui/core/macro';
import type { CalendarDay } from '@/core/base/measures';
import { USE_OF_SLOT } from '@/core/plan/agenda';
import type { Beat } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { selectRecipes, useAppSelector } from '@/store';
import { sessionOf } from './sessionOf';
import { useAddRecords } from './useAddRecords';

/** Writes down that a planned beat was done, as it was planned. */
export function useDoneBeat(): (head: Head, beat: Beat, day: CalendarDay) => void {
  const recipes = useAppSelector(selectRecipes);
  const add = useAddRecords();
  return (head, beat, day) => {
    const recipe = recipes.find((known) => known.recipeId === beat.recipeId);
    if (!recipe) return;
    add(
      [
        {
          ...sessionOf(recipe, head.headId, day),
          ...(USE_OF_SLOT[beat.slot] === recipe.use ? {} : { usedAs: USE_OF_SLOT[beat.slot] }),
        },
      ],
      t`${{ recipeName: recipe.name }} is written down for ${{ headName: head.name }}.`,
    );
  };
}
