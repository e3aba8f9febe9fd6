import { t } from '@lingui/core/macro';
import { failed, ok, rounded, sum, type Result } from '../../base/measures';
import type { SavedLine } from '../../records/shapes';

/** How much is wanted. Every target is turned into one factor on all lines, so that the recipe stays the recipe. */
export type ScaleTarget =
  | { readonly to: 'grams'; readonly grams: number }
  | { readonly to: 'jar'; readonly millilitres: number; readonly jars: number }
  | { readonly to: 'portions'; readonly portions: number; readonly portionGrams: number }
  | { readonly to: 'left'; readonly line: number; readonly gramsLeft: number };

export interface Scalable {
  /** Grams of each line, null where it weighs nothing. */
  readonly lines: readonly (number | null)[];
  /** What is left to put on, g. */
  readonly finishedGrams: number;
  /** g/ml of the finished mixture. */
  readonly density: number;
}

/** Beyond these a batch is no home batch any more: a thousandth and a thousand times. */
const FACTOR_LIMITS = { least: 0.001, most: 1000 } as const;

/** The factor on every line that reaches the target; a problem where nothing can. */
export function scaleFactor(recipe: Scalable, target: ScaleTarget): Result<number> {
  const wanted = wantedGrams(recipe, target);
  if (!wanted.ok) return wanted;
  if (recipe.finishedGrams <= 0)
    return failed(
      'nothing-left',
      t`Nothing of this recipe is left after straining, so there is nothing to scale.`,
    );
  const factor = wanted.value / recipe.finishedGrams;
  if (!Number.isFinite(factor) || factor < FACTOR_LIMITS.least || factor > FACTOR_LIMITS.most)
    return failed(
      'absurd-amount',
      t`That is a thousand times more or less than the recipe; check the number.`,
      'amount',
    );
  return ok(factor);
}

function wantedGrams(recipe: Scalable, target: ScaleTarget): Result<number> {
  const positive = (grams: number, message: string): Result<number> =>
    grams > 0 && Number.isFinite(grams) ? ok(grams) : failed('not-positive', message, 'amount');
  switch (target.to) {
    case 'grams':
      return positive(target.grams, t`Write how many grams you want, more than 0.`);
    case 'jar':
      return positive(
        target.millilitres * target.jars * recipe.density,
        t`Write the volume of the jar in millilitres, more than 0.`,
      );
    case 'portions':
      return positive(
        target.portions * target.portionGrams,
        t`Write how many portions and how large, more than 0.`,
      );
    case 'left': {
      const own = recipe.lines[target.line];
      if (!own) return failed('no-line', t`Choose an ingredient of the recipe.`, 'line');
      const grams = (target.gramsLeft / own) * recipe.finishedGrams;
      return positive(grams, t`Write how many grams of it are left, more than 0.`);
    }
  }
}

/** The lines with every weight multiplied. */
export function scaledLines(lines: readonly SavedLine[], factor: number): SavedLine[] {
  return lines.map((line) => (line.grams === null ? line : { ...line, grams: line.grams * factor }));
}

/** Percent of the whole of each line; null where it weighs nothing. */
export function percentsOf(lines: readonly (number | null)[]): (number | null)[] {
  const total = sum(lines.map((grams) => grams ?? 0));
  return lines.map((grams) => (grams === null || total === 0 ? null : rounded((100 * grams) / total, 2)));
}
