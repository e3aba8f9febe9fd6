import type { Token } from './tokens';

interface Entry<T> {
  readonly words: readonly string[];
  readonly value: T;
}

/** Signs that may stand inside a phrase: "pre-poo", "c. à soupe", "over-night". */
const INSIDE = new Set(['-', '.', "'", '’', '‑', '/', '(']);

/** Phrases of one or more plain words, each with what it means; the longest that fits is found. */
export class PhraseTable<T> {
  private readonly byFirst = new Map<string, Entry<T>[]>();

  constructor(entries: Iterable<readonly [phrase: string, value: T]>) {
    for (const [phrase, value] of entries) {
      const words = phrase.split(' ');
      const [first = ''] = words;
      const known = this.byFirst.get(first);
      if (!known) this.byFirst.set(first, [{ words, value }]);
      else if (!known.some((entry) => entry.words.join(' ') === phrase)) known.push({ words, value });
    }
    for (const entries of this.byFirst.values()) entries.sort((a, b) => b.words.length - a.words.length);
  }

  /** @returns the value of the longest phrase that begins at the token, and the index of the token after it */
  at(tokens: readonly Token[], index: number): { readonly value: T; readonly to: number } | undefined {
    const entries = this.byFirst.get(tokens[index]?.word ?? '');
    if (!entries) return undefined;
    for (const { words, value } of entries) {
      const to = endOf(tokens, index, words);
      if (to !== undefined) return { value, to };
    }
    return undefined;
  }

  /** Whether one word alone is a phrase. */
  has(word: string): boolean {
    return this.byFirst.get(word)?.some(({ words }) => words.length === 1) ?? false;
  }

  /** The phrases of one word whose value is wanted. */
  single(isWanted: (value: T) => boolean): string[] {
    return [...this.byFirst.values()].flatMap((entries) =>
      entries.flatMap(({ words, value }) => (words.length === 1 && isWanted(value) ? words : [])),
    );
  }

  /** Whether a phrase stands right before a token. @param within it begins at most so many tokens earlier */
  endsAt(tokens: readonly Token[], index: number, within: number): boolean {
    for (let back = 1; back <= within; back++) if (this.at(tokens, index - back)?.to === index) return true;
    return false;
  }

  /** Whether a phrase begins somewhere between two tokens. */
  isWithin(tokens: readonly Token[], from: number, to: number): boolean {
    for (let index = from; index < Math.min(to, tokens.length); index++)
      if (this.at(tokens, index)) return true;
    return false;
  }
}

function endOf(tokens: readonly Token[], index: number, words: readonly string[]): number | undefined {
  // The table was asked by this word: one word needs no more.
  if (words.length === 1) return tokens[index]?.kind === 'sign' ? undefined : index + 1;
  let at = index;
  for (const [nth, word] of words.entries()) {
    if (nth > 0) while (isSignOf(tokens[at], INSIDE) && !endsHere(tokens, at)) at++;
    const isAnd = word === 'and' && isSignOf(tokens[at], AND);
    if (!isAnd && (tokens[at]?.word !== word || tokens[at]?.kind === 'sign')) return undefined;
    at++;
  }
  // "colheres (sopa)": the bracket is closed with the phrase.
  const isOpen = tokens.slice(index, at).some((token) => isSignOf(token, OPEN));
  return isOpen && isSignOf(tokens[at], CLOSED) ? at + 1 : at;
}

/** No abbreviation has more letters. */
const SHORT_LETTERS = 2;

/** "Right then. Wash day …": a full stop behind a word, before a capital. */
const endsHere = (tokens: readonly Token[], at: number): boolean =>
  tokens[at]?.word === '.' &&
  (tokens[at - 1]?.word.length ?? 0) > SHORT_LETTERS &&
  /^\p{Lu}/u.test(tokens[at + 1]?.raw ?? '');

/** "half & half" */
const AND = new Set(['&', '+']);
const OPEN = new Set(['(']);
const CLOSED = new Set([')']);

const isSignOf = (token: Token | undefined, signs: ReadonlySet<string>): boolean =>
  token?.kind === 'sign' && signs.has(token.word);
