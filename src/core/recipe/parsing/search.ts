import MiniSearch from 'minisearch';
import type { SearchOptions } from 'minisearch';
import type { RecipeVersion } from '../../records/shapes';
import { plainWords, singular } from '../ingredients';
import type { LarderItem, NameLexicon } from './lexicon';

/**
 * How words are searched for: in any case and number, with or without accents, unfinished, with a share of their letters wrong but
 * never more than two: each more letter multiplies the time, and what it finds is another word.
 */
function wordSearch(options: SearchOptions & { readonly fuzzy: number }) {
  return {
    searchOptions: { prefix: true, maxFuzzy: 2, ...options },
    processTerm: (term: string) => singular(plainWords(term).join('')) || null,
  };
}

/** Of a text that is looked for no more is read. */
const LONGEST_QUERY = 200;
/** Recipes that are indexed before the page may breathe again. */
const CHUNK = 100;

/** Made when first needed, once for a list: most recipes name everything exactly, and the catalogue stays the same. */
const INDEXES = new WeakMap<readonly LarderItem[], MiniSearch>();

function indexOf(items: readonly LarderItem[]): MiniSearch {
  const known = INDEXES.get(items);
  if (known) return known;
  const index = new MiniSearch({
    ...wordSearch({ fuzzy: 0.25, boost: { name: 2 } }),
    fields: ['name', 'names'],
  });
  index.addAll(items.map(({ name, names }, id) => ({ id, name, names: names.join(' ') })));
  INDEXES.set(items, index);
  return index;
}

/** Things whose names are near the text, misspellings included, the nearest first. */
export function near({ items }: Pick<NameLexicon, 'items'>, text: string, limit: number): LarderItem[] {
  const query = text.slice(0, LONGEST_QUERY);
  const found: LarderItem[] = [];
  for (const group of items) {
    if (group.length === 0 || found.length >= limit) continue;
    const index = indexOf(group);
    const every = index.search(query, { combineWith: 'AND' });
    const hits = every.length > 0 ? every : index.search(query);
    found.push(...hits.slice(0, limit).flatMap((hit) => group[hit.id as number] ?? []));
  }
  return found.slice(0, limit);
}

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
    return this.index
      .search(words.slice(0, LONGEST_QUERY))
      .flatMap(({ id }) => this.byId.get(id as string) ?? []);
  }
}
