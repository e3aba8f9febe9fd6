import { rounded } from '../../base/measures';
import { AS_WRITTEN, type Science } from '../../records/shapes';
import { lineGroups } from './lineGroups';
import type { LineLoads } from './loads';
import { mixed, mixOf, schoolVerdict, type TreatmentKind } from './schoolVerdict';

/** A change of one line that would make another kind of treatment of the recipe. */
export interface Flip {
  /** Index of the recipe line. */
  readonly line: number;
  readonly name: string;
  /** What it weighs now and would weigh, g. */
  readonly fromGrams: number;
  readonly toGrams: number;
  readonly to: TreatmentKind;
}

/** How far a line is turned up or down in looking for another kind: a change beyond four times is another recipe. */
const FACTORS = [0, 0.1, 0.2, 0.33, 0.5, 0.67, 0.8, 1.25, 1.5, 2, 3, 4] as const;
const SIDES = [FACTORS.filter((factor) => factor < 1).reverse(), FACTORS.filter((factor) => factor > 1)];
/** Water is not turned down below this. */
const LEAST_WATER_FACTOR = 0.4;
const FLIPS_TOLD = 3;
const BISECTIONS = 18;

/**
 * The smallest changes of single lines that change the kind, the smallest first.
 * @param lines loads under the school in force
 */
export function flipsOf(lines: readonly LineLoads[], science: Science = AS_WRITTEN): Flip[] {
  const groups = lineGroups(lines);
  if (groups.length < 2) return [];
  const now = schoolVerdict(mixOf(lines), science).kind;
  const found = groups.flatMap(({ line, name, grams, loads }) => {
    const mine = mixOf(loads);
    // What brings nothing that acts decides nothing, whatever its weight does to the rest.
    if (mine.firm + mine.soft + mine.fat === 0) return [];
    const others = mixOf(lines.filter((each) => !loads.includes(each)));
    const kindAt = (factor: number) => schoolVerdict(mixed(others, mine, factor), science).kind;
    return SIDES.flatMap((side): (Flip & { effort: number })[] => {
      const edge = nearestEdge(side, kindAt, now);
      // Boiling a thin mixture down to a spoonful is no change that anybody makes.
      if (!edge || (edge.factor < LEAST_WATER_FACTOR && isWater(loads))) return [];
      const effort = Math.abs(Math.log(Math.max(edge.factor, FACTORS[1])));
      return [
        { line, name, fromGrams: grams, toGrams: rounded(grams * edge.factor, 2), to: edge.kind, effort },
      ];
    });
  });
  return found
    .sort((a, b) => a.effort - b.effort)
    .slice(0, FLIPS_TOLD)
    .map(({ effort: _, ...flip }) => flip);
}

function isWater(loads: readonly LineLoads[]): boolean {
  return loads.every(({ line }) => line.ingredient.roles.includes('carrier'));
}

/** The factor nearest to 1 on one side at which the kind is another, found by halving. */
function nearestEdge(
  side: readonly number[],
  kindAt: (factor: number) => TreatmentKind,
  now: TreatmentKind,
): { factor: number; kind: TreatmentKind } | undefined {
  let near = 1;
  for (const factor of side) {
    if (kindAt(factor) === now) {
      near = factor;
      continue;
    }
    let far = factor;
    for (let step = 0; step < BISECTIONS; step++) {
      const middle = (near + far) / 2;
      if (kindAt(middle) === now) near = middle;
      else far = middle;
    }
    return { factor: far, kind: kindAt(far) };
  }
  return undefined;
}
