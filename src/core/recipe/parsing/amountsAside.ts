import { UNITS, VAGUE_UNITS } from '../../base/measures';
import { isNameNext } from './ahead';
import type { Amount } from './amounts';
import type { Element } from './elements';
import type { Gathering } from './gathering';
import type { Item, TokenRange } from './item';
import { isHerb } from './lexicon';
import { BOTTLE_SIZES, isMeasure, isPack, isShareOfWhole } from './lineAmount';
import { says } from './marks';
import { isBrewedIn, isUseOfMade } from './pending';
import { isSign, type Token } from './tokens';
import { countWords } from './vocabulary';

/** An amount that is of nothing that is named beside it. */
export function saysOtherwise(g: Gathering, given: Amount, element: TokenRange, index: number): boolean {
  const { from, to } = element;
  if (isOfStrained(g, given)) {
    g.batches.push({ what: 'used', amount: given, from, to });
    return true;
  }
  // "2 tbsp of that honey" is honey.
  const isNamed = isNameNext(g.elements, index);
  const isUse =
    isUseOfMade(given, g.tokens, g.last(), g.waiting.length > 0) ||
    isUsedOnHead(g, given, index) ||
    isOfThat(g, given) ||
    isTakenWith(g, given, index);
  if (!isNamed && isUse) {
    g.close();
    g.batches.push({ what: 'used', amount: given, from, to });
    return true;
  }
  if (!isNamed && isOfAll(g, given, index)) {
    g.batches.push({ what: 'total', amount: given, from, to });
    g.inAll = false;
    return true;
  }
  if (isShareOfMade(g, given, isNamed)) {
    g.whole = { times: given.quantity, from, to: to + 1, except: [] };
    return true;
  }
  return (
    isForSoMany(g, given) ||
    isOfDenied(g, given, index) ||
    isAdverb(g, given, index) ||
    tellsOfLast(g, given, index) ||
    isOfWater(g, given, element, index)
  );
}

/** "Hair butter (for 2 jars): …": how much all of it makes. */
const isForSoMany = ({ tokens }: Gathering, { from, to, unit }: Amount): boolean =>
  (unit === null || isPack(unit)) &&
  isSign(tokens[from - 2], '(') &&
  says(tokens[from - 1], 'purpose') &&
  isSign(tokens[to], ')');

/** How much of the last thing, how large or how strong it is. */
const tellsOfLast = (g: Gathering, given: Amount, index: number): boolean =>
  isPartOfLast(g, given, index) ||
  isWholeOfLast(g, given) ||
  isLumpOfLast(g, given) ||
  isLastWeighed(g, given, index) ||
  isStrengthOfLast(g, given, index) ||
  isSizeOfLast(g, given, index);

/** "half the gel", "half of it goes in …": of all that was made before. */
function isShareOfMade(
  { tokens, waits, items }: Gathering,
  { unit, quantity, to }: Amount,
  isNamed: boolean,
): boolean {
  if (unit !== null || quantity >= 1) return false;
  // "half gel, half conditioner": nothing was made yet.
  if (says(tokens[to], 'madeNoun')) return says(tokens[to - 1], 'theMade') || (items.length > 0 && !isNamed);
  const isOf = says(tokens[to - 1], 'of') && says(tokens[to], 'madeBefore');
  const isOfLast = says(tokens[to], 'of') && says(tokens[to + 1], 'madeBefore');
  const isMeasured = items.length > 0 && items.every(({ amount }) => amount !== null);
  return (isOf || isOfLast) && isMeasured && !waits;
}

/** "insgesamt 3 EL"; "3 parts aloe, 1 part glycerin in a 200 ml bottle" */
const isOfAll = (g: Gathering, { unit, from, to }: Amount, index: number): boolean =>
  unit !== null &&
  (g.inAll ||
    (BOTTLE_SIZES.has(unit) &&
      (says(g.tokens[to - 1], 'vessel') || says(g.tokens[to], 'vessel') || isBehindVessel(g, from)) &&
      (isColonSoon(g.elements, index) ||
        g.items.some(({ amount }) => amount && (amount.unit === 'part' || isShareOfWhole(amount))))));

/** "in a squeeze bottle, 500 ml" */
const isBehindVessel = ({ tokens }: Gathering, from: number): boolean =>
  isSign(tokens[from - 1], ',', '(') && says(tokens[from - 2], 'vessel');

/** "Oil blend, 100 ml bottle: …", "200 ml jar, so: …" */
function isColonSoon(elements: readonly Element[], index: number): boolean {
  const ahead = elements.slice(index + 1, index + 1 + COLON_WITHIN);
  const colon = ahead.findIndex((each) => each.kind === 'separator' && each.separator === 'colon');
  return colon >= 0 && ahead.slice(0, colon).every(({ kind }) => kind === 'separator' || kind === 'word');
}
/** Elements behind what a bottle holds. */
const COLON_WITHIN = 4;

/** "strained, about a cup of the milk": of what ran through. */
const isOfStrained = (g: Gathering, { unit, from, to }: Amount): boolean =>
  unit !== null &&
  says(g.tokens[to - 1], 'ofThe') &&
  says(g.tokens[to], 'ranThrough') &&
  g.elements.some((each) => each.kind === 'deed' && each.deed === 'strain' && each.to <= from);

/** "I use 1 spoon on my scalp", "uso 1 colher no couro cabeludo": of what was made. */
function isUsedOnHead(g: Gathering, { unit, to }: Amount, index: number): boolean {
  const before = g.elements[index - 1];
  const isUsed =
    before?.kind === 'deed'
      ? before.deed === 'take' || before.deed === 'apply'
      : // "night serum, 3 drops on ends"
        g.items.length === 0 && says(g.tokens[to], 'onto');
  const behind = g.tokens.slice(to, to + HEAD_WITHIN);
  // "I use a dropperful every other night"
  const isOften = before !== undefined && says(g.tokens[to], 'everySo');
  const isOfHead = isOften || behind.some((token) => says(token, 'head'));
  return unit !== null && isUsed && isOfHead && g.waiting.length === 0;
}
const HEAD_WITHIN = 3;

/** "Of that I use half a cup" */
function isOfThat({ tokens, elements, items }: Gathering, { unit, from }: Amount): boolean {
  const start = elements[0]?.from ?? 0;
  return (
    unit !== null &&
    items.length === 0 &&
    from - start <= OF_THAT_WITHIN &&
    ((says(tokens[start], 'of') && says(tokens[start + 1], 'madeBefore')) || isSaidOfThat(tokens, start))
  );
}
const OF_THAT_WITHIN = 12;

/** "That oil I massage in twice a week, about a teaspoon" */
const isSaidOfThat = (tokens: readonly Token[], start: number): boolean =>
  says(tokens[start], 'madeBefore') && [1, 2].some((ahead) => says(tokens[start + ahead], 'i'));

/** "… uso 3 colheres com 1 de óleo", behind what was made. */
function isTakenWith(g: Gathering, { unit }: Amount, index: number): boolean {
  const [before, next] = [g.elements[index - 1], g.elements[index + 1]];
  const isWith = next?.kind === 'separator' && next.separator === 'with';
  const isTaken = before?.kind === 'deed' && before.deed === 'take';
  const isBehind = g.items.length > 0 || (g.elements[0]?.from ?? 0) > 0;
  // "… strain. Half a cup with a teaspoon of aloe is one wash."
  const isOpening = index === 0 && g.items.length === 0 && unit !== null && UNITS[unit].kind === 'volume';
  return unit !== null && isWith && (isTaken || isOpening) && isBehind && g.waiting.length === 0;
}

/** "Not the whole avocado, only half": so much of it. */
function isOfDenied(g: Gathering, given: Amount, index: number): boolean {
  const [denied] = g.denials.slice(-1);
  if (!denied || isNameNext(g.elements, index) || !g.isEndAt(index + 1)) return false;
  const isOnly = [given.from - 1, given.from].some((at) => says(g.tokens[at], 'onlySo'));
  if (
    !isOnly ||
    !g.between(denied.to, given.from).every(({ kind }) => kind === 'separator' || kind === 'word')
  )
    return false;
  g.denials.pop();
  const at = g.mentions.indexOf(denied);
  if (at >= 0) g.mentions.splice(at, 1);
  g.add(denied, given);
  return true;
}

/** "warm it a little, …": how, and nothing that goes in. */
function isAdverb(g: Gathering, { unit }: Amount, index: number): boolean {
  const before = g.elements[index - 1];
  return (
    unit !== null &&
    VAGUE_UNITS.has(unit) &&
    before?.kind === 'deed' &&
    before.deed !== 'take' &&
    before.deed !== 'mix' &&
    g.isEndAt(index + 1)
  );
}

/** "a 300 g tub, use a third" */
function isPartOfLast(g: Gathering, { unit, quantity }: Amount, index: number): boolean {
  const last = g.last();
  const before = g.elements[index - 1];
  const isUsed = before?.kind === 'deed' && before.deed === 'take';
  if (unit !== null || quantity >= 1 || !isUsed || !g.isEndAt(index + 1) || !last?.amount) return false;
  last.amount = { ...last.amount, quantity: last.amount.quantity * quantity };
  return true;
}

/** "papaya, 1/4 of a large one": how large the whole of it is. */
function isWholeOfLast(g: Gathering, { unit, weak, size, from }: Amount): boolean {
  const last = g.last();
  const isShare = last?.amount?.unit === null && last.amount.quantity < 1;
  if (!isShare || !weak || unit !== null || size === null || !says(g.tokens[from - 1], 'of')) return false;
  last!.amount = { ...last!.amount!, size };
  return true;
}

/** "a piece of butter the size of a walnut" */
function isLumpOfLast(g: Gathering, given: Amount): boolean {
  const last = g.last();
  if (given.unit !== 'dollop' || last?.amount?.unit !== 'piece') return false;
  last.amount = { ...given, quantity: last.amount.quantity };
  return true;
}

/** "a handful of shea, about 40 g", "half a can, that's 200 ml": the same, weighed. */
function isLastWeighed(g: Gathering, given: Amount, index: number): boolean {
  const last = g.last();
  if (!last?.amount || g.waiting.length > 0 || g.open || isNameNext(g.elements, index)) return false;
  const isMeant = saysMeaning(g, given);
  const behind = Math.max(last.name.to, last.amount.to);
  const isNear =
    countWords(g.tokens, behind, given.from) <= (isMeant ? MEANT_WITHIN : SIZE_WITHIN) &&
    g.between(behind, given.from).every(({ kind }) => kind !== 'name' && kind !== 'amount');
  if (!isNear || !isWeight(given, isMeant) || !(isMeant || isRougher(g, given, last, index))) return false;
  last.amount = { ...given, weak: false };
  return true;
}

/** Grams or millilitres; where it is said that it is the same, spoons as well. */
const isWeight = ({ unit }: Amount, isMeant: boolean): boolean =>
  unit !== null &&
  (UNITS[unit].kind === 'mass' ||
    BOTTLE_SIZES.has(unit) ||
    (isMeant && UNITS[unit].kind === 'volume' && !isPack(unit)));

/** "60 ml aloe gel 99 %": how strong it is. */
function isStrengthOfLast(g: Gathering, { unit, from }: Amount, index: number): boolean {
  const last = g.last();
  const own = last?.amount?.unit ?? null;
  return unit === '%' && own !== null && own !== '%' && last?.name.to === from && g.isEndAt(index + 1);
}

/** Words between a thing and "that's about a tablespoon". */
const MEANT_WITHIN = 8;

/** What was said before it is rougher than "about 40 g". */
function isRougher(g: Gathering, given: Amount, { amount }: Item, index: number): boolean {
  const own = amount?.unit ?? null;
  // "two tins of coconut milk, about 400 ml": of one or of both.
  const isVague = own !== null && VAGUE_UNITS.has(own) && own !== 'can';
  const isOne = (own === null || isPack(own)) && (amount?.quantity ?? 0) <= 1 && given.unit === 'g';
  return g.isEndAt(index + 1) && saysAbout(g, given) && (isVague || isOne);
}

/** "that's", "which is", and a word for about behind it. */
const saysMeaning = ({ tokens }: Gathering, { from }: Amount): boolean =>
  [0, 1, 2].some((back) => says(tokens[from - back], 'meaning'));

const saysAbout = ({ tokens, words: { roles } }: Gathering, { from }: Amount): boolean =>
  roles.about.at(tokens, from) !== undefined || roles.about.endsAt(tokens, from, 2);

/** "a yogurt of 125 g", "uma gelatina sem sabor de 12 g": how large one of what was counted is. */
function isSizeOfLast(g: Gathering, given: Amount, index: number): boolean {
  const { unit, quantity } = given;
  const last = g.last();
  const isCounted = last?.amount && (last.amount.unit === null || isPack(last.amount.unit));
  if (!last?.amount || !isCounted || last.amount.packSize || !unit || isNameNext(g.elements, index))
    return false;
  const isSize = isMeasure(unit);
  if (!isSize || !standsAsSize(g, given, last)) return false;
  last.amount = { ...last.amount, packSize: { quantity, unit } };
  return true;
}

/** "one tin of coconut milk, 400 ml, …", "…, the 150 g kind", "… of 125 g" */
function standsAsSize({ tokens }: Gathering, { from, to }: Amount, { name, amount }: Item): boolean {
  const before = tokens[from - 1];
  const isBeside =
    isPack(amount?.unit) &&
    (name.to === from || (isSign(before, ',') && name.to === from - 1)) &&
    (tokens[to] === undefined || isSign(tokens[to], ',', '.'));
  const isKind = says(tokens[to], 'packKind') && says(before, 'beforePackKind');
  return isBeside || ((isKind || says(before, 'ofSize')) && from - name.to <= SIZE_WITHIN);
}
/** Words between a thing and its size. */
const SIZE_WITHIN = 4;

/** "10 pods to 500 ml, boil", "tea (3 bags in 300 ml)": of water, which nobody names. */
function isOfWater(g: Gathering, given: Amount, element: TokenRange, index: number): boolean {
  // "One can, 440 ml, boil it down"
  const isOfPack = g.open !== null && isPack(g.open.amount.unit);
  if (isOfPack || !g.isEndAt(index + 1) || !isBrewedIn(given, g.tokens, true)) return false;
  const isBrewed = g.elements.some(
    ({ kind, ...rest }) =>
      kind === 'deed' && 'deed' in rest && (rest.deed === 'boil' || rest.deed === 'soak'),
  );
  const last = g.last();
  const isOfHerb = last !== undefined && isHerb(last.name.match.item);
  // "linseed 4 tbsp, 500 ml, boil"
  const isBoiled = isBrewed && last?.amount?.unit !== null && !g.waits;
  const isWater = (isBrewed || isOfHerb) && isBrewedIn(given, g.tokens, isOfHerb || isBoiled);
  if (!isWater) return false;
  g.nameless.push({ amount: given, range: { from: element.from, to: element.to }, isBare: false });
  return true;
}
