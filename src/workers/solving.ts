import highsLoader from 'highs';
import {
  makeFromPantry,
  substitutesFor,
  type PantryRecipe,
  type StockedIngredient,
  type Substitute,
  type WishId,
} from '@/core/making';
import { solverFrom, type SolveProgramme } from '@/core/programme';
import type { School } from '@/core/classification';
import type { WeighedLine } from '@/core/recipes';

export interface SubstituteQuestion {
  readonly lines: readonly WeighedLine[];
  /** Index of the recipe line that is missing. */
  readonly replaced: number;
  readonly stock: readonly StockedIngredient[];
  readonly school: School;
}

export interface PantryQuestion {
  readonly wish: WishId;
  readonly stock: readonly StockedIngredient[];
  readonly school: School;
}

let loading: Promise<SolveProgramme> | undefined;

/** The solver is 3.5 MB, 860 KB compressed: it is fetched when first asked for. A worker's own address is no place to look beside. */
function solver(): Promise<SolveProgramme> {
  loading ??= highsLoader({
    locateFile: (file) => new URL(`/solver/${file}`, globalThis.location.origin).href,
  }).then(solverFrom);
  // What could not be fetched once, without a network, is fetched again at the next question.
  loading.catch(() => (loading = undefined));
  return loading;
}

export const solvingApi = {
  substitutes: async ({ lines, replaced, stock, school }: SubstituteQuestion): Promise<Substitute[]> =>
    substitutesFor(lines, replaced, stock, school, await solver()),
  fromPantry: async ({ wish, stock, school }: PantryQuestion): Promise<PantryRecipe[]> =>
    makeFromPantry(wish, stock, school, await solver()),
};

export type SolvingApi = typeof solvingApi;
