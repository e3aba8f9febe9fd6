import { plainWords } from '../ingredients';
import type { Found } from './item';
import { isMark, says } from './marks';
import { SHARED_NOUNS } from './sharedNouns';
import { isNumber, isWord, type Token } from './tokens';
import { describes, type Vocabulary } from './vocabulary';

/** "a cup of camel milk", "manteiga de pracaxi": of something that nobody knows; asked about, and no milk of a cow. */
export function dropOfUnknown(found: Found, tokens: readonly Token[], words: Vocabulary): void {
  const { units, numbers, fractions, articles, roles, deeds } = words;
  const isUnknown = (at: number) =>
    isWord(tokens[at]) &&
    (tokens[at]?.word.length ?? 0) > 2 &&
    !describes(words, tokens[at]?.word ?? '') &&
    ![
      units,
      numbers,
      fractions,
      articles,
      deeds,
      roles.of,
      roles.or,
      roles.and,
      roles.heaped,
      roles.level,
    ].some((table) => table.at(tokens, at) !== undefined) &&
    !found.has(at);
  for (const [at, { to }] of [...found]) {
    if (to > at + 1) continue;
    const isMeasured = isNumber(tokens[at - 2]) || isBehindMeasure(tokens, at - 1, words);
    const isBehind = says(tokens[at], 'headNoun') && isMeasured && isUnknown(at - 1);
    const isBefore =
      says(tokens[at], 'headNounFirst') && says(tokens[to], 'ofNounFirst') && isUnknown(to + 1);
    if (isBehind || isBefore) found.delete(at);
  }
}

/** "two spoons of …": a measure, a number or "of" stands right before it. */
export const isBehindMeasure = (
  tokens: readonly Token[],
  at: number,
  { roles, units, numbers, fractions }: Vocabulary,
): boolean => [roles.of, units, numbers, fractions].some((table) => table.endsAt(tokens, at, 2));

/** "sapote juice" is no soap, "camel milk" no milk of a cow: a noun that makes it another thing. */
export function isOfOtherNoun(words: readonly string[], written: string): boolean {
  const own = new Set(plainWords(written));
  const isNoun = (word: string) => isMark(word, 'headNoun') || isMark(word, 'headNounFirst');
  const others = words.filter((word) => !own.has(word));
  return (
    others.some((word) => isNoun(word) || SHARED_NOUNS.includes(word)) ||
    (own.size === 1 && others.length > 0 && isNoun([...own][0] ?? ''))
  );
}
