import { t } from '@lingui/core/macro';
import { rounded } from '../../base/measures';
import { MADE_GRAMS_PER_ML, type Larder } from '../../recipe/larder';
import { tellingWord } from '../../recipe/parsing';
import type { SavedLine } from '../../records/shapes';
import { spoonable, weighable, type KitchenAmount } from './kitchenAmount';

export interface LineInView {
  /** Its name, with the way of preparing that another name would not tell. */
  readonly words: string;
  readonly name: string;
  readonly grams: KitchenAmount;
  readonly spoons: KitchenAmount;
}

type Line = Pick<SavedLine, 'ingredientId' | 'preparationId' | 'grams'> & {
  readonly made?: SavedLine['made'] | null;
  readonly name?: string;
};

/** What a line is called and how much of it that is, by scale and by spoon. */
export function lineInView(line: Line, larder: Larder): LineInView {
  const grams = line.grams ?? 0;
  const ingredient = line.ingredientId === null ? undefined : larder.ingredient(line.ingredientId);
  if (!ingredient) {
    const made = line.made ? larder.recipe(line.made.recipeId, line.made.version)?.name : undefined;
    const name = made ?? line.name ?? t`something that is no longer here`;
    return {
      words: name,
      name,
      grams: weighable(grams),
      spoons: spoonable(grams, { name, measures: { gramsPerMl: MADE_GRAMS_PER_ML } }, null),
    };
  }
  const preparation = ingredient.preparations.find(({ id }) => id === line.preparationId) ?? null;
  const word = preparation && !preparation.usual ? tellingWord(ingredient, preparation) : undefined;
  return {
    words: word ? `${ingredient.name}, ${word}` : ingredient.name,
    name: ingredient.name,
    grams: weighable(grams),
    spoons: spoonable(grams, ingredient, preparation),
  };
}

/** "12.5 %" */
export function percentText(percent: number): string {
  return t`${{ percent: rounded(percent, percent < 10 ? 2 : 1) }} %`;
}
