import { sum } from '../../base/measures';
import { isNameNext } from './ahead';
import { NO_MEASURE, type Amount } from './amounts';
import { takeEqual } from './amountsTaken';
import { doesSame } from './asides';
import type { Element, Separator } from './elements';
import type { Gathering } from './gathering';
import type { TokenRange } from './item';
import { says } from './marks';
import { isProduct, saidOf } from './pending';
import { isSign, isWord } from './tokens';
import type { Role } from './vocabulary';

type TakesRole = (g: Gathering, element: TokenRange, index: number) => void;

/** What the words of a role do to what is said around them; others do nothing. */
const TAKES: Partial<Record<Role, TakesRole>> = {
  contains: (g, _, index) => beginHolding(g, index),
  not: (g, _, index) => deny(g, index),
  // "Melt everything but the orange" leaves it in.
  except: (g) => (g.beside = true),
  isA: (g, element) => (g.called = element),
  beside: (g) => (g.beside = true),
  another: (g) => (g.another = true),
  correction: correct,
  formerly: takeFormer,
  now: (g, element, index) => (g.former ? correct(g, element, index) : undefined),
  inAll: takeTotal,
  topUp: takeTopUp,
  cap: (g) => (g.open ? g.open.unknown++ : undefined),
  optional: makeOptional,
  each: (g) => (g.open ? (g.open.shared = true) : undefined),
  same: (g, element, index) => takeSame(g, element, index),
  equal: takeEqual,
};

export function takeRole(g: Gathering, role: Role, element: TokenRange, index: number): void {
  TAKES[role]?.(g, element, index);
}

const timesAmount = (amount: Amount, times: number): Amount => ({
  ...amount,
  quantity: amount.quantity * times,
  quantityTo: amount.quantityTo === null ? null : amount.quantityTo * times,
});

/** "the same of oil", not "in the same liquid"; "twice as much oil" */
export function takeSame(g: Gathering, { from, to }: TokenRange, index: number, times = 1): void {
  const before = g.last()?.amount;
  const isOfThing = says(g.tokens[to], 'madeNoun') || says(g.tokens[to], 'vessel');
  if (before && !(isOfThing && !isNameNext(g.elements, index)))
    g.open = g.opened({ ...timesAmount(before, times), from, to }, { from, to });
}

function correct(g: Gathering, { from }: TokenRange, index: number): void {
  const isAnswer = isSign(g.tokens[from], '?');
  // "1 tsp turmeric? No, it stains.": nothing takes its place.
  if (isAnswer && !g.elements.slice(index + 1).some(({ kind }) => kind === 'name' || kind === 'amount')) {
    g.mentions.push(...g.takenBack());
    return;
  }
  // "condensed milk?? no: milk powder, …"
  if (isAnswer && asksOfWaiting(g)) {
    g.mentions.push(...g.waiting.splice(-1));
    g.swaps = g.items.length === 0;
    g.former = false;
    return;
  }
  // "??  no sorry, …": said twice.
  const before = g.elements[index - 1];
  if (before?.kind === 'role' && before.role === 'correction') return;
  dropFormer(g, index);
  const { roles } = g.words;
  const isOfOpen = g.open !== null && g.open.unknown === 0 && !g.open.shared;
  g.swaps = g.former || roles.swap.at(g.tokens, from) !== undefined || isAnswer;
  g.former = false;
  if (isOfOpen) g.open = null;
  else g.corrected = g.items.length > 0;
}

/** The name that was asked about has no amount yet. */
function asksOfWaiting(g: Gathering): boolean {
  const waits = g.waiting.at(-1);
  return !g.open && waits !== undefined && waits.from > (g.last()?.name.from ?? -1);
}

/** "It was runny so I put in …" tells of no other recipe: the short words do where an amount or a name follows. */
function takeFormer(g: Gathering, { from, to }: TokenRange, index: number): void {
  const soon = g.elements.slice(index + 1, index + 1 + FORMER_WITHIN);
  // "When I measured it, it was four tablespoons": nothing tells what it is now.
  const isPlain = to - from <= FORMER_WORDS;
  // "Gran used beer, me too: …"
  if (doesSame(g.tokens.slice(from, g.elements.at(-1)?.to))) return;
  const isOver = !isPlain || saysNow(g, to);
  g.former = isOver && (!isPlain || soon.some(({ kind }) => kind === 'amount' || kind === 'name'));
}
const FORMER_WORDS = 2;

/** A word for now, or another way of hers, within what is said next. */
function saysNow({ tokens, words: { roles } }: Gathering, from: number): boolean {
  const to = Math.min(tokens.length, from + NOW_WITHIN);
  return (
    roles.now.isWithin(tokens, from, to) ||
    roles.correction.isWithin(tokens, from, to) ||
    tokens.slice(from, to).some((token) => says(token, 'but') || says(token, 'i') || says(token, 'mine'))
  );
}
/** Tokens. */
const NOW_WITHIN = 30;

/** Elements behind them. */
const FORMER_WITHIN = 3;

/** "used to be all coconut, these days it's 2 tbsp jojoba": named before, and another thing has the amount. */
function dropFormer(g: Gathering, index: number): void {
  const amount = g.elements.findIndex(({ kind }, at) => at > index && kind === 'amount');
  if (!g.former || amount < 0 || !isNameNext(g.elements, amount)) return;
  g.mentions.push(...g.waiting);
  g.waiting = [];
}

/** "about 6 tablespoons in all" */
export function takeTotal(g: Gathering, { to }: TokenRange): void {
  const amount = g.open?.amount;
  g.inAll = amount === undefined;
  if (!amount || amount.unit === null) return;
  g.batches.push({ what: 'total', amount, from: amount.from, to });
  g.open = null;
}

/** "fill two thirds with grapeseed, top up with castor": what the parts leave. */
function takeTopUp(g: Gathering, element: TokenRange): void {
  // "half jojoba, the rest is grapeseed"
  for (const item of g.items) {
    const isShare = item.amount?.unit === null && item.amount.quantity < 1;
    if (isShare && item.name.match.item.ingredient?.measures.pieceGrams === undefined)
      item.amount = { ...item.amount!, unit: 'part' };
  }
  const left = 1 - sum(g.items.map(({ amount }) => (amount?.unit === 'part' ? amount.quantity : 0)));
  if (left <= 0 || left >= 1) return;
  const { from, to } = element;
  g.open = g.opened({ ...NO_MEASURE, from, to, quantity: left, unit: 'part' }, element, { equalPart: true });
}

/** "(contains silk, keratin)": of the product before it. */
function beginHolding(g: Gathering, index: number): void {
  const before = g.elements[index - 1];
  const isOfProduct = before?.kind === 'name' && isProduct(before.match);
  if (g.bracket > 0 || isOfProduct) g.holding = g.waiting.at(-1)?.holds ?? g.last()?.holds ?? null;
}

function deny(g: Gathering, index: number): void {
  g.denied = true;
  g.deniedAt = g.elements[index]?.to ?? 0;
  const next = g.elements[index + 1];
  const isEnd = !next || next.kind === 'separator' || g.tokens[next.from]?.kind === 'sign';
  if (isEnd || saysNothing(g)) denyOpen(g);
  if (isEnd) takeBackBefore(g, g.elements[index - 1]);
  if (next?.kind === 'separator' && next.separator === 'comma') denyNamedBefore(g, index);
  // "Conservante no le pongo"
  if (isDoneNext(g, index)) denyNamedBefore(g, index);
  // "Lemon: nope."
  const isAlone = g.elements.slice(index + 1).every(({ kind }) => kind === 'word');
  if (isAlone && saysOnlyI(g, index) && !isInCondition(g, index)) mentionLast(g);
}

/** "Honey I don't"; "a little water so it doesn't clump" denies no water. */
function saysOnlyI(g: Gathering, index: number): boolean {
  const [from, to] = [g.waiting.at(-1)?.to ?? 0, g.elements[index]?.from ?? 0];
  return g.tokens.slice(from, to).every((token) => {
    const isQuality = isWord(token) && g.words.describing.has(token.word) && !says(token, 'pronoun');
    return !isWord(token) || isQuality || says(token, 'i');
  });
}

/** What is not done with what stands before: within a word or two, and the clause is over. */
function isDoneNext({ elements, deed }: Gathering, index: number): boolean {
  const behind = elements.slice(index + 1, index + 1 + DONE_WITHIN);
  const at = behind.findIndex(
    (each) => each.kind === 'deed' && (each.deed === 'take' || each.deed === 'mix'),
  );
  const next = elements[index + at + 2];
  const isOver = next === undefined || next.kind === 'separator';
  return at >= 0 && isOver && deed === null && behind.slice(0, at).every(({ kind }) => kind === 'word');
}
const DONE_WITHIN = 3;

/** "a shake of cinnamon if my scalp isn't itchy": what it depends on. */
function isInCondition(g: Gathering, index: number): boolean {
  const [from, to] = [g.waiting.at(-1)?.to ?? 0, g.elements[index]?.from ?? 0];
  return g.tokens.slice(from, to).some((token) => says(token, 'if'));
}

/** "1 sachet no, …" */
function denyOpen(g: Gathering): void {
  if (g.open && (g.open.unknown > 0 || g.open.amount.unit !== null)) g.open = null;
}

/** "a pinch of nothing else" */
function saysNothing({ elements, deniedAt }: Gathering): boolean {
  const behind = elements.find(({ kind, from }) => from >= deniedAt && kind !== 'word');
  return behind === undefined || behind.kind === 'separator';
}

function mentionLast(g: Gathering): void {
  g.mentions.push(...g.waiting.slice(-1));
  g.waiting = g.waiting.slice(0, -1);
}

/** "Whole egg no, just the yolk": alone in its clause. */
function denyNamedBefore(g: Gathering, index: number): void {
  const clauseFrom = g.elements.findLastIndex(({ kind }, at) => at < index && kind === 'separator') + 1;
  const clause = g.elements.slice(clauseFrom, index);
  const named = clause.filter(({ kind }) => kind === 'name');
  const isMeasured = clause.some((each) => each.kind === 'amount' && each.amount.unit !== null);
  const waits = g.waiting.at(-1);
  if (named.length !== 1 || isMeasured || waits?.from !== named[0]?.from) return;
  mentionLast(g);
  g.denied = false;
}

/** "1 ampoule no, …", "10 g citric… no, 1 g citric acid" */
function takeBackBefore(g: Gathering, before: Element | undefined): void {
  if (before?.kind === 'separator' && g.nameless.at(-1)?.range.to === before.from) g.nameless.pop();
  if (before?.to === g.last()?.name.to) g.mentions.push(...g.takenBack());
}

function makeOptional(g: Gathering): void {
  const last = g.last();
  if (g.waiting.length > 0) {
    const end = g.waiting.length - 1;
    g.waiting = g.waiting.map((each, at) => (at === end ? { ...each, optional: true } : each));
  } else if (last && !g.open) last.optional = true;
  else g.optional = true;
}

export function takeSeparator(g: Gathering, separator: Separator, element: TokenRange): void {
  g.lastSeparator = separator;
  if (separator === 'open' || separator === 'close') takeBracket(g, separator, element);
  else if (separator === 'or') orElse(g, element);
  else if (separator !== 'slash') beginChunk(g);
  if (separator === 'comma' || separator === 'colon' || separator === 'dash') endPart(g, separator, element);
  else if (separator === 'and') {
    closeUnknown(g);
    if (says(g.tokens[element.to - 1], 'then')) g.deed = null;
  } else if (separator === 'with' && g.open?.amount.unit === null && g.open.unknown === 0) {
    // "3 tbsp for me, 5 for my mum"
    g.close();
  }
}

function endPart(g: Gathering, separator: 'comma' | 'colon' | 'dash', element: TokenRange): void {
  if (separator === 'comma') {
    closeForm(g, element);
    takeListed(g, element);
  } else beginList(g, separator, element);
  endClause(g);
}

/** "Milk powder mask. 3 tbsp powder, enough warm water": of what was named, not of what stands behind. */
function closeForm(g: Gathering, { from }: TokenRange): void {
  const isOpen = g.open !== null && g.open.unknown === 0 && !g.open.shared && g.open.amount.unit !== null;
  if (isOpen && says(g.tokens[from - 1], 'formNoun')) g.close();
}

function takeBracket(g: Gathering, separator: 'open' | 'close', element: TokenRange): void {
  const { to } = element;
  if (separator === 'open') {
    takeListed(g, element);
    g.bracket++;
    g.deedOutside = g.deed;
    g.whenOutside = g.when;
    // "aquafaba (that's the water off chickpeas)": what it is.
    if (says(g.tokens[to], 'thatIs')) g.when = true;
    return;
  }
  g.when = g.whenOutside;
  g.bracket = Math.max(0, g.bracket - 1);
  g.deed = g.deedOutside;
  g.holding = null;
}

/** "Nettle oil – dried nettle, a cupful": what stands before it has no amount in the list behind. */
function beginList(g: Gathering, separator: 'colon' | 'dash', element: TokenRange): void {
  takeListed(g, element);
  // "Rosemary rinse – a fistful …": what it is called.
  if (separator === 'colon' || (g.items.length === 0 && g.deed === 'rinse')) g.deed = null;
  if (separator === 'colon' || (g.items.length === 0 && g.waiting.length === 1)) g.chunkAfterColon = g.chunk;
}

/** "cornflour, milk and cream: two spoons, a cup and half a cup", "yogurt with honey, half a cup and a spoon", "honey & milk (1 tbsp & 2 tbsp)": each has its own, in their order. */
function takeListed(g: Gathering, colon: TokenRange): void {
  const names = g.waiting.filter(({ heads }) => !heads);
  if (names.length < 2) return;
  const behind = g.elements.filter(({ from }) => from >= colon.to);
  const end = behind.findIndex(({ kind }) => kind !== 'amount' && kind !== 'separator');
  const amounts = (end < 0 ? behind : behind.slice(0, end)).filter((each) => each.kind === 'amount');
  const isOver =
    end < 0 ||
    isSign(g.tokens[behind[end]?.from ?? 0], '.', ';', '!') ||
    behind[end - 1]?.kind === 'separator';
  if (amounts.length !== names.length || !isOver) return;
  for (const [nth, name] of names.entries()) {
    const each = amounts[nth];
    if (!each) continue;
    g.add(name, each.amount, saidOf(name));
    g.listed.add(each);
  }
  g.waiting = g.waiting.filter(({ heads }) => heads);
}

/** "or cream" may be taken in its place; "or you'll have scrambled eggs" only warns. */
function orElse(g: Gathering, { to }: TokenRange): void {
  if (says(g.tokens[to], 'elseThen')) g.beside = true;
  else g.instead = true;
}

function beginChunk(g: Gathering): void {
  g.chunk++;
  g.strangeBefore = g.namedInChunk ? null : g.strange;
  g.strange = null;
  g.namedInChunk = false;
}

/** What was said of the next thing holds no longer. */
function endClause(g: Gathering): void {
  g.when = false;
  g.inAll = false;
  g.denied = false;
  g.beside = false;
  g.called = null;
  g.instead = false;
  g.optional = false;
  closeUnknown(g);
}

function closeUnknown(g: Gathering): void {
  if (g.open && g.open.unknown > 0) g.close();
}
