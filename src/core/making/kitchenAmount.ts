import type { Ingredient, Preparation } from '../ingredients';
import { rounded, UNITS } from '../measures';

/** How a recipe is read: by weight, by spoon, or by share. */
export const VIEWS = ['grams', 'spoons', 'percent'] as const;
export type View = (typeof VIEWS)[number];

export interface KitchenAmount {
  readonly text: string;
  /** What it really weighs, g. */
  readonly grams: number;
  /** Against what was wanted, as a share of it: 0.05 is five percent too much. */
  readonly error: number;
}

/** What a kitchen scale shows: whole grams from 20 on, tenths below 5. */
const SCALE_STEPS = [
  { from: 20, step: 1 },
  { from: 5, step: 0.5 },
  { from: 0, step: 0.1 },
] as const;

/** Grams as a kitchen scale can weigh them. */
export function weighable(grams: number): KitchenAmount {
  const { step } = SCALE_STEPS.find(({ from }) => grams >= from) ?? SCALE_STEPS[2];
  const taken = Math.max(step, Math.round(grams / step) * step);
  return { text: `${rounded(taken, 1)} g`, grams: taken, error: errorOf(taken, grams) };
}

function errorOf(taken: number, wanted: number): number {
  return wanted === 0 ? 0 : (taken - wanted) / wanted;
}

/** Spoons, cups and drops with the fractions that are sold, from large to small. */
const SPOONS = [
  { unit: 'cup', from: 0.9, fractions: [0, 0.25, 1 / 3, 0.5, 2 / 3, 0.75] },
  { unit: 'cup', from: 0.24, fractions: [0.25, 1 / 3, 0.5, 2 / 3, 0.75] },
  { unit: 'tbsp', from: 0.95, fractions: [0, 0.5] },
  { unit: 'tsp', from: 0.95, fractions: [0, 0.25, 0.5, 0.75] },
  { unit: 'tsp', from: 0.1, fractions: [0.125, 0.25, 0.5, 0.75] },
] as const;
const DROP_UP_TO_ML = 0.5;

const FRACTIONS: readonly (readonly [number, string])[] = [
  [0.125, '⅛'],
  [0.25, '¼'],
  [1 / 3, '⅓'],
  [0.5, '½'],
  [2 / 3, '⅔'],
  [0.75, '¾'],
];

/** "1 ½": whole and fraction as a cook writes them. */
export function fractionText(value: number): string {
  const whole = Math.floor(value + 1e-9);
  const part = FRACTIONS.find(([size]) => Math.abs(size - (value - whole)) < 0.01)?.[1];
  if (!part) return String(rounded(value, 2));
  return whole === 0 ? part : `${whole} ${part}`;
}

function nearest(value: number, fractions: readonly number[]): number {
  const whole = Math.floor(value);
  const candidates = [
    ...fractions.map((fraction) => whole + fraction),
    ...(fractions.includes(0) || whole > 0 ? [whole + 1] : [1]),
  ];
  return candidates.reduce((best, each) => (Math.abs(each - value) < Math.abs(best - value) ? each : best));
}

/** Quarters of a piece are as fine as a knife goes. */
const PIECE_STEP = 0.25;
/** A piece is only proposed when it is this near. */
const PIECE_ERROR = 0.12;

/** The nearest amount that can be measured with spoons, cups, drops or by the piece, with its error. */
export function spoonable(
  grams: number,
  ingredient: Pick<Ingredient, 'name' | 'measures'>,
  preparation: Preparation | null,
): KitchenAmount {
  const { pieceGrams } = ingredient.measures;
  if (pieceGrams) {
    const pieces = Math.max(PIECE_STEP, Math.round(grams / pieceGrams.medium / PIECE_STEP) * PIECE_STEP);
    const taken = pieces * pieceGrams.medium;
    const amount = { text: `${fractionText(pieces)} medium`, grams: taken, error: errorOf(taken, grams) };
    if (Math.abs(amount.error) <= PIECE_ERROR) return amount;
  }
  const density = preparation?.gramsPerMl ?? ingredient.measures.gramsPerMl;
  const millilitres = grams / density;
  const amount = (count: number, unit: 'cup' | 'tbsp' | 'tsp' | 'drop'): KitchenAmount => {
    const taken = count * UNITS[unit].size * density;
    const word = unit === 'drop' ? (count === 1 ? 'drop' : 'drops') : unit;
    return { text: `${fractionText(count)} ${word}`, grams: taken, error: errorOf(taken, grams) };
  };
  if (millilitres < DROP_UP_TO_ML)
    return amount(Math.max(1, Math.round(millilitres / UNITS.drop.size)), 'drop');
  const spoon = SPOONS.find(({ unit, from }) => millilitres / UNITS[unit].size >= from) ?? SPOONS[4];
  return amount(nearest(millilitres / UNITS[spoon.unit].size, spoon.fractions), spoon.unit);
}

/** "+4 %", or null where nobody would notice. */
export function errorText(error: number): string | null {
  const percent = Math.round(100 * error);
  if (Math.abs(percent) < 1) return null;
  return `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
}
