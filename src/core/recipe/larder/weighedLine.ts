import { t } from '@lingui/core/macro';
import { failed, ok, sum, type Result } from '../../base/measures';
import {
  RECIPE_LIMITS,
  type Active,
  type Component,
  type Ingredient,
  type Preparation,
  type SavedLine,
} from '../../records/shapes';
import { usualPreparation } from '../ingredients';
import type { Larder } from './larder';
import type { MadeRef, ReadLine } from './parsedLine';

/** An ingredient with its weight: what everything that computes with a recipe starts from. */
export interface WeighedLine {
  readonly text: string;
  readonly ingredient: Ingredient;
  readonly preparation: Preparation | null;
  /** As measured out, before preparation. */
  readonly grams: number;
  /** Index of the recipe line it belongs to: the lines of a recipe that is used as an ingredient share one. */
  readonly line: number;
  /** The names of the recipes between, from the outer one in; empty for an ingredient of the recipe itself. */
  readonly via: readonly string[];
}

/** So much of one ingredient, prepared as is usual. */
export function usualLine(ingredient: Ingredient, grams: number, line = 0): WeighedLine {
  const preparation = usualPreparation(ingredient) ?? null;
  return { text: ingredient.name, ingredient, preparation, grams, line, via: [] };
}

type Line = Pick<ReadLine | SavedLine, 'text' | 'ingredientId' | 'preparationId' | 'grams'> & {
  readonly made?: MadeRef | null | undefined;
};

/** What share of each part of the composition and the actives is in the bowl after the preparation. */
export function surviving(preparation: Preparation | null, part: Component | Active): number {
  if (!preparation) return 1;
  const { survives, solids = 1 } = preparation;
  const kept = survives[part] ?? (part === 'other' ? survives.fibre : undefined) ?? 1;
  return part === 'water' ? kept : kept * solids;
}

/** Grams of one part that a line leaves in the bowl. */
export function partGrams({ grams, ingredient, preparation }: WeighedLine, part: Component): number {
  const own = (grams * ingredient.composition[part] * surviving(preparation, part)) / 100;
  // What is not the plant itself in a fresh plant is its water.
  return part === 'water' && preparation?.solids ? own + grams * (1 - preparation.solids) : own;
}

const COMPONENTS = ['water', 'protein', 'fat', 'sugars', 'starch', 'fibre', 'other'] as const;

/** Grams of a line that are left to put on after preparation. */
export function remainingGrams(line: WeighedLine): number {
  // Rounded columns may add to a little more than 100.
  return Math.min(line.grams, sum(COMPONENTS.map((part) => partGrams(line, part))));
}

/**
 * The ingredients of a recipe with their weights; a recipe that is used as an ingredient is taken apart into its own
 * ingredients, in the proportion of what it yields. Lines that weigh nothing, or name what is in no larder, are left out.
 * @returns a problem when a recipe is made, through others, of itself; its message names the way round
 */
export function weighedLines(lines: readonly Line[], larder: Larder): Result<WeighedLine[]> {
  return expandLines(lines, larder, []);
}

interface OnTheWay {
  readonly recipeId: string;
  readonly name: string;
}

function expandLines(
  lines: readonly Line[],
  larder: Larder,
  path: readonly OnTheWay[],
): Result<WeighedLine[]> {
  const weighed: WeighedLine[] = [];
  for (const [index, line] of lines.entries()) {
    if (line.grams === null) continue;
    const ingredient = line.ingredientId === null ? undefined : larder.ingredient(line.ingredientId);
    if (ingredient) {
      const preparation = ingredient.preparations.find(({ id }) => id === line.preparationId) ?? null;
      weighed.push({
        text: line.text,
        ingredient,
        preparation,
        grams: line.grams,
        line: index,
        via: path.map(({ name }) => name),
      });
      continue;
    }
    if (!line.made) continue;
    const inner = insideOf(line.made, larder, path);
    if (!inner.ok) return inner;
    const yields = sum(inner.value.map(remainingGrams));
    if (yields <= 0) continue;
    const share = line.grams / yields;
    weighed.push(
      ...inner.value.map((part) => ({ ...part, text: line.text, grams: part.grams * share, line: index })),
    );
  }
  return ok(weighed);
}

function insideOf(made: MadeRef, larder: Larder, path: readonly OnTheWay[]): Result<WeighedLine[]> {
  const recipe = larder.recipe(made.recipeId, made.version, made.recordId);
  if (!recipe) return ok([]);
  const way = [...path, { recipeId: recipe.recipeId, name: recipe.name }];
  const round = path.findIndex(({ recipeId }) => recipeId === recipe.recipeId);
  if (round >= 0) return failedRound(way.slice(round));
  return way.length > RECIPE_LIMITS.nesting ? failedDepth() : expandLines(recipe.lines, larder, way);
}

export function failedDepth(): Result<never> {
  return failed(
    'too-deep',
    t`There may be ${{ nesting: RECIPE_LIMITS.nesting }} recipes within one another, not more: write out what the innermost is made of.`,
  );
}

function failedRound(way: readonly OnTheWay[]): Result<never> {
  const names = way.map(({ name }) => name).join(' → ');
  return failed('cycle', t`A recipe cannot be made of itself: ${names}. Take one of these out.`);
}

/** Whether a recipe, saved with these lines, would be made of itself; the problem names the way round. */
export function checkNoCycle(recipe: OnTheWay, lines: readonly Line[], larder: Larder): Result<true> {
  const way = wayBack(recipe, lines, larder, [recipe], new Set());
  if (way === 'too-deep') return failedDepth();
  return way ? failedRound(way) : ok(true);
}

function wayBack(
  recipe: OnTheWay,
  lines: readonly Line[],
  larder: Larder,
  path: readonly OnTheWay[],
  seen: Set<string>,
): readonly OnTheWay[] | 'too-deep' | undefined {
  if (path.length > RECIPE_LIMITS.nesting + 1) return 'too-deep';
  for (const { made } of lines) {
    if (!made) continue;
    const inner = larder.recipe(made.recipeId, made.version, made.recordId);
    const step = { recipeId: made.recipeId, name: inner?.name ?? recipe.name };
    if (made.recipeId === recipe.recipeId) return [...path, { ...step, name: recipe.name }];
    // The newest version too: a gel that now uses the cream would go round even if its old version did not.
    const newest = larder.recipes.find(({ recipeId }) => recipeId === made.recipeId);
    for (const version of new Set([inner, newest])) {
      if (!version || seen.has(version.id)) continue;
      seen.add(version.id);
      const found = wayBack(recipe, version.lines, larder, [...path, step], seen);
      if (found) return found;
    }
  }
  return undefined;
}
