import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { doseOf } from '../../recipe/classification';
import type { KitItem, PorosityGuess, RecipeVersion } from '../../records/shapes';

interface KitWords {
  readonly label: string;
  /** What to do without it. */
  readonly without: string;
}

export const kitWords = perLanguage((): Readonly<Record<KitItem, KitWords>> => ({
  heat: {
    label: t`a dryer or heat cap`,
    without: t`Treatments that want heat stay on longer instead, and the plan counts with it.`,
  },
  freezer: {
    label: t`a freezer`,
    without: t`Nothing is put by frozen; what is left over keeps as in the fridge.`,
  },
  blender: {
    label: t`a blender`,
    without: t`Grate it finely or mash it very ripe, then press it through a cloth: more bits stay than with a blender.`,
  },
  strainer: {
    label: t`a fine strainer`,
    without: t`A clean nylon stocking or a thin cotton cloth strains as finely.`,
  },
  scale: {
    label: t`a kitchen scale`,
    without: t`Level spoons, always the same ones; log what you used.`,
  },
}));

/** Nobody sits longer than this for want of a dryer. */
const MOST_WAIT = 120;
const STEP = 5;

/** Minutes without heat that do what the minutes with heat would have done, in steps of five. */
export function minutesWithoutHeat(minutes: number, porosity: PorosityGuess): number {
  const wanted = doseOf(minutes, 'warm', porosity);
  let longer = STEP * Math.ceil(minutes / STEP);
  while (longer < MOST_WAIT && doseOf(longer, 'room', porosity) < wanted) longer += STEP;
  return longer;
}

/**
 * How long and how warm a recipe stays on where the house has what it has: without heat for longer, to the same dose.
 * @param lacks what the household lacks
 */
export function contactAt(
  { contactMinutes, warmth }: Pick<RecipeVersion, 'contactMinutes' | 'warmth'>,
  { porosityGuess }: { readonly porosityGuess: PorosityGuess },
  lacks: readonly KitItem[],
): Pick<RecipeVersion, 'contactMinutes' | 'warmth'> {
  return warmth === 'warm' && lacks.includes('heat')
    ? { contactMinutes: minutesWithoutHeat(contactMinutes, porosityGuess), warmth: 'room' }
    : { contactMinutes, warmth };
}
