import { inOrder } from '../../records/log';
import {
  AS_WRITTEN,
  type Science,
  type Ingredient,
  type OwnIngredient,
  type RecipeVersion,
  type UsedVersion,
} from '../../records/shapes';
import { CATALOGUE, ingredientById } from '../ingredients';
import { unnamedRecipe } from './unnamed';
import { newestVersions, versionNames } from './versions';

/** Everything that a recipe can be made of, by id; what it is called, the reader knows. */
export interface Larder {
  /** All that can be chosen today. */
  readonly ingredients: readonly Ingredient[];
  /** Those of them that are her own. */
  readonly own: readonly Ingredient[];
  readonly recipes: readonly RecipeVersion[];
  /** How the household reads what is not settled of the science. */
  readonly science: Science;
  /** Also one that has been taken back: old versions stay readable. */
  ingredient(id: string): Ingredient | undefined;
  /** One version of a recipe, taken back or not. Of two with one number the first, unless its record is named. */
  recipe(recipeId: string, version: number, recordId?: string): RecipeVersion | undefined;
  /** The version that a record says was used. */
  used(version: UsedVersion): RecipeVersion | undefined;
  /** What a version is called: its number, with a letter where two places gave the same one. */
  versionName(version: RecipeVersion): string;
  /** Other versions with the same number, written somewhere else. */
  twinsOf(version: RecipeVersion): readonly RecipeVersion[];
  /** The newest version of a recipe that counts; of one that was taken out, its last. */
  lastVersion(recipeId: string): RecipeVersion | undefined;
  /** The last name of a recipe; its id where nothing is known of it. */
  recipeName(recipeId: string): string;
}

interface LarderContents {
  readonly own?: readonly OwnIngredient[];
  /** Her own ingredients that were taken back or replaced. */
  readonly formerOwn?: readonly OwnIngredient[];
  readonly recipes?: readonly RecipeVersion[];
  /** Versions that were taken back. */
  readonly formerRecipes?: readonly RecipeVersion[];
  readonly science?: Science;
}

const versionKey = (recipeId: string, version: number) => `${recipeId}/${version}`;

/** The built-in catalogue with her own ingredients and recipes. */
export function makeLarder({
  own = [],
  formerOwn = [],
  recipes = [],
  formerRecipes = [],
  science = AS_WRITTEN,
}: LarderContents): Larder {
  const ownById = new Map<string, Ingredient>();
  for (const { ingredient } of [...formerOwn, ...own]) ownById.set(ingredient.id, ingredient);
  const ownLive = [...new Map(own.map(({ ingredient }) => [ingredient.id, ingredient])).values()];
  const inOrderWritten = inOrder(recipes);
  const newest = newestVersions(inOrderWritten);
  const all = inOrder([...formerRecipes, ...recipes]);
  const byId = new Map(all.map((recipe) => [recipe.id, recipe]));
  const versions = new Map<string, RecipeVersion>();
  // What counts goes before what was taken back, and of those the first that was written.
  for (const recipe of [...inOrderWritten, ...inOrder(formerRecipes)]) {
    const key = versionKey(recipe.recipeId, recipe.version);
    if (!versions.has(key)) versions.set(key, recipe);
  }
  const names = versionNames(all);
  const recipe: Larder['recipe'] = (recipeId, version, recordId) => {
    const named = recordId === undefined ? undefined : byId.get(recordId);
    if (named?.recipeId === recipeId) return named;
    return versions.get(versionKey(recipeId, version)) ?? unnamedRecipe(recipeId);
  };
  const last = new Map([...newestVersions(formerRecipes), ...newest].map((each) => [each.recipeId, each]));
  const lastVersion = (recipeId: string) => last.get(recipeId) ?? unnamedRecipe(recipeId);
  return {
    ingredients: [...ownLive, ...CATALOGUE],
    own: ownLive,
    recipes: newest,
    science,
    ingredient: (id) => ownById.get(id) ?? ingredientById(id),
    recipe,
    used: ({ recipeId, recipeVersion, recipeRecordId }) => recipe(recipeId, recipeVersion, recipeRecordId),
    versionName: ({ id, version }) => names.get(id) ?? String(version),
    twinsOf: ({ id, recipeId, version }) =>
      recipes.filter((each) => each.recipeId === recipeId && each.version === version && each.id !== id),
    lastVersion,
    recipeName: (recipeId) => lastVersion(recipeId)?.name ?? recipeId,
  };
}

/** The catalogue alone. */
export const CATALOGUE_LARDER = makeLarder({});
