import { ok, type Result } from '@/core/base/measures';
import { densityOf } from '@/core/kitchen/formulation';
import { scaledLines } from '@/core/kitchen/making';
import { methodOfRecipe, toldSteps } from '@/core/kitchen/methods';
import { costOf, type Cost } from '@/core/kitchen/pantry';
import { verdictHeadline, type Verdict } from '@/core/recipe/classification';
import { savedLine, type Larder, type WeighedLine } from '@/core/recipe/larder';
import { parseRecipe } from '@/core/recipe/parsing';
import { judge } from '@/core/recipe/safety';
import type { School, PantryItem, RecipeVersion, SavedLine, SavedStep } from '@/core/records/shapes';

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
  /** How it is made, without amounts. */
  readonly steps: readonly SavedStep[];
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
    steps: stepsOf(recipe, larder),
  });
}

/** The steps that are kept with a version; of one saved before there were any, those of its text as it is read today. */
export function stepsOf(recipe: RecipeVersion, larder: Larder): SavedStep[] {
  const { text, lines, method } = recipe;
  const isOld = lines.every(({ told, grams }) => told === undefined || grams === null);
  if (method || !isOld) return methodOfRecipe(recipe, larder);
  const parsed = parseRecipe(text, { larder });
  const read = parsed.ok ? parsed.value.lines.map((line) => savedLine(line, text)) : [];
  const told = parsed.ok ? toldSteps(parsed.value, read, larder) : undefined;
  return methodOfRecipe({ lines, method: told }, larder);
}
