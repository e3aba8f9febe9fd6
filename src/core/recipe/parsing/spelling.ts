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
    const { measures, overnight } = meantWordsOf(words);
    const isNear = (word: string) => isNearly(token.word, word);
    const meant =
      (isCounted ? measures.find(isNear) : undefined) ??
      (token.word.length >= LEAST_ALONE ? overnight.find(isNear) : undefined);
    return meant === undefined || beginsName(tokens, at, lexicon) ? token : { ...token, word: meant };
  });
}

/** "two tabelspoons", "half a cupp" */
const isNumberWord = (tokens: readonly Token[], at: number, { numbers, fractions }: Vocabulary): boolean =>
  numbers.endsAt(tokens, at, 2) || fractions.endsAt(tokens, at, 2);

const beginsName = (tokens: readonly Token[], at: number, lexicon: Pick<NameLexicon, 'inWords'>): boolean =>
  lexicon.inWords(tokens.slice(at, at + NAME_WORDS).map(({ word }) => word)).some(({ start }) => start === 0);

const TIMES: ReadonlySet<TimeUnit> = new Set<TimeUnit>(['min', 'h', 'day', 'week']);

/** Spoons, cups, grams, drops and percents: what is counted in them is nothing else. */
const isUncounted = (unit: UnitId): boolean => UNITS[unit].kind !== 'count';

interface MeantWords {
  readonly measures: readonly string[];
  readonly overnight: readonly string[];
}

const meantWords = new WeakMap<Vocabulary, MeantWords>();

/** What misspelt words may mean; made once for the languages of a text. */
function meantWordsOf(words: Vocabulary): MeantWords {
  const known = meantWords.get(words);
  if (known) return known;
  const measures = [
    ...words.units.single(isUncounted),
    ...words.time.single((unit) => TIMES.has(unit)),
  ].filter((word) => word.length >= LEAST_LETTERS);
  const made = { measures, overnight: words.roles.overnight.single(() => true) };
  meantWords.set(words, made);
  return made;
}
