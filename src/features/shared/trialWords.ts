import { t } from '@lingui/core/macro';
import { armOn } from '@/core/hair/trials';
import type { Larder } from '@/core/recipe/larder';
import type { Arm, Trial } from '@/core/records/shapes';

/** "Does Linseed gel change the firmness?" */
export function trialQuestion({ recipeId, againstId, signal }: Trial, larder: Larder): string {
  const name = larder.recipeName(recipeId);
  return againstId === null
    ? t`Does ${name} alone change the ${signal}?`
    : t`${name} or ${{ recipeName: larder.recipeName(againstId) }}: which does more for the ${signal}?`;
}

/** What goes on the hair in one arm. */
export function armWords(arm: Arm, { recipeId, againstId }: Trial, larder: Larder): string {
  if (arm === 'a') return larder.recipeName(recipeId);
  return againstId === null ? t`a wash without any treatment` : larder.recipeName(againstId);
}

/** What goes on at a wash: one arm, or one on each side. @param arm of two sides, what is on the left */
export function washWords(arm: Arm, trial: Trial, larder: Larder): string {
  return trial.sides ? sidesWords(arm, trial, larder) : armWords(arm, trial, larder);
}

export function sidesWords(left: Arm, trial: Trial, larder: Larder): string {
  return t`Left: ${{ left: armWords(left, trial, larder) }}. Right: ${{ right: armWords(armOn('right', left), trial, larder) }}.`;
}

/** The readings a trial lives on. */
export function trialReadings({ signal, sides }: Pick<Trial, 'signal' | 'sides'>): string {
  if (sides)
    return signal === 'firmness'
      ? t`A stretch test of each side, the day after each of these washes.`
      : t`The same porosity test of each side, the day after each of these washes.`;
  if (signal === 'firmness')
    return t`A stretch test before each of these washes, and another when dry, a day or two later.`;
  if (signal === 'breakage') return t`A count at every detangle, with nothing left out.`;
  return t`The same porosity test before each of these washes, and again when dry.`;
}
