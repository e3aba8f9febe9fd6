import { rounded, UNITS, unitWord, VAGUE_UNITS, type UnitId } from '../../base/measures';
import type { WeighedLine } from '../../recipe/larder';
import { fractionText, spoonable, weighable } from './kitchenAmount';

/** As it was told: "2 handfuls". */
export interface ToldMeasure {
  readonly quantity: number;
  readonly unit: UnitId;
}

/** Under this a kitchen scale says nothing that can be trusted, g. */
const LEAST_WEIGHED = 1;
/** Her own measure is kept where a fraction of it that can be measured is this near. */
const NEAR_OWN = 0.13;
/** So near to it a batch is the recipe as it stands. */
const SAME = 0.01;
/** Measures that are not on the shelf of every kitchen, and are taken in parts of themselves. */
const OWN: ReadonlySet<UnitId> = new Set<UnitId>(['drop', 'my cup', 'my spoon']);
/** Fractions of a measure that a hand can take. */
const TAKEN = [0.125, 0.25, 1 / 3, 0.5, 2 / 3, 0.75, 1] as const;

function asTaken(quantity: number): number {
  const whole = Math.floor(quantity + 1e-9);
  const rest = quantity - whole;
  const nearest = [0, ...TAKEN].reduce((best, each) =>
    Math.abs(each - rest) < Math.abs(best - rest) ? each : best,
  );
  return whole + nearest;
}

/**
 * How much of a line is measured out: grams where there is a scale and it can tell, else her own measure where a part
 * of it comes near, else spoons, cups, pieces or drops.
 * @param line scaled to the batch
 * @param told as the recipe said it, for the recipe as it stands
 * @param factor of the batch on the recipe
 */
export function measuredOut(
  { grams, ingredient, preparation }: WeighedLine,
  told: ToldMeasure | undefined,
  factor: number,
  hasScale: boolean,
): string {
  if (hasScale && grams >= LEAST_WEIGHED) return weighable(grams).text;
  const own = told ? inOwnMeasure(told, factor) : null;
  if (own !== null) return own;
  // A tea that is poured is not counted in bags.
  const { pieceGrams: _, ...poured } = ingredient.measures;
  const measures = preparation?.fromMl === undefined ? ingredient.measures : poured;
  return spoonable(grams, { name: ingredient.name, measures }, preparation).text;
}

/** Her measure times the factor, where a part of it that can be taken comes near. */
function inOwnMeasure({ quantity, unit }: ToldMeasure, factor: number): string | null {
  const { kind } = UNITS[unit];
  const isOwn = kind === 'count' || VAGUE_UNITS.has(unit) || OWN.has(unit);
  const isAsTold = kind === 'volume' && Math.abs(factor - 1) < SAME;
  if (!isOwn && !isAsTold) return null;
  const wanted = quantity * factor;
  const taken = unit === 'drop' ? Math.max(1, rounded(wanted, 0)) : asTaken(wanted);
  if (taken <= 0 || Math.abs(taken - wanted) > NEAR_OWN * wanted) return null;
  return unit === 'piece' ? fractionText(taken) : `${fractionText(taken)} ${unitWord(unit, taken)}`;
}
