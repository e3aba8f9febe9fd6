import { t } from '@lingui/core/macro';
import { rounded, sum, UNITS, type UnitId } from '../../base/measures';
import type { Deed } from '../../records/shapes';
import { plainWords } from '../ingredients';
import type { Assumption, Stretch } from '../larder';
import type { Amount } from './amounts';
import { gramsOfUnknown } from './grams';
import { isOfOtherNoun } from './headNouns';
import type { Item, TokenRange } from './item';
import { isOfOil, isSafeToSuggest, isStranger, type LarderItem, type NameLexicon } from './lexicon';
import { lineAmountOf, makeWhole, NO_AMOUNT, type LineAmount } from './lineAmount';
import { amountText } from './lineText';
import { isMark, says } from './marks';
import { isMisspeltEssential, meantBy, misspeltWhole, saidAs } from './meant';
import { near } from './search';
import { stretchOf, textOf } from './sentences';
import { BALANCE } from './shares';
import { isNumber, isSign, type Token } from './tokens';
import type { Context, ReadSentence } from './told';
import { describes } from './vocabulary';
import {
  measureOf,
  onlySaid,
  unreadPart,
  weigh,
  type ReadingOptions,
  type ReadPart,
  type Said,
  type UnreadPart,
} from './weigh';

const SUGGESTIONS = 3;

/** From its amount to its name, whichever stands first; an amount that is said for several is not its own. */
function hullOf({ amount, name, shared }: Item): TokenRange {
  if (!amount || shared) return { from: name.from, to: name.to };
  return { from: Math.min(amount.from, name.from), to: Math.max(amount.to, name.to) };
}

/** All tokens that say something of a thing: words between an amount and its name are its own. */
export function rangesOf(item: Item): TokenRange[] {
  const amounts = item.amount ? [item.amount, ...item.more] : item.more;
  const texture = item.texture ? [item.texture] : [];
  return [...amounts, ...item.others, ...item.instead, ...texture, hullOf(item)].map(({ from, to }) => ({
    from,
    to,
  }));
}

/** Where its words stand, those of its name first. */
export function stretchesOf(item: Item, tokens: readonly Token[]): Stretch[] {
  const shared = item.shared && item.amount ? [item.amount] : [];
  return [hullOf(item), ...shared].map((range) => stretchOf(tokens, range));
}

/** Where the words stand that say how a thing is: up to the next thing, and not past what is done on the hair. */
function wordsOf(item: Item, sentence: ReadSentence, isAlone: boolean): TokenRange {
  if (isAlone) return { from: sentence.row.from, to: sentence.row.to };
  const others = sentence.items.filter((other) => other !== item).map(hullOf);
  const own = rangesOf(item);
  const [first, last] = [Math.min(...own.map(({ from }) => from)), Math.max(...own.map(({ to }) => to))];
  const before = Math.max(sentence.from, ...others.map(({ to }) => to).filter((end) => end <= first));
  const after = Math.min(sentence.to, ...others.map(({ from }) => from).filter((start) => start >= last));
  const hair = sentence.elements.find(
    (element) =>
      element.from >= last &&
      element.kind === 'deed' &&
      (element.deed === 'apply' || element.deed === 'rinse'),
  );
  // Words before it are those of its own clause.
  const clause = sentence.elements.findLast((element) => element.to <= first && element.kind === 'separator');
  return { from: Math.max(before, clause?.to ?? before), to: Math.min(after, hair?.from ?? after) };
}

/** Gives one thing of a sentence its weight. */
export function weighItem(
  item: Item,
  sentence: ReadSentence,
  { inRow, isAlone }: { readonly inRow: readonly ReadSentence[]; readonly isAlone: boolean },
  context: Context,
): ReadPart {
  const range = wordsOf(item, sentence, isAlone);
  const plain = textOf(context, range);
  const { match } = item.name;
  if (isStranger(match.item)) return unknownPart(match.item.name, lineAmountOf(item.amount, ''), context);
  if (item.amount?.unclearNumber) return unclearNumber(item.amount, item);
  if (isBalancing(plain, item.amount)) return balancingPart(item, context);
  if (isMisspeltEssential(item, context))
    return unknownPart(plain, lineAmountOf(item.amount, plain), context);
  // "okra water: 8 pods": the pods are of okra.
  const isCounted = item.name.match.item.ingredient?.measures.pieceGrams !== undefined;
  const counted = item.amount && !isCounted ? countedPart(item.amount, plain, '', context) : undefined;
  if (counted) return counted;
  const words = wordsBeside(item, sentence, context);
  const amount = {
    ...lineAmountOf(item.amount, words.text),
    unit: unitOf(item, sentence, inRow, context),
    size: item.amount?.size ?? sizeBehind(item, context),
  };
  const misspelt = misspeltWhole(item, sentence, context);
  const whatIsMeant = misspelt?.item ?? meantBy(item, amount, context);
  const part = weigh(
    {
      match: { item: whatIsMeant, words: item.name.match.words, start: words.start },
      others: item.others.map(({ match }) => ({ item: match.item, words: match.words, start: -1 })),
      instead: item.instead.map(({ match }) => match.item),
      amount,
      plain: `${withoutAmount(range, item, context)} ${doneWith(item, range, sentence, inRow, whatIsMeant)}`,
      equalPart: item.equalPart,
      optional: item.optional,
      spelling: spellingOf(item, misspelt, context),
    },
    context,
  );
  const taken = !misspelt && whatIsMeant !== item.name.match.item ? saidAs(part, item, context) : part;
  return withMore(asPercent(withTexture(taken, item), item), item, sentence, context);
}

/** As it was written, where that is not its name, with what else it may mean. */
function spellingOf(
  { name: { match } }: Item,
  misspelt: ReturnType<typeof misspeltWhole>,
  context: Context,
): Said['spelling'] {
  if (misspelt) return { written: misspelt.written, near: [match.item] };
  if (match.written === undefined) return null;
  return { written: match.written, near: nearOthers(match.written, match.item, context) };
}

/** "1 xícara (chá) de alecrim": the words of a measure tell no state. */
function withoutAmount(range: TokenRange, { amount }: Item, context: Context): string {
  if (!amount || amount.from < range.from || amount.to > range.to) return textOf(context, range);
  const [before, behind] = [
    { from: range.from, to: amount.from },
    { from: amount.to, to: range.to },
  ];
  return [before, behind].flatMap((each) => (each.from < each.to ? [textOf(context, each)] : [])).join(' ');
}

function asPercent(part: ReadPart, { ofHundred }: Item): ReadPart {
  if (part.status !== 'read' || !ofHundred) return part;
  const text = t`The numbers add to 100: taken as percent.`;
  return { ...part, assumptions: [...part.assumptions, { code: 'of-hundred', text, alternatives: [] }] };
}

/** What a deed makes of a thing, in the words that preparations are told by. */
const MADE_BY: Partial<Record<Deed, string>> = {
  soak: 'soaked steeped',
  strain: 'strained',
  boil: 'boiled cooked',
  blend: 'blended mashed',
};

/**
 * What is done with a thing, before it is named or behind it, up to the next: "rice, soak it a day and strain". A rest
 * of the mixture is no soak: that of a herb counts where it is strained too.
 */
function doneWith(
  item: Item,
  range: TokenRange,
  sentence: ReadSentence,
  inRow: readonly ReadSentence[],
  { ingredient }: LarderItem,
): string {
  if (!ingredient || ingredient.preparations.length < 2) return '';
  const isLast = sentence.items.at(-1) === item;
  const behind = isLast ? followingDeeds(sentence, inRow) : [];
  const within = sentence.elements.filter(
    ({ from, to }) => from >= item.name.to && from >= range.from && to <= range.to,
  );
  const deeds = [
    ...(item.deed ? [item.deed] : []),
    ...within.flatMap((element) => (element.kind === 'deed' ? [element.deed] : [])),
    ...behind,
  ];
  const isHerb = ingredient.preparations.some(({ id }) => id === 'infused');
  const counted = isHerb && !deeds.includes('strain') ? deeds.filter((deed) => deed !== 'soak') : deeds;
  return [...new Set(counted)].flatMap((deed) => MADE_BY[deed] ?? []).join(' ');
}

/** Deeds of the next sentences of the row, as long as they name nothing. */
function followingDeeds(sentence: ReadSentence, inRow: readonly ReadSentence[]): Deed[] {
  const later = inRow.slice(inRow.indexOf(sentence) + 1);
  const end = later.findIndex(({ items, mentions }) => items.length > 0 || mentions.length > 0);
  return later
    .slice(0, end < 0 ? later.length : end)
    .flatMap(({ steps }) => steps.flatMap(({ deeds }) => deeds));
}

/** "water until it is like yogurt": found out once the other things are weighed. */
function withTexture(part: ReadPart, { texture }: Item): ReadPart {
  if (!texture || part.status !== 'read') return part;
  const assumption: Assumption = { code: 'to-texture', text: texture.texture, alternatives: [] };
  return { ...part, assumptions: [assumption] };
}

/** "avocado (small)" */
function sizeBehind({ name }: Item, { tokens, words }: Context): LineAmount['size'] {
  return isSign(tokens[name.to], '(') ? (words.sizes.at(tokens, name.to + 1)?.value ?? null) : null;
}

/** How many sentences back a bare number may take its unit from. */
const UNIT_BACK = 3;

const METRIC: ReadonlySet<string> = new Set(['ml', 'cl', 'dl', 'l']);
/** More of a thing that is not counted is nobody's count of spoons. */
const MOST_SPOONS = 10;

/** "Two spoonfuls of honey. Three of olive oil."; "100 ml de água, duas de creme": of spoons, which nobody needs to name. */
const SPOONS: ReadonlySet<UnitId> = new Set<UnitId>(['tbsp', 'tsp', 'spoon', 'dessertspoon']);
/** So many of what is counted without its measure are spoons, where there was one. */
const LEAST_SPOONS = 2;
const isHousehold = (unit: UnitId): boolean => UNITS[unit].kind === 'volume' && !METRIC.has(unit);

function spoonOf(unit: Amount['unit'], { quantity }: Amount): Amount['unit'] {
  if (unit && isHousehold(unit)) return unit;
  return quantity >= 1 && quantity <= MOST_SPOONS ? 'spoon' : null;
}

/** "2 cucchiai di gelatina in mezza tazza d'acqua, 3 di balsamo": nobody takes three cups of what was spooned before. */
function lastUnit(units: readonly UnitId[], { quantity }: Amount): Amount['unit'] {
  const last = units.at(-1) ?? null;
  const isVessel = last !== null && isHousehold(last) && !SPOONS.has(last) && quantity >= LEAST_SPOONS;
  return (isVessel ? units.findLast((each) => SPOONS.has(each)) : undefined) ?? last;
}

/** "12 g BTMS, 9 cetyl": a bare number beside grams is grams, of what is not counted. */
function unitOf(
  item: Item,
  sentence: ReadSentence,
  inRow: readonly ReadSentence[],
  { words, tokens }: Context,
): Amount['unit'] {
  const { amount, name } = item;
  if (!amount) return null;
  const isOf = [amount.to - 1, amount.to].some((place) => words.roles.of.at(tokens, place));
  const isCounted = isCountedThing(name, isOf, tokens);
  // "half mask half avocado, 6 spoons in all"
  if (isShareOfAll(item, sentence)) return 'part';
  if (amount.unit !== null || isCounted || (amount.weak && !isOf)) return amount.unit;
  const at = inRow.indexOf(sentence);
  const told = [
    ...inRow.slice(Math.max(0, at - UNIT_BACK), at).flatMap(({ items }) => items),
    // "2 spoons of the slime with 2 of cream"
    ...sentence.batches.filter(({ to }) => to <= amount.from),
    ...sentence.items.slice(0, sentence.items.indexOf(item)),
  ];
  const unit = lastUnit(
    told.flatMap((each) => each.amount?.unit ?? []),
    amount,
  );
  // "Rosewater, six.": behind its name.
  const isBehind = amount.from >= name.to && unit !== null && isHousehold(unit);
  // "three spoons castor, three coconut"
  const isOil = isOfOil(name.match.item) && amount.quantity > 1;
  // "70 grams of water and 3 of glycerin"; "50 g de açúcar, duas de mel" are spoons.
  const isWeighed = unit === 'g' && isNumber(tokens[amount.from]);
  if (!isWeighed && (isOf || isBehind || isOil)) return spoonOf(unit, amount) ?? gramsOrPart(unit, amount);
  return gramsOrPart(unit, amount);
}

/** Pieces of it; "three tablespoons of conditioner and one of aloe gel" is of no leaf. */
function isCountedThing({ match, to }: Item['name'], isOf: boolean, tokens: Context['tokens']): boolean {
  const isMade = isOf && says(tokens[to - 1], 'madeNoun');
  return !isMade && match.item.ingredient?.measures.pieceGrams !== undefined;
}

const isShareOfAll = ({ amount }: Item, { items, batches }: ReadSentence): boolean => {
  const shares = items.map((each) => (each.amount?.unit === null ? each.amount.quantity : 1));
  const isWhole = items.length > 1 && makeWhole(shares);
  return amount?.unit === null && isWhole && batches.some(({ what }) => what === 'total');
};

function gramsOrPart(unit: Amount['unit'], { quantity }: Amount): Amount['unit'] {
  if (unit === 'g' || unit === 'ml') return 'g';
  // "a third conditioner, two thirds gel"
  return quantity < 1 ? 'part' : null;
}

/** The words between the amount and the end of the name: those that nobody knows are said. */
function wordsBeside(item: Item, sentence: ReadSentence, context: Context): { text: string; start: number } {
  const { name, amount, shared } = item;
  const isBefore = amount !== null && !shared && amount.to <= name.from;
  const from = isBefore ? amount.to : clauseStart(name.from, sentence);
  const tail = sentence.elements.find((element) => element.from >= name.to && element.kind === 'separator');
  const to = tail ? tail.from : sentence.to;
  const before = from < name.from ? textOf(context, { from, to: name.from }) : '';
  const after = to > name.to ? textOf(context, { from: name.to, to }) : '';
  return { text: `${before} ${textOf(context, name)} ${after}`, start: plainWords(before).length };
}

/** Unmeasured things have the words of their clause that name nothing else. */
function clauseStart(at: number, sentence: ReadSentence): number {
  const before = sentence.elements.findLast((element) => element.to <= at && element.kind !== 'word');
  return Math.max(sentence.from, before?.to ?? sentence.from);
}

/** "another half", "1 tbsp + 1 tsp": added up in grams; what was corrected is said. */
function withMore(part: ReadPart, item: Item, sentence: ReadSentence, context: Context): ReadPart {
  const inText = part.status === 'read' && isInstruction(item, sentence) ? fromInstruction(part) : part;
  if (inText.status !== 'read' || item.more.length === 0) return inText;
  const more = item.more.map((amount) =>
    weigh(onlySaid(item.name.match.item, lineAmountOf(amount, '')), context),
  );
  const bad = more.find((each) => each.status !== 'read');
  if (bad) return bad;
  const grams = inText.grams + sum(more.map((each) => (each.status === 'read' ? each.grams : 0)));
  return { ...inText, quantity: grams, unit: 'g', grams };
}

function fromInstruction(part: Extract<ReadPart, { status: 'read' }>): ReadPart {
  const assumption: Assumption = {
    code: 'from-instruction',
    text: t`Taken from an instruction: ${{ grams: rounded(part.grams, 1) }} g ${{ partName: part.name }}.`,
    alternatives: [],
  };
  return { ...part, assumptions: [...part.assumptions, assumption] };
}

function unclearNumber({ unclearNumber: raw, unit }: Amount, item: Item): ReadPart {
  const digits = raw ?? '';
  const { name } = item.name.match.item;
  return unreadPart('unclear-number', t`Is ${{ digits }} a thousand or a decimal? Tap the one you mean.`, {
    suggestions: [Number(digits.replace('.', '')), Number(digits)].map(
      (quantity) => `${amountText(quantity, unit)} ${name}`,
    ),
  });
}

/** "to 100 %", "q.s.": the line fills up what the others leave. */
const isBalancing = (plain: string, amount: Amount | null): boolean =>
  BALANCE.test(plain) && (amount === null || (amount.quantity === 100 && amount.unit !== 'ml'));

/** "Water to 100": what is left over is read once the others are known. */
function balancingPart({ name: { match } }: Item, context: Context): ReadPart {
  const said = onlySaid(match.item, { ...NO_AMOUNT, quantity: 1, unit: '%' });
  const part = weigh({ ...said, plain: match.item.name }, context);
  if (part.status !== 'read') return part;
  const assumption: Assumption = { code: 'to-balance', text: t`Fills up to 100 %.`, alternatives: [] };
  return { ...part, assumptions: [...part.assumptions, assumption] };
}

/** "a few drops of geranium": what is only known as an essential oil. */
export function dropsPart(
  words: string,
  amount: Amount,
  { lexicon, ...context }: Context,
): ReadPart | undefined {
  if (amount.unit !== 'drop') return undefined;
  const named = plainWords(words).filter((word) => !context.describing.has(word));
  const [oil] = named.length > 0 ? lexicon.inWords([...named, 'essential', 'oil']) : [];
  return oil && oil.start === 0 && oil.words === named.length + 2
    ? weigh(onlySaid(oil.item, lineAmountOf(amount, '')), { lexicon, ...context })
    : undefined;
}

/** "8 pods": what alone is counted in such pieces; "3 sheets of nori" are of something else. */
export function countedPart(
  amount: Amount,
  plain: string,
  beside: string,
  context: Context,
): ReadPart | undefined {
  if (amount.unit !== 'piece') return undefined;
  const counting = plainWords(textOf(context, amount));
  const isOther = plainWords(beside).some((word) => !describes(context, word) && !counting.includes(word));
  if (isOther) return undefined;
  const said = plainWords(textOf(context, amount));
  const counted = context.lexicon.items
    .flat()
    .filter(({ ingredient }) => ingredient?.measures.pieceWords?.some((word) => said.includes(word)));
  const [only] = counted;
  return only && counted.length === 1
    ? weigh({ ...onlySaid(only, lineAmountOf(amount, '')), plain }, context)
    : undefined;
}

export function misspeltPart(
  words: string,
  amount: Amount,
  plain: string,
  context: Context,
): ReadPart | undefined {
  const all = plainWords(words);
  const naming = all.filter((word) => !describes(context, word)).join(' ');
  // "dos cucharadas de semillas" are seeds of something, and no word that is near.
  if (isMark(naming, 'plantSource')) return undefined;
  // "lavander oil": with its noun it is another thing than without.
  const withNoun =
    all.length > 1 && all.length < LONGEST_MISSPELT ? context.lexicon.misspeltIn(all.join(' ')) : undefined;
  const misspelt = withNoun && withNoun.words > 1 ? withNoun : context.lexicon.misspeltIn(naming);
  if (!misspelt || !isSafeToSuggest(misspelt.item) || isOfOtherNoun(all, misspelt.written)) return undefined;
  const { item, written } = misspelt;
  return weigh(
    {
      ...onlySaid(item, lineAmountOf(amount, '')),
      plain,
      spelling: { written, near: nearOthers(written, item, context) },
    },
    context,
  );
}

/** What else a misspelt name may mean. */
const nearOthers = (written: string, taken: LarderItem, { lexicon }: ReadingOptions): LarderItem[] =>
  nearSafe(lexicon, written, SUGGESTIONS + 1)
    .filter(({ id }) => id !== taken.id)
    .slice(0, 2);

/** Words of a name that may be misspelt. */
const LONGEST_MISSPELT = 5;

/** Things whose names are near, the nearest first, and none that could harm in such an amount. */
const nearSafe = (lexicon: NameLexicon, words: string, limit: number): LarderItem[] =>
  near(lexicon, words, 3 * limit)
    .filter(isSafeToSuggest)
    .slice(0, limit);

export function unknownPart(
  words: string,
  amount: LineAmount,
  { lexicon, kitchen }: ReadingOptions,
): UnreadPart {
  const measure = measureOf(amount);
  return unreadPart(
    'unknown-ingredient',
    t`Nothing of this name is in the catalogue, among your ingredients or your recipes.`,
    {
      suggestions: nearSafe(lexicon, words, SUGGESTIONS).map(({ name }) => `${measure} ${name}`),
      grams: gramsOfUnknown(amount, kitchen),
    },
  );
}

/** Below a list, what a step brings in is said to come from there. */
const isInstruction = (item: Item, sentence: ReadSentence): boolean =>
  sentence.isMethod ||
  (sentence.row.index > 0 && item.deed !== null && item.deed !== 'take' && sentence.steps.length > 0);
