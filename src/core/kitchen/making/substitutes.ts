import { sum } from '../../base/measures';
import type { Programme, SolveProgramme, Terms } from '../../base/programme';
import { classifyLines, HALF_LOAD, lineLoads, type Verdict } from '../../recipe/classification';
import { remainingGrams, usualLine, type WeighedLine } from '../../recipe/larder';
import { AS_WRITTEN, type Ingredient, type School, type Science } from '../../records/shapes';

/** The profile that a substitute should keep, with what counts as a large miss, g per 100 g of finished mask. */
export const PROFILE = [
  // What gives half of the greatest push is a large miss.
  { load: 'firm', scale: HALF_LOAD.firm },
  { load: 'soft', scale: HALF_LOAD.soft },
  { load: 'penetratingOil', scale: 12 },
  { load: 'sealingOil', scale: 12 },
  { load: 'mucilage', scale: 0.6 },
  { load: 'cationic', scale: 0.8 },
  { load: 'acid', scale: 0.6 },
  { load: 'water', scale: 60 },
  { load: 'essentialOil', scale: 0.3 },
  { load: 'tannin', scale: 1 },
] as const;

/** Different ingredients in one substitute. */
const MOST_PARTS = 2;
const PROPOSALS = 3;
/** What each further ingredient costs, in large misses: one is better than two unless two fit clearly better. */
const PART_COST = 0.05;
/** A substitute may weigh so many times what it replaces. */
const MOST_TIMES = 6;

export interface StockedIngredient {
  readonly ingredient: Ingredient;
  /** Grams that are there; null where nobody knows how much. */
  readonly gramsLeft: number | null;
}

export interface Substitute {
  readonly parts: readonly { readonly ingredient: Ingredient; readonly grams: number }[];
  /** The recipe with it. */
  readonly lines: readonly WeighedLine[];
  readonly verdict: Verdict;
  /** How far the profile moves, in large misses: 0 is the same. */
  readonly miss: number;
}

/**
 * What can take the place of one line, from what is there, so that the recipe's profile changes least: a small mixed-integer
 * programme, solved again without its answer for the next proposal.
 */
export function substitutesFor(
  lines: readonly WeighedLine[],
  replaced: number,
  stock: readonly StockedIngredient[],
  school: School,
  solve: SolveProgramme,
  science: Science = AS_WRITTEN,
): Substitute[] {
  const gone = lines.filter(({ line }) => line === replaced);
  const kept = lines.filter(({ line }) => line !== replaced);
  const goneIds = new Set(gone.map(({ ingredient }) => ingredient.id));
  const candidates = stock.filter(({ ingredient }) => !goneIds.has(ingredient.id));
  const finished = sum(lines.map(remainingGrams));
  const goneGrams = sum(gone.map(({ grams }) => grams));
  if (candidates.length === 0 || finished <= 0 || goneGrams <= 0) return [];

  const found: Substitute[] = [];
  const taken: string[][] = [];
  while (found.length < PROPOSALS) {
    const solution = solve(programmeFor(gone, candidates, finished, goneGrams, school, taken));
    if (solution.status !== 'optimal') break;
    const chosen = candidates.flatMap(({ ingredient }, index) => {
      const grams = solution.values[`x${index}`] ?? 0;
      return grams > LEAST_GRAMS ? [{ ingredient, grams, index }] : [];
    });
    if (chosen.length === 0) break;
    taken.push(chosen.map(({ index }) => `b${index}`));
    const parts = chosen.map(({ ingredient, grams }) => ({ ingredient, grams }));
    const withIt = [...kept, ...parts.map(({ ingredient, grams }) => usualLine(ingredient, grams, replaced))];
    const verdict = classifyLines(withIt, school, undefined, science);
    if (verdict.ok) found.push({ parts, lines: withIt, verdict: verdict.value, miss: solution.objective });
  }
  return found;
}

const LEAST_GRAMS = 0.05;

function programmeFor(
  gone: readonly WeighedLine[],
  candidates: readonly StockedIngredient[],
  finished: number,
  goneGrams: number,
  school: School,
  taken: readonly (readonly string[])[],
): Programme {
  const perGram = candidates.map(({ ingredient }) => lineLoads(usualLine(ingredient, 1), school).loads);
  const wanted = gone.map((line) => lineLoads(line, school).loads);
  const scaleOf = (per100: number) => (per100 * finished) / 100;
  const names = candidates.map((_, index) => ({ x: `x${index}`, b: `b${index}` }));
  const misses: { name: string; factor: number }[] = [];
  const balance = PROFILE.map(({ load, scale }) => {
    const [over, under] = [`o_${load}`, `u_${load}`];
    for (const name of [over, under]) misses.push({ name, factor: 1 / scaleOf(scale) });
    const terms: Terms = [
      ...names.map(({ x }, index) => ({ name: x, factor: perGram[index]?.[load] ?? 0 })),
      { name: over, factor: -1 },
      { name: under, factor: 1 },
    ];
    return { terms, is: '=' as const, value: sum(wanted.map((loads) => loads[load])) };
  });
  const most = candidates.map(({ ingredient, gramsLeft }) =>
    Math.min(
      gramsLeft ?? Infinity,
      MOST_TIMES * goneGrams,
      ingredient.usualShare ? scaleOf(ingredient.usualShare.to) : Infinity,
    ),
  );
  return {
    minimise: [...misses, ...names.map(({ b }) => ({ name: b, factor: PART_COST }))],
    constraints: [
      ...balance,
      ...names.map(({ x, b }, index) => ({
        terms: [
          { name: x, factor: 1 },
          { name: b, factor: -(most[index] ?? 0) },
        ],
        is: '<=' as const,
        value: 0,
      })),
      { terms: names.map(({ b }) => ({ name: b, factor: 1 })), is: '<=', value: MOST_PARTS },
      // An answer that was given already is not given again.
      ...taken.map((chosen) => ({
        terms: chosen.map((name) => ({ name, factor: 1 })),
        is: '<=' as const,
        value: chosen.length - 1,
      })),
    ],
    bounds: [
      ...names.map(({ x }, index) => ({ name: x, low: 0, high: most[index] ?? 0 })),
      ...misses.map(({ name }) => ({ name, low: 0, high: 100_000 })),
    ],
    binary: names.map(({ b }) => b),
  };
}
