import { distance } from 'fastest-levenshtein';

/** Neither accents nor apostrophes. */
const PLAIN = /^[\x20-\x26\x28-\x7e\s]*$/;

/** Lower case, no accents, no French elisions, only letters, digits and single spaces. */
export function plainWords(text: string): string[] {
  // Most texts have nothing to take off: these take a fifth of the time.
  if (PLAIN.test(text)) return text.toLowerCase().match(/[a-z0-9]+/g) ?? [];
  return text
    .replace(/œ/gi, 'oe')
    .replace(/æ/gi, 'ae')
    .replace(/ß/g, 'ss')
    .replace(/\b[dl]['’](?=\p{L})/giu, '')
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replace(/['’]/g, '')
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}

/** English plurals folded to one form, the same on both sides of a comparison. */
export function singular(word: string): string {
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (word.length > 4 && word.endsWith('oes')) return word.slice(0, -2);
  if (word.length > 4 && word.endsWith('ves')) return `${word.slice(0, -3)}f`;
  if (word.length > 3 && word.endsWith('s') && !word.endsWith('ss')) return word.slice(0, -1);
  // Bananen, Gurken, Zwiebeln, Kartoffeln.
  if (word.length > 5 && /(?:en|eln|ern)$/.test(word)) return word.slice(0, -1);
  return word;
}

function phraseOf(text: string): string {
  return plainWords(text).map(singular).join(' ');
}

/** Something that a recipe line can name. */
export interface Named {
  readonly id: string;
  readonly name: string;
  /** Other names of the same thing. */
  readonly names: readonly string[];
}

export interface PhraseMatch<T extends Named> {
  readonly item: T;
  /** How many words of the text named it. */
  readonly words: number;
  /** Index of the first of those words among the plain words of the text. */
  readonly start: number;
}

export interface Misspelling<T extends Named> {
  readonly item: T;
  /** As written, and as it was taken. */
  readonly written: string;
  readonly taken: string;
}

const LONGEST_PHRASE_WORDS = 6;

/**
 * How many letters may be wrong: one in a word of five letters, two from seven on. Shorter words are too near to one
 * another ("oil", "oat") to guess.
 */
function lettersForgiven(length: number): number {
  return length >= 7 ? 2 : length >= 5 ? 1 : 0;
}

/** Two neighbouring letters changed places. */
function isSwap(a: string, b: string): boolean {
  if (a.length !== b.length) return false;
  const at = [...a].findIndex((letter, index) => letter !== b[index]);
  return at >= 0 && a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
}

/** Two letters changed places, or one is wrong, missing or too many; a word of less than four letters is never nearly another. */
export const isNearly = (written: string, meant: string): boolean =>
  written.length > 3 &&
  written !== meant &&
  written[0] === meant[0] &&
  (isSwap(written, meant) || distance(written, meant) === 1);

/**
 * How many letters of a phrase are wrong, word by word: in none of its words more than may be, so that whey is not
 * taken for wheat because "protein" follows.
 */
function lettersWrong(written: string, meant: string): number {
  const words = meant.split(' ');
  return written.split(' ').reduce((total, word, index) => {
    const other = words[index] ?? '';
    const wrong = word === other ? 0 : isSwap(word, other) ? 1 : distance(word, other);
    return wrong > lettersForgiven(word.length) ? Infinity : total + wrong;
  }, 0);
}

const shapeOf = (phrase: string, words: number) => `${phrase[0] ?? ''}${words}`;

/** Names of things, looked up word for word or misspelt. Lexicons before it are asked first. */
export class Lexicon<T extends Named> {
  private readonly byPhrase = new Map<string, T>();
  /** By their first word, how many words the longest of the phrases has. */
  private readonly longestFrom = new Map<string, number>();
  /** Phrases by first letter and number of words, made when something is misspelt. */
  private alike: Map<string, [string, T][]> | undefined;
  private readonly before: readonly Lexicon<T>[];

  /** The first thing that has a name keeps it. */
  constructor(items: readonly T[], ...before: readonly Lexicon<T>[]) {
    this.before = before;
    for (const item of items) {
      for (const name of [item.name, ...item.names]) {
        const phrase = phraseOf(name);
        if (phrase !== '' && !this.byPhrase.has(phrase)) this.put(phrase, item);
      }
    }
  }

  private put(phrase: string, item: T): void {
    this.byPhrase.set(phrase, item);
    const words = phrase.split(' ');
    const first = words[0] ?? '';
    this.longestFrom.set(first, Math.max(words.length, this.longestFrom.get(first) ?? 0));
  }

  /** No name that begins with this word has more words. */
  private mostWords(first: string): number {
    return Math.max(this.longestFrom.get(first) ?? 0, ...this.before.map((each) => each.mostWords(first)));
  }

  private named(phrase: string): T | undefined {
    for (const lexicon of this.before) {
      const item = lexicon.named(phrase);
      if (item) return item;
    }
    return this.byPhrase.get(phrase);
  }

  /**
   * The names that stand in the text word for word, the longest first and, among equals, the earliest. Names inside a
   * longer name are left out: "coconut milk" is not milk.
   */
  inText(text: string): PhraseMatch<T>[] {
    return this.inWords(plainWords(text));
  }

  /** The same of plain words, as {@link plainWords} gives them. */
  inWords(plain: readonly string[]): PhraseMatch<T>[] {
    const words = plain.map(singular);
    const most = words.map((word) => Math.min(LONGEST_PHRASE_WORDS, this.mostWords(word)));
    const taken = new Set<number>();
    const matches: PhraseMatch<T>[] = [];
    for (let length = Math.max(0, ...most); length >= 1; length--) {
      for (let start = 0; start + length <= words.length; start++) {
        if ((most[start] ?? 0) < length) continue;
        const span = Array.from({ length }, (_, offset) => start + offset);
        if (span.some((index) => taken.has(index))) continue;
        const item = this.named(words.slice(start, start + length).join(' '));
        if (!item) continue;
        span.forEach((index) => taken.add(index));
        matches.push({ item, words: length, start });
      }
    }
    return matches;
  }

  /**
   * The one thing that a misspelt name in the text can only mean: nearest in letters, with the same first letter.
   * Undefined when nothing is near or two things are equally near.
   */
  misspeltIn(text: string): (Misspelling<T> & PhraseMatch<T>) | undefined {
    const words = plainWords(text).map(singular);
    for (let length = Math.min(3, words.length); length >= 1; length--) {
      for (let start = 0; start + length <= words.length; start++) {
        const written = words.slice(start, start + length).join(' ');
        const nearest = [...this.before, this]
          .flatMap((lexicon) => lexicon.nearestPhrase(written, length) ?? [])
          .sort((a, b) => a.letters - b.letters);
        const [best, next] = nearest;
        if (!best || (next && next.letters === best.letters && next.item.id !== best.item.id)) continue;
        return { item: best.item, words: length, start, written, taken: best.phrase };
      }
    }
    return undefined;
  }

  private phrasesLike(shape: string): readonly [string, T][] {
    if (!this.alike) {
      this.alike = new Map();
      for (const entry of this.byPhrase) {
        const own = shapeOf(entry[0], entry[0].split(' ').length);
        const found = this.alike.get(own);
        if (found) found.push(entry);
        else this.alike.set(own, [entry]);
      }
    }
    return this.alike.get(shape) ?? [];
  }

  private nearestPhrase(
    written: string,
    words: number,
  ): { phrase: string; letters: number; item: T } | undefined {
    const forgiven = lettersForgiven(written.length);
    if (forgiven === 0) return undefined;
    let best: { phrase: string; letters: number; item: T; alone: boolean } | undefined;
    for (const [phrase, item] of this.phrasesLike(shapeOf(written, words))) {
      if (Math.abs(phrase.length - written.length) > forgiven) continue;
      const letters = lettersWrong(written, phrase);
      if (letters > forgiven || (best && letters > best.letters)) continue;
      if (best?.letters === letters) best = { ...best, alone: best.alone && best.item.id === item.id };
      else best = { phrase, letters, item, alone: true };
    }
    return best?.alone ? best : undefined;
  }
}
