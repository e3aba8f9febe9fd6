import { perLanguage } from '../../base/language';
import { inOrder } from '../../records/log';
import type { Ingredient, OwnIngredient, RecipeVersion, UsedVersion } from '../../records/shapes';
import { CATALOGUE, ingredientById, Lexicon, type Named, type PhraseMatch } from '../ingredients';
import { newestVersions, versionNames } from './versions';

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
  /** All of it in the order in which it is looked up: her own ingredients, the catalogue, recipes. */
  readonly items: readonly (readonly LarderItem[])[];
  inText(text: string): PhraseMatch<LarderItem>[];
  /** The same of plain words. */
  inWords(words: readonly string[]): PhraseMatch<LarderItem>[];
  misspeltIn(text: string): ReturnType<Lexicon<LarderItem>['misspeltIn']>;
}

const asItem = (ingredient: Ingredient): LarderItem => ({
  id: ingredient.id,
  name: ingredient.name,
  names: ingredient.names,
  ingredient,
});

const catalogueItems = perLanguage(() => CATALOGUE.map(asItem));
const catalogueLexicon = perLanguage(() => new Lexicon(catalogueItems()));

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
    return named?.recipeId === recipeId ? named : versions.get(versionKey(recipeId, version));
  };
  const last = new Map([...newestVersions(formerRecipes), ...newest].map((each) => [each.recipeId, each]));
  const ownItems = ownLive.map(asItem);
  const recipeItems = newest.map((each): LarderItem => ({
    id: each.recipeId,
    name: each.name,
    names: [],
    recipe: each,
  }));
  const lexicon = perLanguage(() => new Lexicon(recipeItems, new Lexicon(ownItems), catalogueLexicon()));
  return {
    ingredients: [...ownLive, ...CATALOGUE],
    recipes: newest,
    ingredient: (id) => ownById.get(id) ?? ingredientById(id),
    recipe,
    used: ({ recipeId, recipeVersion, recipeRecordId }) => recipe(recipeId, recipeVersion, recipeRecordId),
    versionName: ({ id, version }) => names.get(id) ?? String(version),
    twinsOf: ({ id, recipeId, version }) =>
      recipes.filter((each) => each.recipeId === recipeId && each.version === version && each.id !== id),
    lastVersion: (recipeId) => last.get(recipeId),
    recipeName: (recipeId) => last.get(recipeId)?.name ?? recipeId,
    get items() {
      return [ownItems, catalogueItems(), recipeItems];
    },
    inText: (text) => lexicon().inText(text),
    inWords: (words) => lexicon().inWords(words),
    misspeltIn: (text) => lexicon().misspeltIn(text),
  };
}

/** The catalogue alone. */
export const CATALOGUE_LARDER = makeLarder({});
