import { t } from '@lingui/core/macro';
import { SLOT_OF_USE } from '@/core/plan/agenda';
import { usesOf } from '@/core/recipe/larder';
import type { RecipeVersion, Slot } from '@/core/records/shapes';
import { recipeUseWords } from './treatmentWords';

interface Place {
  readonly label: string;
  readonly hint: (name: string, on: string) => string;
  readonly slot: Slot;
  readonly overnight: boolean;
}

/** Where a recipe can be put on a day: once for each of its uses, and for the night as well before a shampoo. */
export function placesOf(recipe: RecipeVersion): Place[] {
  const uses = usesOf(recipe);
  return uses.flatMap((use): Place[] => {
    const slot = SLOT_OF_USE[use];
    const here: Place = {
      label: uses.length > 1 ? t`Here, as ${{ use: recipeUseWords()[use] }}` : t`Put it here`,
      hint: (name, on) =>
        uses.length > 1
          ? t`Put ${name} on ${on}, as ${{ use: recipeUseWords()[use] }}`
          : t`Put ${name} on ${on}`,
      slot,
      overnight: false,
    };
    if (use !== 'pre-poo') return [here];
    return [
      { ...here, label: t`Before the wash`, hint: (name, on) => t`Before the wash: ${name} on ${on}` },
      {
        label: t`For the night`,
        hint: (name, on) => t`For the night: ${name} on ${on}`,
        slot,
        overnight: true,
      },
    ];
  });
}
