import { sum } from '../../base/measures';
import type { WeighedLine } from './weighedLine';

export interface ComparedPart {
  readonly name: string;
  /** Percent of what is measured out; 0 where it is not in it. */
  readonly a: number;
  readonly b: number;
}

/** What is in one recipe and in the other, by share, the greatest difference first. */
export function compareLines(a: readonly WeighedLine[], b: readonly WeighedLine[]): ComparedPart[] {
  const [ofA, ofB] = [sharesOf(a), sharesOf(b)];
  return [...new Set([...ofA.keys(), ...ofB.keys()])]
    .map((name) => ({ name, a: ofA.get(name) ?? 0, b: ofB.get(name) ?? 0 }))
    .sort((one, other) => Math.abs(other.a - other.b) - Math.abs(one.a - one.b));
}

function sharesOf(lines: readonly WeighedLine[]): Map<string, number> {
  const total = sum(lines.map((line) => line.grams));
  const shares = new Map<string, number>();
  for (const { ingredient, grams } of lines) {
    if (total > 0) shares.set(ingredient.name, (shares.get(ingredient.name) ?? 0) + (100 * grams) / total);
  }
  return shares;
}
