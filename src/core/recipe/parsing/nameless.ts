import { UNITS, type UnitId } from '../../base/measures';
import { plainWords } from '../ingredients';
import type { Amount } from './amounts';
import type { Nameless, TokenRange } from './item';
import { isHerb, type LarderItem } from './lexicon';
import { isMeasure, lineAmountOf } from './lineAmount';
import { countedPart, dropsPart, misspeltPart, unknownPart } from './lines';
import { says } from './marks';
import { countListed, isWithin } from './mentions';
import type { Names } from './namesFound';
import { isBrewedIn } from './pending';
import { textOf } from './sentences';
import type { Title } from './titles';
import { isNumber, isSign, isWord } from './tokens';
import type { Context, ReadSentence } from './told';
import { onlySaid, weigh, type ReadPart } from './weigh';

/** Whether an amount beside no name measures nothing that goes in: a vessel, what all of it makes, a use of it. */
export function isOfNothing(
  { amount, range }: Nameless,
  sentence: ReadSentence,
  context: Context,
  title: Title | null,
): boolean {
  return (
    (!isOfWater(amount, context) &&
      !isToWater(amount, context) &&
      (isOfSomething(amount, range, context) ? [range] : [range, amount]).some((each) =>
        isVessel(each, context),
      )) ||
    [range, amount].some((each) => isYield(each, context)) ||
    isUntil(amount, sentence, context) ||
    (!isNamed(amount, context) && isUse({ from: amount.to, to: range.to }, context)) ||
    (!isOfSomething(amount, range, context) && [range, amount].some((each) => isUse(each, context))) ||
    isSaidOfTitle(range, sentence, context, title) ||
    isOfListBehind(amount, range, sentence, context)
  );
}

/**
 * What an amount beside no known name is of: the water something is brewed in, drops of an oil, pieces that only one thing
 * comes in, a name cut short or misspelt; else it is asked about.
 * @param text the words of its line
 */
export function namelessPart(
  { amount, range, isBare }: Nameless,
  sentence: ReadSentence,
  text: string,
  context: Context,
  names: Names,
): ReadPart {
  const words = textOf(context, besideIt(amount, range, context));
  return (
    brewed(amount, range, sentence, context) ??
    hotWater(amount, range, context) ??
    dropsPart(words, amount, context) ??
    countedPart(amount, text, words, context) ??
    shortFor(words, amount, context, names) ??
    misspeltPart(words, amount, text, context) ??
    // "a cup": of nothing that could be near it.
    unknownPart(isBare ? '' : words, lineAmountOf(amount, words), context)
  );
}

/** "in a quarter cup cold, then a quarter cup hot": no cup to stand it in. */
const isOfWater = ({ unit, to }: Amount, { tokens }: Context): boolean =>
  unit !== null && UNITS[unit].kind === 'volume' && says(tokens[to], 'waterState');

/** "1 cup blorbium"; "keep a jar going" is no measure. */
function isOfSomething({ from, to }: Amount, range: TokenRange, { tokens, words }: Context): boolean {
  if (words.articles.at(tokens, from)) return false;
  const before = tokens.slice(range.from, from).filter((token) => !isSign(token, ','));
  const isNamedBefore =
    before.length > 0 &&
    !words.roles.yields.isWithin(tokens, range.from, from) &&
    before.every(
      (token) => isWord(token) && !says(token, 'i') && !says(token, 'inVessel') && !says(token, 'takes'),
    );
  return isNamedBefore || (range.to > to && isWord(tokens[to]));
}

/** "3 tbsp blorbium for my head", where "three drops will do" names nothing. */
function isNamed({ from, to }: Amount, { tokens, words }: Context): boolean {
  // "I use 3 cubes each time"
  if (says(tokens[from - 1], 'takes')) return false;
  const next = tokens[to];
  const isLong = isWord(next) && next.word.length > LONGEST_SMALL_WORD;
  return isLong && !words.describing.has(next.word) && words.roles.uses.at(tokens, to) === undefined;
}
/** Letters of "per", "each", "will". */
const LONGEST_SMALL_WORD = 4;

/** The words that an amount is of: behind it, or before it ("blorbium 3 cups"). */
function besideIt({ from, to }: TokenRange, range: TokenRange, { tokens }: Context): TokenRange {
  const isBehind = tokens.slice(to, range.to).some((token) => isWord(token));
  if (isBehind) return { from: to, to: range.to };
  return range.from < from ? { from: range.from, to: from } : { from: to - 1, to };
}

/** "2 tbsp to a cup" */
const isToWater = ({ from }: Amount, { tokens }: Context): boolean =>
  says(tokens[from - 1], 'intoWater') && !says(tokens[from - 1], 'inVessel');

/** What stands in the title, above it, or in its row beside it: "makes one spray bottle (250 ml):". */
function isSaidOfTitle(
  { from }: TokenRange,
  { row, items }: ReadSentence,
  { tokens }: Context,
  title: Title | null,
): boolean {
  if (!title) return false;
  if (isWithin(from, title)) return true;
  // "Two I rotate." above the first of them
  const isAbove = row.index === 0 && row.to <= title.from;
  const isBeside = row.from <= title.from && title.to <= row.to && isSign(tokens[row.to - 1], ':');
  return items.length === 0 && (isAbove || isBeside);
}

/** "in a 200 ml spray bottle": what it stands in. */
function isVessel({ from, to }: TokenRange, { tokens, words }: Context): boolean {
  const own = tokens.slice(from, to).filter(({ kind }) => kind === 'word');
  // "take a bowl"
  const isArticle = words.articles.at(tokens, from) !== undefined || says(tokens[from], 'inVessel');
  const isAlone = isArticle && own.length === 2 && says(own[1], 'vessel');
  // "60 ml bottle.": how large it is.
  const isSize = isNumber(tokens[from]) && own.length <= SIZED_WORDS && says(own.at(-1), 'vessel');
  const isIn = isAlone || isSize || [1, 2].some((back) => says(tokens[from - back], 'inVessel'));
  return (
    isIn &&
    tokens
      .slice(from, to)
      .some((token, at) => says(token, 'vessel') && (at > 0 || words.articles.at(tokens, from - 1)))
  );
}
/** A number's measure and the vessel. */
const SIZED_WORDS = 2;

/** "Batch for a month, 500 g: 430 g water, …": what all of it weighs. */
function isOfListBehind(
  { unit }: Amount,
  { to }: TokenRange,
  { items }: ReadSentence,
  { tokens }: Context,
): boolean {
  return unit !== null && isMeasure(unit) && countListed(to, items, tokens) > 1;
}

/** "cooked till it coats a spoon": how it is then. */
function isUntil({ from, unit }: Amount, { from: start }: ReadSentence, { tokens, words }: Context): boolean {
  if (unit === null || words.articles.at(tokens, from) === undefined) return false;
  const before = tokens.slice(start, from);
  const until = before.findLastIndex((token) => says(token, 'until'));
  return until >= 0 && before.slice(until).every((token) => isWord(token));
}

/** "3 sprays a day" */
const isUse = ({ from, to }: TokenRange, { tokens, words }: Context): boolean =>
  words.roles.uses.isWithin(tokens, from, Math.min(to, from + USE_WITHIN));

/** "makes about 220 g" */
function isYield({ from }: TokenRange, { tokens, words }: Context): boolean {
  // "1 tbsp vinegar per litre" is of water.
  if (says(tokens[from - 1], 'per') && isMeasureOf(words.units.at(tokens, from)?.value)) return false;
  const before = isSign(tokens[from - 1], ',', ':', '=') ? from - 1 : from;
  return isSign(tokens[from - 1], '=') || words.roles.yields.endsAt(tokens, before, 3);
}
const isMeasureOf = (unit: UnitId | undefined): boolean => unit !== undefined && isMeasure(unit);
/** Tokens of an amount in which it may say that it counts uses. */
const USE_WITHIN = 4;

/** "a tablespoon of nettle to a pint, overnight": of water. */
function brewed(
  amount: Amount,
  range: TokenRange,
  { steps, items }: ReadSentence,
  context: Context,
): ReadPart | undefined {
  const isOfHerb = items.some(
    ({ name }) =>
      isBoiledAlways(name.match.item) ||
      isHerb(name.match.item) ||
      [name.to - 1, name.to].some((at) => says(context.tokens[at], 'tea')),
  );
  const isBare = range.to <= amount.to || !isWord(context.tokens[amount.to]);
  // "cider vinegar, two spoons in a litre"
  const isThinned =
    isBare && items.some(({ name, amount: own }) => own !== null && isThinnedAlways(name.match.item));
  const isBrewed =
    isOfHerb ||
    isThinned ||
    steps.some(({ deeds }) => deeds.some((deed) => deed === 'soak' || deed === 'boil'));
  return isBrewed && isBrewedIn(amount, context.tokens, isOfHerb || isBare)
    ? ofWater(amount, context)
    : undefined;
}

/** Seeds and pods that give a gel: "half a cup of linseed to a litre". */
const isBoiledAlways = ({ ingredient }: LarderItem): boolean =>
  ingredient?.preparations.some(({ id, usual }) => usual && (id === 'boiled' || id === 'soaked')) ?? false;

/** Nobody takes it as it is. */
const isThinnedAlways = ({ ingredient }: LarderItem): boolean => ingredient?.roles.includes('acid') ?? false;

/** "Hydrolysed silk, … 4 ml silk": the last word of a name that was told. */
function shortFor(words: string, amount: Amount, context: Context, names: Names): ReadPart | undefined {
  const said = plainWords(words);
  const naming = said.filter((each) => !context.describing.has(each));
  // "3 tbsp powder"
  const [word, ...more] = naming.length > 0 ? naming : said;
  const named = [...names.entries()].filter(
    ([at, { to }]) => to - at > 1 && context.tokens[to - 1]?.word === word,
  );
  const [first] = named;
  const isOne = first && named.every(([, { item }]) => item.id === first[1].item.id);
  return isOne && more.length === 0
    ? weigh(onlySaid(first[1].item, lineAmountOf(amount, '')), context)
    : undefined;
}

function ofWater(amount: Amount, context: Context): ReadPart | undefined {
  const [water] = context.lexicon.inWords(['water']);
  return water && weigh(onlySaid(water.item, lineAmountOf(amount, '')), context);
}

/** "60 ml cold water, then 120 ml hot" */
function hotWater(amount: Amount, range: TokenRange, context: Context): ReadPart | undefined {
  const { unit, to } = amount;
  const words = context.tokens.slice(to, range.to).filter(({ kind }) => kind === 'word');
  const isOfWater = words.length > 0 && words.every((token) => says(token, 'waterState'));
  if (!isOfWater || unit === null || UNITS[unit].kind !== 'volume') return undefined;
  return ofWater(amount, context);
}
