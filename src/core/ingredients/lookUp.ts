import MiniSearch from 'minisearch';
import { CATALOGUE, ingredientById } from './catalogue';
import type { Ingredient } from './ingredient';

/** Lower case, no accents, only letters, digits and single spaces. */
export function plainWords(text: string): string[] {
  return text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replace(/['’]/g, '')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}

/** English plurals folded to one form, the same on both sides of a comparison. */
function singular(word: string): string {
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (word.length > 4 && word.endsWith('oes')) return word.slice(0, -2);
  if (word.length > 3 && word.endsWith('s') && !word.endsWith('ss')) return word.slice(0, -1);
  return word;
}

function phraseOf(text: string): string {
  return plainWords(text).map(singular).join(' ');
}

const LONGEST_PHRASE_WORDS = 5;

const byPhrase = new Map<string, Ingredient>();
for (const ingredient of CATALOGUE) {
  for (const name of [ingredient.name, ...ingredient.names]) {
    const phrase = phraseOf(name);
    if (!byPhrase.has(phrase)) byPhrase.set(phrase, ingredient);
  }
}

export interface PhraseMatch {
  readonly ingredient: Ingredient;
  /** The words of the text that named it. */
  readonly words: number;
  /** Index of the first of those words. */
  readonly start: number;
}

/**
 * The catalogue names that stand in the text word for word, the longest first and, among equals, the earliest.
 * Names inside a longer name are left out: "coconut milk" is not milk.
 */
export function namesInText(text: string): PhraseMatch[] {
  const words = plainWords(text).map(singular);
  const taken = new Set<number>();
  const matches: PhraseMatch[] = [];
  for (let length = Math.min(LONGEST_PHRASE_WORDS, words.length); length >= 1; length--) {
    for (let start = 0; start + length <= words.length; start++) {
      const span = Array.from({ length }, (_, offset) => start + offset);
      if (span.some((index) => taken.has(index))) continue;
      const ingredient = byPhrase.get(words.slice(start, start + length).join(' '));
      if (!ingredient) continue;
      span.forEach((index) => taken.add(index));
      matches.push({ ingredient, words: length, start });
    }
  }
  return matches;
}

let search: MiniSearch | undefined;

/** Built when first needed: most recipes name everything exactly. */
function searchIndex(): MiniSearch {
  if (!search) {
    search = new MiniSearch({
      fields: ['name', 'names'],
      searchOptions: { fuzzy: 0.25, prefix: true, boost: { name: 2 } },
      processTerm: (term) => singular(plainWords(term).join('')) || null,
    });
    search.addAll(
      CATALOGUE.map((ingredient) => ({
        id: ingredient.id,
        name: ingredient.name,
        names: ingredient.names.join(' '),
      })),
    );
  }
  return search;
}

/** Ingredients whose names are near the text, misspellings included, the nearest first. */
export function nearestIngredients(text: string, limit: number): Ingredient[] {
  const query = text.slice(0, 200);
  const every = searchIndex().search(query, { combineWith: 'AND' });
  const found = every.length > 0 ? every : searchIndex().search(query);
  return found.slice(0, limit).flatMap((hit) => ingredientById(hit.id) ?? []);
}
