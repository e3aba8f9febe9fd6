import MiniSearch from 'minisearch';
import { wordSearch } from '../ingredients';
import type { RecipeVersion } from './recipe';

/** Recipes that are indexed before the page may breathe again. */
const CHUNK = 100;

/** Recipes by the words of their names and their texts; misspelt and unfinished words find too. */
export class RecipeSearch {
  private readonly byId: ReadonlyMap<string, RecipeVersion>;

  private constructor(
    recipes: readonly RecipeVersion[],
    private readonly index: MiniSearch<RecipeVersion>,
  ) {
    this.byId = new Map(recipes.map((recipe) => [recipe.recipeId, recipe]));
  }

  /** @param recipes one version of each; the index is made in small steps, so that thousands do not hold a page up */
  static async over(recipes: readonly RecipeVersion[]): Promise<RecipeSearch> {
    const index = new MiniSearch<RecipeVersion>({
      ...wordSearch({ fuzzy: 0.2, boost: { name: 3 }, combineWith: 'AND' }),
      idField: 'recipeId',
      fields: ['name', 'text'],
    });
    await index.addAllAsync(recipes, { chunkSize: CHUNK });
    return new RecipeSearch(recipes, index);
  }

  /** The recipes that hold all of the words, the best first. */
  find(words: string): RecipeVersion[] {
    return this.index.search(words.slice(0, 200)).flatMap(({ id }) => this.byId.get(id as string) ?? []);
  }
}
