import { rounded, UNITS, unitWord, VAGUE_UNITS, type UnitId } from '../../base/measures';
import type { Ingredient, Preparation } from '../../records/shapes';
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

/** What is to be measured out. */
export interface Measurable extends Pick<Ingredient, 'name' | 'measures' | 'powder'> {
  readonly preparation: Preparation | null;
  /** Of the batch. */
  readonly grams: number;
}

export interface MeasuredOut {
  /** All of it: "2 handfuls (30 g)", "42 g", "1 tbsp". */
  readonly amount: string;
  /** In her own measure; null where no part of it comes near. */
  readonly own: string | null;
  /** By a scale; null without one, or where it can tell nothing. */
  readonly weight: string | null;
  /** Measured in her own way, perhaps with the weight beside. */
  readonly isOwn: boolean;
  /** Of what is taken against what is wanted, as a share of it. */
  readonly error: number;
}

/**
 * How much of a line is measured out: grams where there is a scale and it can tell, with her own measure where that is
 * a count or a handful; else her own measure where a part of it comes near, else spoons, cups, pieces or drops.
 * @param told as the recipe said it, for the recipe as it stands
 * @param factor of the batch on the recipe
 */
export function measuredOut(
  { grams, preparation, ...ingredient }: Measurable,
  told: ToldMeasure | undefined,
  factor: number,
  hasScale: boolean,
): MeasuredOut {
  const own = told ? inOwnMeasure(told, factor) : null;
  const isWeighed = hasScale && grams >= LEAST_WEIGHED;
  const scale = weighable(grams);
  const weight = isWeighed ? scale.text : null;
  if (own !== null && (!isWeighed || own.isByEye))
    return {
      amount: weight === null ? own.text : `${own.text} (${weight})`,
      own: own.text,
      weight,
      isOwn: true,
      error: weight === null ? own.error : scale.error,
    };
  const spoons = spoonable(grams, ingredientAsPoured(ingredient, preparation), preparation);
  const taken = isWeighed ? scale : spoons;
  return { amount: taken.text, own: own?.text ?? null, weight, isOwn: false, error: taken.error };
}

/** A tea that is poured is not counted in bags. */
function ingredientAsPoured(
  { name, measures, powder }: Pick<Ingredient, 'name' | 'measures' | 'powder'>,
  preparation: Preparation | null,
): Pick<Ingredient, 'name' | 'measures' | 'powder'> {
  if (preparation?.fromMl === undefined) return { name, measures, powder };
  const { pieceGrams: _, ...poured } = measures;
  return { name, measures: poured, powder };
}

interface OwnMeasure {
  readonly text: string;
  readonly error: number;
  /** By count or by eye: a weight says more, and does not say it better. */
  readonly isByEye: boolean;
}

/** Her measure times the factor, where a part of it that can be taken comes near. */
function inOwnMeasure({ quantity, unit }: ToldMeasure, factor: number): OwnMeasure | null {
  const { kind } = UNITS[unit];
  const isOwn = kind === 'count' || VAGUE_UNITS.has(unit) || OWN.has(unit);
  const isAsTold = kind === 'volume' && Math.abs(factor - 1) < SAME;
  if (!isOwn && !isAsTold) return null;
  const wanted = quantity * factor;
  const taken = unit === 'drop' ? Math.max(1, rounded(wanted, 0)) : asTaken(wanted);
  if (taken <= 0 || Math.abs(taken - wanted) > NEAR_OWN * wanted) return null;
  return {
    text: unit === 'piece' ? fractionText(taken) : `${fractionText(taken)} ${unitWord(unit, taken)}`,
    error: (taken - wanted) / wanted,
    isByEye: isOwn && unit !== 'drop' && unit !== 'my cup' && unit !== 'my spoon',
  };
}
