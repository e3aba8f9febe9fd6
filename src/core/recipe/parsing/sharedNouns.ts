import { UNITS, type UnitId } from '../../base/measures';
import { singular } from '../ingredients';
import type { Element } from './elements';
import { isFat, isOfOil, oilCalled, type LarderItem, type NameLexicon } from './lexicon';
import { says } from './marks';
import { isLiquid } from './textures';
import { isNumber, isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** Nouns that a list may say once: "coconut and castor oil". */
export const SHARED_NOUNS: readonly string[] = [
  'oil',
  'oils',
  'butter',
  'milk',
  'powder',
  'seeds',
  'seed',
  'water',
  'gel',
  'protein',
  'tea',
  'juice',
  'flour',
];
/** How far ahead the name may stand whose noun is shared, elements. */
const SHARED_NOUN_WITHIN = 8;
/** A nut or a seed stands whole in few recipes: in a list that ends in oil or milk, its own oil or milk is meant. */
const isNutOrSeed = ({ ingredient }: LarderItem): boolean =>
  ingredient?.preparations.some(({ id, usual }) => usual && id === 'milk') ?? false;

const isSolid = ({ ingredient }: LarderItem): boolean =>
  ingredient !== undefined && !isLiquid(ingredient) && ingredient.composition.water < MOST_WATER;
/** Fruit and leaves hold more, nuts and seeds less, percent. */
const MOST_WATER = 60;

/** What only a liquid is measured by. */
const POURED: ReadonlySet<UnitId> = new Set<UnitId>(['glug', 'drizzle', 'splash', 'capful', 'pump']);

/** "Hot oil: coconut 2 tbsp": beside a title of oils a nut or a coconut by the spoon is its oil; "a glug of sesame" is it anywhere. */
export function withUnsaidOil(
  elements: readonly Element[],
  tokens: readonly Token[],
  lexicon: Pick<NameLexicon, 'inWords'>,
  isOfOils: boolean,
): Element[] {
  const isShared = elements.some(
    (each) => each.kind === 'role' && (each.role === 'equal' || each.role === 'each'),
  );
  const isOil = (element: Element, near: Near) =>
    isOfOils ? isOfTitle(element, near, isShared) : isPoured(element, near);
  return elements.map((element, index): Element => {
    const isWordAlone = element.kind === 'word' && isWord(tokens[element.from]);
    if ((element.kind !== 'name' && !isWordAlone) || element.to - element.from > 1) return element;
    const near = [elements[index - 1], elements[index + 1]];
    const before = elements.slice(0, index);
    const weighed =
      elements[index + 1]?.kind === 'amount' ? elements[index + 1] : eachBehind(elements, index);
    const butter = butterOf(element, before, weighed, { tokens, lexicon });
    if (butter) return { ...element, kind: 'name', match: { item: butter, words: 1 } };
    const isSaid =
      isOil(element, near) ||
      isOfSameOil(element, before, tokens) ||
      isAmongFats(element, before) ||
      isAmongOils(element, index, elements, tokens) ||
      isCountedOil(element, before, elements[index + 1], tokens);
    if (!isSaid) return element;
    const item = oilOf(tokens[element.from]?.word ?? '', lexicon);
    return item ? { kind: 'name', from: element.from, to: element.to, match: { item, words: 1 } } : element;
  });
}

type Near = readonly (Element | undefined)[];

/** "shea + mango + cocoa, 100 g each": the amount of each in a list. */
function eachBehind(elements: readonly Element[], index: number): Element | undefined {
  const at = elements.findIndex(({ kind }, next) => next > index && kind !== 'name' && kind !== 'separator');
  const [amount, each] = [elements[at], elements[at + 1]];
  return amount?.kind === 'amount' && each?.kind === 'role' && each.role === 'each' ? amount : undefined;
}

/** A glug, a drizzle of a word alone or of what is no liquid. */
const isPoured = (element: Element, near: Near): boolean =>
  (element.kind !== 'name' || isSolid(element.match.item)) &&
  near.some(
    (other) => other?.kind === 'amount' && other.amount.unit !== null && POURED.has(other.amount.unit),
  );

/** "150 g shea / 50 g mango", "shea 40 g, mango 20 g": weighed behind a butter it is one, too. */
function butterOf(
  element: Element,
  before: readonly Element[],
  next: Element | undefined,
  { tokens, lexicon }: { readonly tokens: readonly Token[]; readonly lexicon: Pick<NameLexicon, 'inWords'> },
): LarderItem | undefined {
  const amount = before.at(-1)?.kind === 'amount' ? before.at(-1) : next;
  const names = before.filter((each) => each.kind === 'name');
  const first = names.findIndex(({ match }) => /-butter$/.test(match.item.id));
  // "shea + mango + cocoa": what stands behind it may be one, too.
  const isBehind =
    first >= 0 &&
    names
      .slice(first)
      .every(
        ({ from, match }) =>
          /-butter$/.test(match.item.id) || oilCalled([tokens[from]?.word ?? '', 'butter'], lexicon),
      );
  // A number alone is one of grams or parts.
  const isWeighed =
    amount?.kind === 'amount' &&
    (amount.amount.unit === null ? isNumber(tokens[amount.from]) : UNITS[amount.amount.unit].kind === 'mass');
  if (!isBehind || !isWeighed || (element.kind === 'name' && isOfOil(element.match.item))) return undefined;
  return oilCalled([tokens[element.from]?.word ?? '', 'butter'], lexicon);
}

/** "2 tbsp olive oil, the same of coconut", "… and 1 of sesame": behind an oil. */
function isOfSameOil(element: Element, before: readonly Element[], tokens: readonly Token[]): boolean {
  if (element.kind === 'name' && !isSolid(element.match.item)) return false;
  const last = before.findLast(({ kind }) => kind !== 'word');
  const isSame =
    last !== undefined &&
    ((last.kind === 'role' && last.role === 'same') ||
      (last.kind === 'amount' && last.amount.unit === null && says(tokens[element.from - 1], 'ofNoun')) ||
      // "I can't find palm kernel oil, so I use coconut"
      says(tokens[element.from - 1], 'takes'));
  const named = before.findLast((each) => each.kind === 'name');
  return (
    isSame &&
    element.from - Math.max(last.to, element.from - 1) <= 1 &&
    named?.kind === 'name' &&
    isOfOil(named.match.item)
  );
}

/** "60 g shea, 30 g cocoa butter, 2 tbsp sesame": a nut or a seed by the spoon among nothing but fats. */
function isAmongFats(element: Element, before: readonly Element[]): boolean {
  const amount = before.at(-1);
  const isSpooned =
    amount?.kind === 'amount' && amount.amount.unit !== null && UNITS[amount.amount.unit].kind === 'volume';
  if (!isSpooned || !isNut(element)) return false;
  const named = before.flatMap((each) => (each.kind === 'name' ? [each.match.item] : []));
  // "2 tbsp castor, 2 tbsp coconut": the fruit is no thing of spoons.
  const isCoconut = element.kind === 'name' && element.match.item.id === 'coconut-flesh';
  return named.length >= (isCoconut ? 1 : LEAST_FATS) && named.every(isFat);
}
const LEAST_FATS = 2;

/** "castor and coconut, half of each": a nut beside nothing but oils, which nobody counts. */
function isAmongOils(
  element: Element,
  index: number,
  elements: readonly Element[],
  tokens: readonly Token[],
): boolean {
  const word = tokens[element.from]?.word ?? '';
  const last = elements[index - 1];
  const isJoined = last?.kind === 'separator' && (last.separator === 'and' || last.separator === 'with');
  if (!isJoined || element.kind !== 'name' || !isNut(element) || word !== singular(word)) return false;
  // "castor + coconut + almond"
  const others = elements.filter((each) => each.kind === 'name' && each !== element);
  const isOil = (each: Element) => each.kind === 'name' && isOfOil(each.match.item);
  return others.some(isOil) && others.every((each) => isOil(each) || isNut(each));
}

/** "Three spoons castor, three coconut": behind nothing but oils more than one of it is as many spoons. */
function isCountedOil(
  element: Element,
  before: readonly Element[],
  next: Element | undefined,
  tokens: readonly Token[],
): boolean {
  // "Murumuru 20, abyssinian 10"
  const amount = before.at(-1)?.kind === 'amount' ? before.at(-1) : next;
  const word = tokens[element.from]?.word ?? '';
  const isCounted =
    amount?.kind === 'amount' &&
    amount.amount.unit === null &&
    amount.amount.quantity > 1 &&
    word === singular(word) &&
    isNut(element);
  if (!isCounted) return false;
  const names = before.flatMap((each) => (each.kind === 'name' ? [each.match.item] : []));
  return names.length > 0 && names.every(isFat);
}

/** A word that is no name yet, or what has an oil in it. */
const isNut = (element: Element): boolean =>
  element.kind !== 'name' || isNutOrSeed(element.match.item) || element.match.item.id === 'coconut-flesh';

/** By the spoon, or by a number alone. */
function isOfTitle(element: Element, near: Near, isShared: boolean): boolean {
  const isSpooned = near.some(
    (other) =>
      other?.kind === 'amount' &&
      (other.amount.unit === null ? other.to === element.from : UNITS[other.amount.unit].kind === 'volume'),
  );
  return isShared || (isNut(element) && isSpooned);
}

/** The oil of a plant, in any language: "castor", "rícino". */
export function oilOf(word: string, lexicon: Pick<NameLexicon, 'inWords'>): LarderItem | undefined {
  const item = OILS_OF.map((of) => lexicon.inWords(of(word))).find(
    ([first, ...more]) => more.length === 0 && (first?.words ?? 0) > 1,
  )?.[0]?.item;
  return item && isOfOil(item) ? item : undefined;
}

/** The oil of something, as languages say it. */
const OILS_OF: readonly ((word: string) => string[])[] = [
  (word) => [word, 'oil'],
  (word) => ['aceite', 'de', word],
  (word) => ['oleo', 'de', word],
  (word) => ['olio', 'di', word],
  (word) => ['huile', 'de', word],
];

/** "jojoba and castor oil": a word that names nothing alone, or a nut or seed, takes the noun of the next name. */
export function withSharedNouns(
  elements: readonly Element[],
  tokens: readonly Token[],
  lexicon: Pick<NameLexicon, 'inWords'>,
  { describing }: Pick<Vocabulary, 'describing'>,
): Element[] {
  const lacksNoun = (element: Element, before: Element | undefined): boolean => {
    const word = tokens[element.from]?.word ?? '';
    // "1/2 oz each of avocado and jojoba oil"
    const isEach = before?.kind === 'role' && before.role === 'each' && word === singular(word);
    if (element.kind === 'name')
      return element.to - element.from === 1 && (isEach || isNutOrSeed(element.match.item));
    return (
      element.kind === 'word' && isWord(tokens[element.from]) && word.length > 2 && !describing.has(word)
    );
  };
  return elements.map((element, index): Element => {
    if (elements[index + 1]?.kind !== 'separator' || !lacksNoun(element, elements[index - 1])) return element;
    const word = tokens[element.from]?.word ?? '';
    const ahead = elements.slice(index + 1, index + SHARED_NOUN_WITHIN);
    const next = ahead.find(({ kind, to, from }) => kind === 'name' && to - from > 1);
    const isOneList =
      element.kind === 'word' ||
      !ahead.some(({ kind, from }) => kind === 'amount' && next && from < next.from);
    const noun = next && isOneList ? (tokens[next.to - 1]?.word ?? '') : '';
    const matches = SHARED_NOUNS.includes(noun) ? lexicon.inWords([word, noun]) : [];
    const [match] = matches;
    return match && matches.length === 1 && match.words === 2
      ? { kind: 'name', from: element.from, to: element.to, match: { item: match.item, words: 1 } }
      : element;
  });
}
