import { t } from '@lingui/core/macro';
import type { CalendarDay } from '@/core/base/measures';
import { USE_OF_SLOT } from '@/core/plan/agenda';
import type { Assignment, Dose } from '@/core/plan/planning';
import type { Head, Session } from '@/core/records/shapes';
import { selectRecipes, useAppSelector } from '@/store';
import { amountOf } from './amountOf';
import { sessionOf } from './sessionOf';
import { useAddRecords } from './useAddRecords';

function doseDone({ minutes, warmth, amount }: Dose): Pick<Session, 'contactMinutes' | 'warmth' | 'amount'> {
  return { contactMinutes: minutes, warmth, ...amountOf({ amount }) };
}

/** Writes down that a planned treatment was done, as it was planned. */
export function useDoneTreatment(): (head: Head, assignment: Assignment, day: CalendarDay) => void {
  const recipes = useAppSelector(selectRecipes);
  const add = useAddRecords();
  return (head, assignment, day) => {
    const recipe = recipes.find((known) => known.recipeId === assignment.recipeId);
    if (!recipe) return;
    add(
      [
        {
          ...sessionOf(recipe, head.headId, day),
          ...(assignment.dose ? doseDone(assignment.dose) : {}),
          ...(USE_OF_SLOT[assignment.slot] === recipe.use ? {} : { usedAs: USE_OF_SLOT[assignment.slot] }),
        },
      ],
      t`${{ recipeName: recipe.name }} is logged for ${{ headName: head.name }}.`,
    );
  };
}
