import {
  CATALOGUE,
  ingredientById,
  Lexicon,
  type Ingredient,
  type Named,
  type OwnIngredient,
  type PhraseMatch,
} from '../ingredients';
import type { RecipeVersion } from './recipe';
import { newestVersions } from './versions';

/** What a recipe line can name: an ingredient, or a recipe that is used as one. */
export type LarderItem = Named &
  (
    | { readonly ingredient: Ingredient; readonly recipe?: never }
    | { readonly recipe: RecipeVersion; readonly ingredient?: never }
  );

/** Everything that a recipe can be made of, by name and by id. */
export interface Larder {
  /** All that can be chosen today. */
  readonly ingredients: readonly Ingredient[];
  readonly recipes: readonly RecipeVersion[];
  /** Also one that has been taken back: old versions stay readable. */
  ingredient(id: string): Ingredient | undefined;
  /** One version of a recipe, taken back or not. */
  recipe(recipeId: string, version: number): RecipeVersion | undefined;
  /** The newest version of a recipe that counts; of one that was taken out, its last. */
  lastVersion(recipeId: string): RecipeVersion | undefined;
  /** The last name of a recipe; its id where nothing is known of it. */
  recipeName(recipeId: string): string;
  inText(text: string): PhraseMatch<LarderItem>[];
  misspeltIn(text: string): ReturnType<Lexicon<LarderItem>['misspeltIn']>;
  near(text: string, limit: number): LarderItem[];
}

const asItem = (ingredient: Ingredient): LarderItem => ({
  id: ingredient.id,
  name: ingredient.name,
  names: ingredient.names,
  ingredient,
});

const CATALOGUE_LEXICON = new Lexicon(CATALOGUE.map(asItem));

interface LarderContents {
  readonly own?: readonly OwnIngredient[];
  /** Her own ingredients that were taken back or replaced. */
  readonly formerOwn?: readonly OwnIngredient[];
  readonly recipes?: readonly RecipeVersion[];
  /** Versions that were taken back. */
  readonly formerRecipes?: readonly RecipeVersion[];
}

const versionKey = (recipeId: string, version: number) => `${recipeId}/${version}`;

/**
 * The built-in catalogue with her own ingredients and recipes. Where names clash, her own ingredient goes first, then
 * the catalogue, then a recipe: a recipe called "Honey" does not change what honey is.
 */
export function makeLarder({
  own = [],
  formerOwn = [],
  recipes = [],
  formerRecipes = [],
}: LarderContents): Larder {
  const ownById = new Map<string, Ingredient>();
  for (const { ingredient } of [...formerOwn, ...own]) ownById.set(ingredient.id, ingredient);
  const ownLive = [...new Map(own.map(({ ingredient }) => [ingredient.id, ingredient])).values()];
  const newest = newestVersions(recipes);
  const versions = new Map(
    [...formerRecipes, ...recipes].map((recipe) => [versionKey(recipe.recipeId, recipe.version), recipe]),
  );
  const last = new Map(
    [...newestVersions(formerRecipes), ...newest].map((recipe) => [recipe.recipeId, recipe]),
  );
  const lexicon = new Lexicon<LarderItem>(
    newest.map((recipe) => ({ id: recipe.recipeId, name: recipe.name, names: [], recipe })),
    new Lexicon(ownLive.map(asItem)),
    CATALOGUE_LEXICON,
  );
  return {
    ingredients: [...ownLive, ...CATALOGUE],
    recipes: newest,
    ingredient: (id) => ownById.get(id) ?? ingredientById(id),
    recipe: (recipeId, version) => versions.get(versionKey(recipeId, version)),
    lastVersion: (recipeId) => last.get(recipeId),
    recipeName: (recipeId) => last.get(recipeId)?.name ?? recipeId,
    inText: (text) => lexicon.inText(text),
    misspeltIn: (text) => lexicon.misspeltIn(text),
    near: (text, limit) => lexicon.near(text, limit),
  };
}

/** The catalogue alone. */
export const CATALOGUE_LARDER = makeLarder({});
