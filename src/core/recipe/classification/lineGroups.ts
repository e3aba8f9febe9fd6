import { sum } from '../../base/measures';
import type { LineLoads } from './loads';

/** What one line of the recipe brings: one ingredient, or all of a recipe that is used as one. */
export interface LineGroup {
  readonly line: number;
  readonly text: string;
  readonly name: string;
  /** Null for a recipe that is used as an ingredient. */
  readonly ingredientId: string | null;
  /** As measured out, g. */
  readonly grams: number;
  readonly loads: readonly LineLoads[];
}

/** The loads by the recipe line they belong to, in the order of the recipe. */
export function lineGroups(lines: readonly LineLoads[]): LineGroup[] {
  const byLine = new Map<number, LineLoads[]>();
  for (const each of lines) byLine.set(each.line.line, [...(byLine.get(each.line.line) ?? []), each]);
  return [...byLine].flatMap(([line, loads]): LineGroup[] => {
    const first = loads[0]?.line;
    if (!first) return [];
    const madeName = first.via[0];
    return [
      {
        line,
        text: first.text,
        name: madeName ?? first.ingredient.name,
        ingredientId: madeName === undefined ? first.ingredient.id : null,
        grams: madeName === undefined ? first.grams : sum(loads.map((each) => each.remainingGrams)),
        loads,
      },
    ];
  });
}
