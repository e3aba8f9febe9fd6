import type { UnitId } from '../../base/measures';
import type { Deed } from '../../records/shapes';
import { singular } from '../ingredients';
import { LANGUAGES } from './languages';
import type { PieceSize } from './lineAmount';
import { PhraseTable } from './phrases';
import type { Texture } from './textures';
import type { Token } from './tokens';

export type TimeUnit = 's' | 'min' | 'h' | 'day' | 'week' | 'month';

/** Words that join, deny or refer; each is a role that a phrase can have. */
const ROLES = [
  'about',
  'heaped',
  'level',
  'of',
  'and',
  'with',
  'or',
  'not',
  'each',
  'equal',
  'same',
  'another',
  'correction',
  'formerly',
  'optional',
  'except',
  'overnight',
  'cap',
  'warm',
  'coolRinse',
  'beforeWash',
  'kinds',
  'titleStarts',
  'isA',
  'must',
  'some',
  'beside',
  'days',
  'infusedOil',
  'infusedIn',
  'contains',
  'persons',
  'byHand',
  'theRest',
  'goInto',
  'tools',
  'notNames',
  'bareMinutes',
  'inAll',
  'allIn',
  'allOf',
  'swap',
  'isBad',
  'tooMuch',
  'topUp',
  'idioms',
  'hearsay',
  'otherTimes',
  'answerYes',
  'answerNo',
  'bareOil',
  'masks',
  'now',
  'thrownOff',
  'yields',
  'uses',
  'creams',
] as const;
export type Role = (typeof ROLES)[number];

/** A file of data/reading: the words of one language. Phrases are plain: lower case, no accents, no signs. */
interface Words extends Partial<Record<Role, readonly string[]>> {
  readonly numbers: Readonly<Record<string, number>>;
  readonly articles: readonly string[];
  readonly fractions?: Readonly<Record<string, number>>;
  readonly more?: Readonly<Record<string, number>>;
  readonly units: Readonly<Record<string, readonly string[]>>;
  readonly unitsBeforeName?: readonly string[];
  readonly sizes?: Readonly<Record<string, string>>;
  readonly sized?: readonly string[];
  readonly time: Readonly<Record<string, readonly string[]>>;
  readonly durations?: Readonly<Record<string, number>>;
  readonly verbs: Readonly<Record<string, readonly string[]>>;
  readonly headings?: Readonly<Record<string, readonly string[]>>;
  readonly claims?: Readonly<Record<string, readonly string[]>>;
  readonly textures?: Readonly<Record<string, readonly string[]>>;
  readonly wholes?: Readonly<Record<string, number>>;
  readonly multiples?: Readonly<Record<string, number>>;
  readonly describing: string;
  /** Words that mean nothing here and tell the language. */
  readonly common?: string;
}

const WORDS: Readonly<Record<string, Words>> = LANGUAGES;

/** The words that a text is read with. */
export interface Vocabulary {
  readonly languages: readonly string[];
  readonly numbers: PhraseTable<number>;
  readonly articles: PhraseTable<true>;
  readonly fractions: PhraseTable<number>;
  readonly more: PhraseTable<number>;
  readonly units: PhraseTable<UnitId>;
  readonly unitsBeforeName: PhraseTable<true>;
  readonly sizes: PhraseTable<PieceSize>;
  readonly sized: PhraseTable<true>;
  readonly time: PhraseTable<TimeUnit>;
  readonly durations: PhraseTable<number>;
  readonly deeds: PhraseTable<Deed>;
  readonly headings: PhraseTable<'ingredients' | 'method' | 'noise'>;
  readonly claims: PhraseTable<'protein' | 'moisture'>;
  readonly textures: PhraseTable<Texture>;
  /** "twice as much", "o dobro de": how many times what was measured last. */
  readonly multiples: PhraseTable<number>;
  /** "Halve everything": by what all that was told before is multiplied. */
  readonly wholes: PhraseTable<number>;
  readonly roles: Readonly<Record<Role, PhraseTable<true>>>;
  /** Words that describe and do not name. */
  readonly describing: ReadonlySet<string>;
}

const listed = (words: readonly (readonly string[] | undefined)[]) =>
  new PhraseTable(words.flatMap((each) => (each ?? []).map((phrase) => [phrase, true as const] as const)));

const valued = <T>(words: readonly (Readonly<Record<string, T>> | undefined)[]) =>
  new PhraseTable<T>(words.flatMap((each) => Object.entries(each ?? {})));

/** Turned round: the key is what the phrases mean. */
const keyed = <K extends string>(
  words: readonly (Readonly<Record<string, readonly string[]>> | undefined)[],
) =>
  new PhraseTable<K>(
    words.flatMap((each) =>
      Object.entries(each ?? {}).flatMap(([key, phrases]) =>
        phrases.map((phrase) => [phrase, key as K] as const),
      ),
    ),
  );

/** "no coador" is in the strainer, and denies nothing; "a linhaça" is no count of one: where another language is written its small words are not English. */
function withoutClashes(words: Words | undefined, language: string, languages: readonly string[]): Words[] {
  if (!words) return [];
  if (language !== 'en') return [words];
  const small = new Set(
    languages.flatMap((other) =>
      other === 'en' ? [] : [...(WORDS[other]?.with ?? []), ...(WORDS[other]?.describing.split(' ') ?? [])],
    ),
  );
  const own = (phrases: readonly string[] = []) => phrases.filter((phrase) => !small.has(phrase));
  // "1 cc d'huile" is a coffee spoon where French is written.
  const measures = new Set(
    languages.flatMap((other) => (other === 'en' ? [] : Object.values(WORDS[other]?.units ?? {}).flat())),
  );
  const units = Object.fromEntries(
    Object.entries(words.units).map(([unit, phrases]) => [
      unit,
      phrases.filter((phrase) => !measures.has(phrase)),
    ]),
  );
  // "mate" is a friend where nothing but English is written.
  const notNames = languages.length > 1 ? [] : (words.notNames ?? []);
  return [{ ...words, not: own(words.not), articles: own(words.articles), units, notNames }];
}

function vocabularyOf(languages: readonly string[]): Vocabulary {
  const words = languages.flatMap((language) => withoutClashes(WORDS[language], language, languages));
  const pick = <K extends keyof Words>(key: K) => words.map((each) => each[key]);
  return {
    languages,
    numbers: valued(pick('numbers')),
    articles: listed(pick('articles')),
    fractions: valued(pick('fractions')),
    more: valued(pick('more')),
    units: keyed<UnitId>(pick('units')),
    unitsBeforeName: listed(pick('unitsBeforeName')),
    sizes: valued(pick('sizes')) as PhraseTable<PieceSize>,
    sized: listed(pick('sized')),
    time: keyed<TimeUnit>(pick('time')),
    durations: valued(pick('durations')),
    deeds: keyed<Deed>(pick('verbs')),
    headings: keyed(pick('headings')),
    claims: keyed(pick('claims')),
    textures: keyed(pick('textures')),
    wholes: valued(pick('wholes')),
    multiples: valued(pick('multiples')),
    roles: Object.fromEntries(ROLES.map((role) => [role, listed(pick(role))])) as Record<
      Role,
      PhraseTable<true>
    >,
    describing: new Set(
      words.flatMap(({ describing }) => describing.split(' ')).flatMap((word) => [word, singular(word)]),
    ),
  };
}

let tellingWords: ReadonlyMap<string, readonly string[]> | null = null;

/** The languages that a word is of; made when first asked for. */
function languagesOf(word: string): readonly string[] {
  tellingWords ??= wordsByLanguage();
  return tellingWords.get(word) ?? [];
}

function wordsByLanguage(): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const [language, words] of Object.entries(WORDS)) {
    const own = [
      ...words.describing.split(' '),
      ...(words.common?.split(' ') ?? []),
      ...(['of', 'and', 'with', 'not', 'each', 'about'] as const).flatMap((role) => words[role] ?? []),
      ...Object.values(words.units).flat(),
      ...Object.values(words.verbs).flat(),
      ...Object.values(words.time).flat(),
      ...Object.keys(words.numbers),
      ...Object.keys(words.fractions ?? {}),
    ];
    for (const word of new Set(own.flatMap((phrase) => phrase.split(' '))))
      found.set(word, [...(found.get(word) ?? []), language]);
  }
  return found;
}

/** A language is read with when it has this share of the words of the one that has most. */
const NEAR_SHARE = 0.6;
/** … and one word of it to so many of English: less is chance. */
const LEAST_SHARE = 1 / 30;
const vocabularies = new Map<string, Vocabulary>();

/**
 * English, and what else the text is written in. Words of a language that is not written here would mean other things:
 * "do" is two in Hindi, "dos" of the in Portuguese and two in Spanish.
 */
export function vocabularyFor(tokens: readonly Token[]): Vocabulary {
  const scores = new Map<string, number>();
  let english = 0;
  for (const { kind, word } of tokens) {
    // "1/4 c.": a letter is of every language.
    if (kind !== 'word' || word.length < 2) continue;
    const languages = languagesOf(word);
    if (languages.includes('en')) {
      english++;
      continue;
    }
    for (const language of languages)
      scores.set(language, (scores.get(language) ?? 0) + 1 / languages.length);
  }
  const most = Math.max(0, ...scores.values());
  const least = Math.max(most * NEAR_SHARE, english * LEAST_SHARE);
  const others = [...scores].filter(([, score]) => score >= least).map(([language]) => language);
  const languages = ['en', ...others.sort()];
  const key = languages.join();
  const known = vocabularies.get(key) ?? vocabularyOf(languages);
  vocabularies.set(key, known);
  return known;
}

/** Whether a plain word only describes, in one or in several. */
export const describes = ({ describing }: Pick<Vocabulary, 'describing'>, word: string): boolean =>
  describing.has(word) || describing.has(singular(word));

/** How many words stand between two tokens. */
export const countWords = (tokens: readonly Token[], from: number, to: number): number =>
  tokens.slice(from, to).filter(({ kind }) => kind === 'word').length;

/** Whether a word for a mixture stands there: "mask", "rinse". */
export const namesKind = (
  { roles }: Vocabulary,
  tokens: readonly Token[],
  from: number,
  to: number,
): boolean => roles.kinds.isWithin(tokens, from, to);
