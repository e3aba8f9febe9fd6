import { UNITS, type UnitId } from '../../base/measures';
import { isNearly } from '../ingredients';
import { isKnownWord } from './knownWords';
import type { NameLexicon } from './lexicon';
import { isNumber, isWord, type Token } from './tokens';
import type { TimeUnit, Vocabulary } from './vocabulary';

/** Shorter words are too near to one another. */
const LEAST_LETTERS = 4;
/** "overnite": nothing else is near a word so long. */
const LEAST_ALONE = 8;
/** Words of a name that begins with one that is misspelt. */
const NAME_WORDS = 3;

/** "2 tabelspoons", "30 mintues", "overnite": measures and times of which a letter is wrong, as they are meant; the text stays as it was told. */
export function withSpeltMeasures(
  tokens: readonly Token[],
  words: Vocabulary,
  lexicon: Pick<NameLexicon, 'inWords'>,
): readonly Token[] {
  return tokens.map((token, at) => {
    if (!isWord(token) || token.word.length < LEAST_LETTERS || isKnownWord(token.word)) return token;
    const isCounted = isNumber(tokens[at - 1]) || isNumberWord(tokens, at, words);
    const meant =
      (isCounted ? measuresOf(words).find((word) => isNearly(token.word, word)) : undefined) ??
      (token.word.length >= LEAST_ALONE
        ? overnightOf(words).find((word) => isNearly(token.word, word))
        : undefined);
    return meant === undefined || beginsName(tokens, at, lexicon) ? token : { ...token, word: meant };
  });
}

/** "two tabelspoons", "half a cupp" */
const isNumberWord = (tokens: readonly Token[], at: number, { numbers, fractions }: Vocabulary): boolean =>
  numbers.endsAt(tokens, at, 2) || fractions.endsAt(tokens, at, 2);

const beginsName = (tokens: readonly Token[], at: number, lexicon: Pick<NameLexicon, 'inWords'>): boolean =>
  lexicon.inWords(tokens.slice(at, at + NAME_WORDS).map(({ word }) => word)).some(({ start }) => start === 0);

const TIMES: ReadonlySet<TimeUnit> = new Set<TimeUnit>(['min', 'h', 'day', 'week']);

/** Spoons, cups, grams and drops: what is counted in them is nothing else. */
const isMeasure = (unit: UnitId): boolean => UNITS[unit].kind !== 'count';

const measures = new WeakMap<Vocabulary, readonly string[]>();

function measuresOf(words: Vocabulary): readonly string[] {
  const known = measures.get(words);
  if (known) return known;
  const made = [...words.units.single(isMeasure), ...words.time.single((unit) => TIMES.has(unit))].filter(
    (word) => word.length >= LEAST_LETTERS,
  );
  measures.set(words, made);
  return made;
}

const overnightOf = ({ roles }: Vocabulary): readonly string[] => roles.overnight.single(() => true);
