import { sum } from '../../base/measures';
import type { Ingredient } from '../../records/shapes';
import type { WeighedLine } from '../larder';

/** An amount far beyond what makers and suppliers use. */
export interface Dose {
  readonly name: string;
  /** Of what goes on the hair, percent by weight. */
  readonly percent: number;
  /** The usual most, percent. */
  readonly most: number;
}

/** From this many times the usual most it is asked about. */
const FAR_BEYOND = 2;
/** What is used at less than this is strong, whatever it is, percent. */
const STRONG_BELOW = 5;
/** Roles of what acts, burns or thickens in small amounts. */
const STRONG_ROLES = ['essential-oil', 'preservative', 'alkali', 'emulsifier'] as const;
/** A pure acid, a pure conditioning salt, a pure humectant: from this share of the active on, percent. */
const PURE = { acid: 50, cationic: 20, humectant: 60 } as const;
/** Less than this is a crumb, g. */
const LEAST_GRAMS = 0.5;

function isStrong({ usualShare, proteinForm, roles, actives }: Ingredient): boolean {
  if (!usualShare) return false;
  const isBroken =
    (proteinForm === 'hydrolysed' || proteinForm === 'amino-acids') && !roles.includes('conditioner');
  return (
    usualShare.to <= STRONG_BELOW ||
    isBroken ||
    STRONG_ROLES.some((role) => roles.includes(role)) ||
    Object.entries(PURE).some(([active, least]) => (actives[active as keyof typeof PURE] ?? 0) >= least)
  );
}

/**
 * Amounts that have to be looked at before a verdict means anything: a cup of hydrolysed protein, a spoon of lye.
 * @param finishedGrams what is left to put on, g
 */
export function dosesBeyondUse(lines: readonly WeighedLine[], finishedGrams: number): Dose[] {
  if (finishedGrams <= 0) return [];
  const strong = new Map(
    lines.flatMap(({ ingredient }) => (isStrong(ingredient) ? [[ingredient.id, ingredient] as const] : [])),
  );
  return [...strong.values()].flatMap((ingredient) => {
    const grams = sum(lines.filter((line) => line.ingredient.id === ingredient.id).map((line) => line.grams));
    const percent = (100 * grams) / finishedGrams;
    const most = ingredient.usualShare?.to ?? 100;
    return grams >= LEAST_GRAMS && percent > FAR_BEYOND * most
      ? [{ name: ingredient.name, percent, most }]
      : [];
  });
}
