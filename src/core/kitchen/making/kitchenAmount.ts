import { t } from '@lingui/core/macro';
import { rounded, UNITS, unitWord } from '../../base/measures';
import type { Ingredient, Preparation } from '../../records/shapes';

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
  return { text: t`${{ taken: rounded(taken, 1) }} g`, grams: taken, error: errorOf(taken, grams) };
}

function errorOf(taken: number, wanted: number): number {
  return wanted === 0 ? 0 : (taken - wanted) / wanted;
}

/** Cups and spoons with the fractions that are sold, from large to small, each from the share of itself it can measure. */
const SPOONS = [
  { unit: 'cup', fractions: [0, 0.25, 1 / 3, 0.5, 2 / 3, 0.75] },
  { unit: 'tbsp', fractions: [0, 0.5] },
  { unit: 'tsp', fractions: [0, 0.125, 0.25, 0.5, 0.75] },
] as const;
type SpoonUnit = (typeof SPOONS)[number]['unit'];
const DROP_UP_TO_ML = 0.5;
/** A measure is only used for amounts that reach its smallest fraction by this much. */
const LEAST_OF_MEASURE: Record<SpoonUnit, number> = { cup: 0.24, tbsp: 0.95, tsp: 0.1 };
/** Near enough that a second spoon is not worth washing. */
const NEAR_ENOUGH = 0.04;

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

/** Whole numbers and fractions that are sold, at or below a value, and the nearest one to it. */
function steps(value: number, fractions: readonly number[]): { below: number; nearest: number } {
  const whole = Math.floor(value);
  const candidates = [...fractions.map((fraction) => whole + fraction), whole + 1];
  const below = Math.max(0, ...candidates.filter((each) => each <= value + 1e-9));
  const nearest = candidates.reduce((best, each) =>
    Math.abs(each - value) < Math.abs(best - value) ? each : best,
  );
  return { below, nearest };
}

/** Quarters of a piece are as fine as a knife goes. */
const PIECE_STEP = 0.25;
/** A piece is only proposed when it is this near. */
const PIECE_ERROR = 0.12;

/** The nearest amount that can be measured with spoons, cups, drops or by the piece, with its error. */
export function spoonable(
  grams: number,
  ingredient: Pick<Ingredient, 'name' | 'measures' | 'powder'>,
  preparation: Preparation | null,
): KitchenAmount {
  const { pieceGrams } = ingredient.measures;
  if (pieceGrams) {
    const pieces = Math.max(PIECE_STEP, Math.round(grams / pieceGrams.medium / PIECE_STEP) * PIECE_STEP);
    const taken = pieces * pieceGrams.medium;
    const amount = {
      text: t`${{ fraction: fractionText(pieces) }} medium`,
      grams: taken,
      error: errorOf(taken, grams),
    };
    if (Math.abs(amount.error) <= PIECE_ERROR) return amount;
  }
  const density = preparation?.gramsPerMl ?? ingredient.measures.gramsPerMl;
  const millilitres = grams / density;
  const measured =
    millilitres < DROP_UP_TO_ML
      ? little(millilitres, ingredient.powder ? 'pinch' : 'drop')
      : spoons(millilitres);
  const taken = measured.millilitres * density;
  return { text: measured.text, grams: taken, error: errorOf(taken, grams) };
}

interface Measured {
  readonly text: string;
  readonly millilitres: number;
}

/** Less than the smallest spoon: drops of a liquid, pinches of a powder. */
function little(millilitres: number, unit: 'drop' | 'pinch'): Measured {
  const { size } = UNITS[unit];
  const count = Math.max(1, Math.round(millilitres / size));
  return { text: `${count} ${unitWord(unit, count)}`, millilitres: count * size };
}

/** One measure where it is near enough; otherwise the largest that fits and the rest in a smaller one. */
function spoons(millilitres: number): Measured {
  const usable = SPOONS.filter(({ unit }) => millilitres / UNITS[unit].size >= LEAST_OF_MEASURE[unit]);
  const candidates = usable.flatMap(({ unit, fractions }, index): Measured[] => {
    const size = UNITS[unit].size;
    const { below, nearest } = steps(millilitres / size, fractions);
    const alone = measure(nearest, unit);
    const smaller = SPOONS[SPOONS.findIndex((spoon) => spoon.unit === unit) + 1];
    const rest = millilitres - below * size;
    if (index > 0 || below === 0 || !smaller || rest <= 0) return [alone];
    const more = steps(rest / UNITS[smaller.unit].size, smaller.fractions).nearest;
    if (more === 0) return [alone];
    const both = [measure(below, unit), measure(more, smaller.unit)] as const;
    return [
      alone,
      {
        text: `${both[0].text} + ${both[1].text}`,
        millilitres: both[0].millilitres + both[1].millilitres,
      },
    ];
  });
  const miss = (each: Measured) => Math.abs(each.millilitres - millilitres) / millilitres;
  const possible = candidates.filter((each) => each.millilitres > 0);
  return (
    possible.find((each) => miss(each) <= NEAR_ENOUGH) ??
    possible.reduce((best, each) => (miss(each) < miss(best) ? each : best), measure(0.125, 'tsp'))
  );
}

function measure(count: number, unit: SpoonUnit): Measured {
  return { text: `${fractionText(count)} ${unitWord(unit, count)}`, millilitres: count * UNITS[unit].size };
}

/** "+4 %", or null where nobody would notice. */
export function errorText(error: number): string | null {
  const percent = Math.round(100 * error);
  if (Math.abs(percent) < 1) return null;
  return t`${{ sign: percent > 0 ? '+' : '−' }}${{ percent: Math.abs(percent) }} %`;
}
