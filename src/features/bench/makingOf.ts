import { ok, type Result } from '@/core/base/measures';
import { densityOf } from '@/core/kitchen/formulation';
import { makingSteps, scaledLines, timetableOf, type Phases, type Timetable } from '@/core/kitchen/making';
import { costOf, type Cost } from '@/core/kitchen/pantry';
import { verdictHeadline, type Verdict } from '@/core/recipe/classification';
import type { Larder, WeighedLine } from '@/core/recipe/larder';
import { judge } from '@/core/recipe/safety';
import type { School, PantryItem, RecipeVersion, SavedLine } from '@/core/records/shapes';

export interface Making {
  readonly recipe: RecipeVersion;
  /** On every line of the recipe. */
  readonly factor: number;
  /** Scaled to the batch. */
  readonly lines: readonly SavedLine[];
  readonly weighed: readonly WeighedLine[];
  readonly verdict: Verdict;
  readonly headline: string;
  readonly finishedGrams: number;
  /** g/ml of the finished mixture. */
  readonly density: number;
  readonly cost: Cost;
  readonly timetable: Timetable;
}

/** Everything about making a recipe in one size. */
export function makingOf(
  recipe: RecipeVersion,
  factor: number,
  larder: Larder,
  pantry: ReadonlyMap<string, PantryItem>,
  school: School,
): Result<Making> {
  const lines = scaledLines(recipe.lines, factor);
  const judged = judge(lines, undefined, larder, { school });
  if (!judged.ok) return judged;
  const { lines: weighed, verdict } = judged.value;
  return ok({
    recipe,
    factor,
    lines,
    weighed,
    verdict,
    headline: verdictHeadline(verdict),
    finishedGrams: verdict.finishedGrams,
    density: densityOf(weighed),
    cost: costOf(weighed, pantry),
    timetable: timetableOf(makingSteps(weighed, phasesOf(recipe))),
  });
}

function phasesOf(recipe: RecipeVersion): Phases | null {
  const phases = recipe.lines.flatMap(({ phase }, index) => (phase ? [[index, phase] as const] : []));
  return phases.length > 0 ? new Map(phases) : null;
}
