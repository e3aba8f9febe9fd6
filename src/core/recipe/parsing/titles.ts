import type { Item, Nameless, TokenRange } from './item';
import { isOfOil } from './lexicon';
import { namesMixture, says } from './marks';
import type { Names } from './namesFound';
import { startOfRow, type Row } from './rows';
import type { StepAt } from './steps';
import { isNumber, isSign, isWord, touches, type Token } from './tokens';
import { countWords, namesKind, type Vocabulary } from './vocabulary';

export interface Title extends TokenRange {
  readonly name: string;
}

interface Told {
  readonly text: string;
  readonly tokens: readonly Token[];
  readonly words: Vocabulary;
  readonly rows: readonly Row[];
  readonly sentences: readonly (TokenRange & {
    readonly row: Row;
    readonly items: readonly Item[];
    readonly nameless: readonly Nameless[];
    readonly steps: readonly StepAt[];
    readonly phase: string | null;
  })[];
  readonly names: Names;
}

/** A title has no more words than this. */
export const TITLE_WORDS = 9;
/** The longest title that is kept, characters: what a name may have. */
const TITLE_CHARACTERS = 80;

/** What the recipe is called: its first row, or the words with which a telling begins ("this is my …"). */
export function titleOf(told: Told): Title | null {
  const first = titleRow(told);
  if (!first) return null;
  // "Phase A (75 °C)" above its list: a heading.
  const isPhase = told.sentences.every(({ row }) => row !== first) && told.sentences[0]?.phase !== null;
  if (isPhase && told.sentences.length > 0) return null;
  const start = startOfRow(told.tokens, first);
  const title =
    introduced(told, start, first) ??
    wholeRow(told, start, first) ??
    beforeColon(told, start, first) ??
    firstSentence(told, first) ??
    calledBehind(told);
  return title && isSaid(told, title) ? title : null;
}

/** The first row; under words for several recipes the next: "Two I rotate." */
function titleRow(told: Told): Row | undefined {
  const { rows, tokens, sentences } = told;
  const [first, second, third] = rows;
  if (!first || !second) return first;
  const start = startOfRow(tokens, second);
  // "All I ever put in a jar:" above "1. Coffee rinse - …"
  const isNumbered = tokens[second.from]?.kind === 'number' && start > second.from;
  if (isNumbered && isSign(tokens[first.to - 1], ':') && namesWithin(told, first.from, first.to).length === 0)
    return beforeColon(told, start, second) ? second : first;
  if (!second.isParted || !third || third.isParted) return first;
  const isQuiet = [first, second].every(
    ({ from, to }) => namesWithin(told, from, to).length === 0 && !hasNumber(told, from, to),
  );
  const isShort = countWords(tokens, start, second.to) <= TITLE_WORDS;
  const isTold = sentences.some(({ row }) => row === second);
  return isQuiet && isShort && isTold ? second : first;
}

/** "Okay so", "hi": words with which one begins to speak are no title. */
const isSaid = ({ tokens, words }: Told, { from, to }: Title): boolean =>
  // "Does anyone have a recipe without eggs?"
  !isSign(tokens[to], '?') &&
  words.roles.allIn.at(tokens, from) === undefined &&
  !words.roles.hearsay.isWithin(tokens, from, to) &&
  !words.roles.isBad.isWithin(tokens, from, to) &&
  tokens.slice(from, to).some((token) => isWord(token) && !says(token, 'filler')) &&
  // "Before: 3 tbsp castor oil. Now: …"
  !(says(tokens[from], 'earlier') && isSign(tokens[from + 1], ':')) &&
  // "For the love of god sieve it: …"
  !(isSign(tokens[to], ':') && says(tokens[to - 1], 'pronoun')) &&
  // "A: 2 tbsp honey"
  !(isSign(tokens[to], ':') && to === from + 1 && tokens[from]?.word.length === 1);

const hasKind = ({ tokens, words }: Told, from: number, to: number): boolean =>
  namesKind(words, tokens, from, to);

const namesWithin = ({ names }: Told, from: number, to: number) =>
  [...names].filter(([at]) => at >= from && at < to);

/** "Hair mask #3" is a name. */
const hasNumber = ({ tokens }: Told, from: number, to: number): boolean =>
  tokens
    .slice(from, to)
    .some(({ kind }, at) => kind === 'number' && !isSign(tokens[from + at - 1], '#', '№'));

/** Nothing but one name and words that describe it. */
function isBareName(told: Told, from: number, to: number): boolean {
  const names = namesWithin(told, from, to);
  const [only] = names;
  if (!only || names.length !== 1) return false;
  const [at, { to: end }] = only;
  return told.tokens
    .slice(from, to)
    .every(
      ({ kind, word }, index) =>
        kind === 'sign' || (from + index >= at && from + index < end) || told.words.describing.has(word),
    );
}

/** A short first row without an amount, above other rows. */
function wholeRow(told: Told, start: number, first: Row): Title | null {
  const { tokens, words, rows, sentences } = told;
  const own = sentences.filter(({ row }) => row === first);
  const others = sentences.filter(({ row }) => row !== first).flatMap(({ items }) => items);
  const measured =
    own.some(({ items }) => items.some(({ amount }) => amount !== null && !amount.weak)) ||
    own.some(({ nameless }) =>
      nameless.some(({ amount, isBare }) => !isBare && isMeasured(told, amount, first)),
    );
  const isYear = tokens
    .slice(start, first.to)
    .every(({ kind, raw }) => kind !== 'number' || /^\d{1,4}$/.test(raw));
  if (rows.length < 2 || countWords(told.tokens, start, first.to) > TITLE_WORDS || measured || !isYear)
    return null;
  const heading = words.headings.at(tokens, start);
  const isAlone =
    heading !== undefined && heading.to >= first.to - 1 && !words.roles.kinds.at(tokens, heading.to - 1);
  if (heading && (isAlone || !isSign(tokens[first.to - 1], ':'))) return null;
  const listFollows = others.some(({ amount }) => amount !== null);
  return fitsAbove(told, start, first, { others, listFollows, own }) ? cut(told, start, first.to) : null;
}

/** "3 cups blorbium": so much of something that nobody knows; "3 ingredients" is no measure. */
const isMeasured = (told: Told, { from, to, unit, weak }: Nameless['amount'], first: Row): boolean =>
  from === startOfRow(told.tokens, first) && unit !== null && !weak && !hasKind(told, to, first.to);

interface Around {
  readonly own: Told['sentences'];
  readonly others: readonly Item[];
  readonly listFollows: boolean;
}

function fitsAbove(told: Told, start: number, first: Row, { own, others, listFollows }: Around): boolean {
  // A bare name is one more ingredient, unless a blank row parts it from the list.
  if (isBareName(told, start, first.to)) {
    const isMade = told.tokens.slice(start, first.to).some((token) => says(token, 'madeOf'));
    const isList = others.length > 1 && others.every(({ amount }) => amount !== null);
    return (told.rows[1]?.isParted === true && listFollows) || (isMade && isList);
  }
  const names = namesWithin(told, start, first.to);
  const measured = new Set(others.flatMap(({ amount, name }) => (amount ? [name.match.item.id] : [])));
  // "Milk and honey" above a list of both.
  if (names.length > 1 && names.every(([, { item }]) => measured.has(item.id))) return true;
  const isKind = hasKind(told, start, first.to);
  if (names.length > 0) return isKind && listFollows;
  return isKind || own.every(({ steps }) => steps.length === 0);
}

/** "Okra water", "oat gel": what is made of something. */
const isOfMade = (inside: readonly Token[]): boolean =>
  inside.length > 1 && inside.some((token) => says(token, 'madeOf'));

/** "Glassworks rescue: two bananas …" */
function beforeColon(told: Told, start: number, first: Row): Title | null {
  const { tokens } = told;
  const colon = tokens.findIndex(
    (token, at) => at > start && at < first.to && (isSign(token, ':') || isTitleDash(told, start, at)),
  );
  if (colon < 0 || colon - start > TITLE_WORDS || namesWithin(told, colon, first.to).length === 0)
    return null;
  const spoken = tokens.findLastIndex((token, at) => at >= start && at < colon && isSign(token, '.', '!'));
  // "Okay so don't judge me. The banana thing: …"; a full stop within a number or a short word ends nothing.
  const isOver = spoken > start && !touches(tokens[spoken], tokens[spoken + 1]);
  return beforeColonFrom(told, isOver ? spoken + 1 : start, colon, first);
}

function beforeColonFrom(told: Told, start: number, colon: number, first: Row): Title | null {
  const { tokens, words, sentences } = told;
  const end = beforeYield(told, start, beforeTime(told, start, colon));
  const inside = tokens.slice(start, end);
  const isDay = inside.length === 1 && words.roles.days.at(tokens, start) !== undefined;
  if (
    isDay ||
    isTelling(told, start, end) ||
    isPlainOil(told, start, end) ||
    words.headings.at(tokens, start) !== undefined
  )
    return null;
  const items = sentences.filter(({ row }) => row === first).flatMap((sentence) => sentence.items);
  if (isLine(told, start, colon, items)) return null;
  const measured = items.filter(({ amount, name }) => amount !== null && name.from > colon).length;
  if (measured < 2 && isListOfParts(told, start, colon, items)) return null;
  const isTitle =
    hasKind(told, start, colon) || !isBareName(told, start, colon) || measured > (isOfMade(inside) ? 0 : 1);
  return isTitle ? cut(told, start, end) : null;
}

/** "Coconut oil – solid – …": goes in, where nothing behind it says how much. */
function isPlainOil({ tokens, names, sentences }: Told, start: number, end: number): boolean {
  const name = names.get(start);
  if (!name || name.to !== end || !isOfOil(name.item) || /infused/.test(name.item.id)) return false;
  // "Nettle oil – dried nettle, a cupful, …": what is made of it.
  const word = tokens[start]?.word;
  return !sentences.some(({ items }) =>
    items.some(
      ({ amount, name: { match, from } }) =>
        amount && from >= end && (match.item.id === name.item.id || tokens[from]?.word === word),
    ),
  );
}

/** "Cider vinegar: 2 tbsp to a litre of water" is a line. */
function isLine(told: Told, start: number, colon: number, items: readonly Item[]): boolean {
  const isMixture = told.tokens.slice(start, colon).some((token) => namesMixture(token));
  return (
    !isMixture &&
    !isOfOtherNoun(told, start, colon) &&
    items.some(({ amount, name }) => name.from < colon && amount !== null && amount.from > colon)
  );
}

/** "Marshmallow root slip": behind its name stands what no line would say. */
function isOfOtherNoun(told: Told, start: number, colon: number): boolean {
  const end = Math.max(0, ...namesWithin(told, start, colon).map(([, { to }]) => to));
  const behind = told.tokens.slice(end, colon);
  return end > 0 && behind.some((token) => isWord(token) && !told.words.describing.has(token.word));
}

/** "nettle + horsetail: a handful each": no title, where nothing behind says how much of either. */
function isListOfParts(told: Told, start: number, colon: number, items: readonly Item[]): boolean {
  const ids = namesWithin(told, start, colon).map(([, { item }]) => item.id);
  const behind = new Set(items.flatMap(({ name }) => (name.from > colon ? [name.match.item.id] : [])));
  return ids.length > 1 && !hasKind(told, start, colon) && !ids.some((id) => behind.has(id));
}

/** "Cassia gloss (2 hrs): …": the time in brackets is no part of it. */
function beforeTime({ tokens, words }: Told, start: number, colon: number): number {
  const bracket = tokens.findIndex((token, at) => at > start && at < colon && isSign(token, '('));
  const isTimed = bracket > 0 && words.time.isWithin(tokens, bracket, colon);
  // "Hair butter (for 2 jars): …"
  const isYield = bracket > 0 && says(tokens[bracket + 1], 'purpose') && isNumber(tokens[bracket + 2]);
  return isTimed || isYield ? bracket : colon;
}

/** "Cream base 100 g: …": how much it makes is no part of it. */
function beforeYield({ tokens, words }: Told, start: number, end: number): number {
  const comma = tokens.findIndex((token, at) => at > start && at < end && isSign(token, ','));
  // "Oil blend, 100 ml bottle: …"
  if (comma > 0 && isNumber(tokens[comma + 1]) && says(tokens[end - 1], 'vessel')) return comma;
  const number = end - 2;
  const isYield =
    number > start &&
    isNumber(tokens[number]) &&
    /^(?:k?g|m?l)$/.test(words.units.at(tokens, number + 1)?.value ?? '');
  return isYield ? number : end;
}

/** Numbers, lists, and what is done belong to the recipe itself. */
function isTelling(told: Told, start: number, end: number): boolean {
  const { tokens, words } = told;
  const inside = tokens.slice(start, end);
  return (
    hasNumber(told, start, end) ||
    inside.some((token) => isSign(token, ',')) ||
    (inside.some((token) => isSign(token, '(')) && !isRemarked(told, start, end)) ||
    isSaidOfMe(told, start, end) ||
    inside.slice(0, -1).some((_, at) => words.deeds.at(tokens, start + at)?.value === 'mix')
  );
}

/** "Hair mask (moisture)": in brackets stands only a word. */
function isRemarked(told: Told, start: number, end: number): boolean {
  const inside = told.tokens.slice(start, end);
  const open = inside.findIndex((token) => isSign(token, '('));
  return isSign(inside.at(-1), ')') && namesWithin(told, start + open, end).length === 0;
}

/** "First I do the egg: …": what somebody does, unless it is called something. */
const isSaidOfMe = (told: Told, from: number, to: number): boolean =>
  told.tokens.slice(from, to).some((token) => says(token, 'somebody')) && !hasKind(told, from, to);

/** "Beer rinse – a can …": a dash between blanks, behind a word for a mixture that is no thing of a list. */
function isTitleDash(told: Told, start: number, at: number): boolean {
  const { tokens } = told;
  const [before, dash, next] = [tokens[at - 1], tokens[at], tokens[at + 1]];
  const isBlank = before?.end !== dash?.start && dash?.end !== next?.start;
  if (!isSign(dash, '=', '→') && !(isSign(dash, '-', '–', '—') && isBlank)) return false;
  const isKind = [...tokens.keys()]
    .slice(start, at)
    .some((from) => (told.words.roles.kinds.at(tokens, from)?.to ?? 0) > from + 1);
  const isOne = at - start <= KIND_WITHIN && says(before, 'oneOfKind');
  return isKind || isOne || tokens.slice(start, at).some((token) => namesMixture(token));
}
/** Words of "the Sunday one – …". */
const KIND_WITHIN = 4;

/** "My Sunday papaya mask. I take …" */
function firstSentence(told: Told, first: Row): Title | null {
  const [sentence] = told.sentences;
  if (!sentence || sentence.row !== first || sentence.to >= first.to) return null;
  const { to, items } = sentence;
  const from = afterFillers(told, sentence);
  const isQuiet = items.every(({ amount }) => amount === null) && !hasNumber(told, from, to);
  const isShort = countWords(told.tokens, from, to) < TITLE_WORDS;
  // "My Thursday softener."
  const isMine =
    told.words.roles.titleStarts.at(told.tokens, from) !== undefined &&
    namesWithin(told, from, to).length === 0 &&
    countWords(told.tokens, from, to) > 1 &&
    told.sentences.slice(1).some((next) => next.items.some(({ amount }) => amount !== null));
  const isTitle = hasKind(told, from, to) || isMine || isMadeOfRest(told, from, to);
  // "Conditioner as much as covers my palm.": how much of it.
  if (namesWithin(told, from, to).some(([, { to: end }]) => says(told.tokens[end], 'asMuch'))) return null;
  return isQuiet && isShort && isTitle && isOneName(told, from, to) ? cut(told, from, to) : null;
}

/** No list; "Rescue mask, revised" only says which of several it is. */
function isOneName(told: Told, from: number, to: number): boolean {
  const comma = told.tokens.findIndex((token, at) => at > from && at < to && isSign(token, ','));
  if (comma >= 0 && says(told.tokens[comma + 1], 'asMuch')) return false;
  const isNamed = comma >= 0 && namesWithin(told, comma, to).length > 0;
  return comma < 0 || (to - comma <= (isNamed ? WHICH_WITHIN : WHOSE_WITHIN) && hasKind(told, from, comma));
}
/** Tokens, from the comma on. */
const WHICH_WITHIN = 4;
/** The same of "Hot oil, my grandmother's way.", where nothing is named behind it. */
const WHOSE_WITHIN = 8;

/** "Right, kiln week rescue.": over the words with which one begins to speak. */
function afterFillers({ tokens }: Told, { from, to }: TokenRange): number {
  const spoken = tokens.findIndex((token, at) => at >= from && isWord(token) && !says(token, 'filler'));
  return spoken > from && spoken < to ? spoken : from;
}

/** "Slipway rice water. Soak half a cup of rice …": what is made, before what it is made of. */
function isMadeOfRest({ tokens, sentences }: Told, from: number, to: number): boolean {
  const measured = sentences.slice(1).flatMap(({ items }) => items.filter(({ amount }) => amount !== null));
  return isOfMade(tokens.slice(from, to)) && measured.length > 1;
}

/** How many tokens may stand before the words that introduce a title. */
const INTRODUCED_WITHIN = 6;
const INTRODUCED_WORDS = 7;

/** "okay so this is my glassworks rescue, I do it …": what stands after the words that introduce it. */
function introduced(told: Told, start: number, row: Row): Title | null {
  const { tokens, words, names } = told;
  for (let at = start; at < Math.min(row.to, start + INTRODUCED_WITHIN); at++) {
    const token = tokens[at];
    // "my conditioner" may itself be the name of something.
    const isName = (names.get(at)?.to ?? 0) - at > 1;
    if (!token || isName || token.kind === 'number' || words.units.at(tokens, at)) return null;
    if (at > start && isSign(token, '.', '!', '?', ';', ',')) return null;
    const found = words.roles.titleStarts.at(tokens, at);
    const title = found && introducedAt(told, at, found.to, row);
    if (title) return title;
  }
  return null;
}

function introducedAt(told: Told, at: number, from: number, row: Row): Title | null {
  const { tokens } = told;
  const end = tokens.findIndex((token, index) => index >= from && (index >= row.to || endsTitle(token)));
  const to = end < 0 ? row.to : end;
  const count = countWords(told.tokens, from, to);
  if (count === 0 || count > INTRODUCED_WORDS || hasNumber(told, from, to)) return null;
  const isStrong = from - at > 1 || says(tokens[at], 'calls');
  // "I buy the plain conditioner": only what stands first is called so.
  const isFirst = tokens
    .slice(startOfRow(tokens, row), at)
    .every((token) => !isWord(token) || says(token, 'filler'));
  if (!isStrong && (!isFirst || !hasKind(told, from, to))) return null;
  // "Receita da semana"
  const isWhen = count === 1 && (told.words.time.at(tokens, from) ?? told.words.roles.days.at(tokens, from));
  if (isWhen) return null;
  // "Recette de ma tante pour …": whose it is.
  const isWhose = told.words.roles.persons.at(tokens, from) !== undefined;
  return cut(told, isStrong && !isWhose ? from : at, to);
}

/** "… That's my ends butter, keeps half a year.", "I call it Sunday cream.": a later sentence that says what it was. */
function calledBehind(told: Told): Title | null {
  const { tokens, words, sentences } = told;
  for (const { from, row } of sentences.slice(1)) {
    const behind = words.roles.titleStarts.at(tokens, from);
    const isCalled =
      behind !== undefined && tokens.slice(from, behind.to).some((token) => says(token, 'calls'));
    if (!behind || !(isCalled || says(tokens[from], 'thatIs'))) continue;
    const title = introducedAt(told, from, behind.to, row);
    if (title && (isCalled || hasKind(told, title.from, title.to))) return title;
  }
  return null;
}

/** Where the name is over and the telling goes on; "é" is "is", "e" is "and". */
const endsTitle = (token: Token): boolean =>
  /^[éè]$/i.test(token.raw) ||
  isSign(token, ',', '.', ';', ':', '!', '?', '(', ')', '–', '—') ||
  says(token, 'endsTitle');

function cut({ text, tokens }: Told, from: number, to: number): Title | null {
  let [first, last] = [from, to];
  while (first < last && tokens[first]?.kind === 'sign') first++;
  while (last > first && tokens[last - 1]?.kind === 'sign' && !isSign(tokens[last - 1], ')')) last--;
  const [begin, end] = [tokens[first], tokens[last - 1]];
  if (first >= last || !begin || !end) return null;
  const name = text.slice(begin.start, end.end).replace(/\s+/g, ' ').trim().slice(0, TITLE_CHARACTERS);
  return name === '' ? null : { from: first, to: last, name: name.charAt(0).toUpperCase() + name.slice(1) };
}
