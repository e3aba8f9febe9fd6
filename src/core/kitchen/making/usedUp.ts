import { rounded } from '../../base/measures';
import type { WeighedLine } from '../../recipe/larder';
import type { Batch, PantryItem } from '../../records/shapes';

/** Grams planned and really weighed, by recipe line; what was not weighed is taken to have gone in as planned. */
export interface WhatWentIn {
  readonly planned: readonly (number | null)[];
  readonly weighed: Batch['weighed'];
}

function realTimes({ planned, weighed }: WhatWentIn, line: number): number {
  const wanted = planned[line] ?? 0;
  return wanted > 0 ? (weighed[line] ?? wanted) / wanted : 1;
}

/**
 * Grams that came out: each line yields in proportion to what of it went in, and added water stays in whole.
 * @param yields grams that are left to put on, by recipe line, as planned
 */
export function realYieldGrams(
  yields: ReadonlyMap<number, number>,
  wentIn: WhatWentIn,
  waterAddedGrams: number,
): number {
  const lines = [...yields].map(([line, grams]) => grams * realTimes(wentIn, line));
  return lines.reduce((total, grams) => total + grams, waterAddedGrams);
}

/** The pantry items that a making used of, with what is left; unchanged where nobody knows how much there was. */
export function afterMaking(
  pantry: ReadonlyMap<string, PantryItem>,
  lines: readonly WeighedLine[],
  wentIn: WhatWentIn,
): PantryItem[] {
  const taken = new Map<string, number>();
  for (const { ingredient, grams, line } of lines) {
    const real = grams * realTimes(wentIn, line);
    taken.set(ingredient.id, (taken.get(ingredient.id) ?? 0) + real);
  }
  return [...taken].flatMap(([ingredientId, grams]) => {
    const item = pantry.get(ingredientId);
    if (!item || item.gramsLeft === null || item.gramsLeft === 0) return [];
    return [{ ...item, gramsLeft: Math.max(0, rounded(item.gramsLeft - grams, 1)) }];
  });
}
