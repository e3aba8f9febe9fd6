import { UNITS, type UnitId } from '../../base/measures';
import { isEachBefore, isEachNext, isNameBeforeAmount, isNameNext } from './ahead';
import { NO_MEASURE, type Amount } from './amounts';
import { saysOtherwise } from './amountsAside';
import type { Gathering } from './gathering';
import type { TokenRange } from './item';
import { isMeasure, isPack } from './lineAmount';
import { says } from './marks';
import { saidOf } from './pending';
import { isNumber, isSign } from './tokens';

export function takeAmount(g: Gathering, given: Amount, element: TokenRange, index: number): void {
  g.when = false;
  if (
    isDenied(g, given, index) ||
    saysOtherwise(g, given, element, index) ||
    isFilled(g, given, element, index)
  )
    return;
  const isArticle = given.weak && given.unit === null;
  if (!isArticle) g.denied = false;
  g.beside = false;
  g.called = null;
  if (isOfNextName(g, given, index)) for (const each of g.waiting) each.heads = true;
  const direct = !isStopped(g, element, index) && isNameNext(g.elements, index);
  const isTaken = isGiven(g, given, element, index, direct);
  g.another = false;
  if (isTaken) return;
  openAmount(g, given, element, index);
  if (direct && g.open && isEachBefore(g.elements, index)) g.open.shared = true;
}

/** "five drops of tea tree, not a teaspoon" */
const isDenied = (g: Gathering, { unit, from }: Amount, index: number): boolean =>
  g.denied && unit !== null && from - g.deniedAt <= 1 && g.isEndAt(index + 1) && g.items.length > 0;

/** Whether it is of what was named before it, or of nothing. */
function isGiven(g: Gathering, given: Amount, element: TokenRange, index: number, direct: boolean): boolean {
  const isEach = isEachNext(g.elements, index) || (!direct && isEachBefore(g.elements, index));
  return (
    (!direct && (changesLast(g, given) || isShareMore(g, given, index))) ||
    isStrange(g, given, element, isEach || direct) ||
    (g.bracket > 0 && inBracket(g, given, direct, index)) ||
    (!direct && givesBack(g, given, isEach, index))
  );
}

/** "fill two thirds with grapeseed": a part of the bottle. */
function isFilled(g: Gathering, given: Amount, element: TokenRange, index: number): boolean {
  const next = g.elements[index + 1];
  const isWith = next?.kind === 'separator' && next.separator === 'with';
  // "fill it a third with olive oil"
  const isFilling = [1, 2].some((back) => says(g.tokens[given.from - back], 'fills'));
  const isShare = given.unit === null && given.quantity < 1 && isFilling;
  if (!isShare || !isWith || g.elements[index + 2]?.kind !== 'name') return false;
  g.close();
  g.open = g.opened({ ...given, unit: 'part' }, { from: element.from, to: next.to }, { equalPart: true });
  return true;
}

/** The amount stands behind what it is of. */
function givesBack(g: Gathering, given: Amount, isEach: boolean, index: number): boolean {
  const nameFollows = isNameBeforeAmount(g.elements, index);
  if (isEach && giveToParts(g, given)) return true;
  if (g.waiting.some(({ heads }) => !heads) && !(isEach && nameFollows)) {
    giveToWaiting(g, given, isEach);
    return true;
  }
  return g.instead && g.items.length > 0 && !nameFollows;
}

/** "Okra: beat 6 okra", "clay wash – ½ cup rhassoul": what stands before the colon or the dash is a title. */
function isOfNextName(g: Gathering, { from }: Amount, index: number): boolean {
  const waits = g.waiting.at(-1);
  const next = g.elements[index + 1];
  if (!waits || next?.kind !== 'name') return false;
  const isParted = g
    .between(waits.to, from)
    .some((each) => each.kind === 'separator' && (each.separator === 'colon' || each.separator === 'dash'));
  const hasOwnBehind = g.elements[index + 2]?.kind === 'amount';
  const isSame = g.waiting.some(({ match }) => match.item.id === next.match.item.id);
  return isParted && (isSame || (g.items.length === 0 && !hasOwnBehind));
}

/** "mayonnaise, 3 tbsp. egg yolk, one": the full stop ends what began with a name. */
function isStopped(g: Gathering, element: TokenRange, index: number): boolean {
  const before = g.elements[index - 1]?.kind;
  // "Yogurt 100 g. Honey 20 g."
  const isBehind = g.waiting.length > 0 && (before === 'separator' || before === 'name');
  return isBehind && isSign(g.tokens[element.to - 1], '.');
}

/** "or rather three", "another half": said of what was named last. */
function changesLast(g: Gathering, given: Amount): boolean {
  const last = g.last();
  const [corrected, another] = [g.corrected, g.another];
  if (!last || (!corrected && !another)) return false;
  const unit = given.unit ?? last.amount?.unit ?? null;
  if (corrected) last.amount = { ...given, unit, packSize: given.packSize ?? last.amount?.packSize ?? null };
  else last.more.push({ ...given, unit });
  g.formerItems.delete(last);
  g.corrected = false;
  return true;
}

/** "an egg and a half": half of another. */
function isShareMore(g: Gathering, given: Amount, index: number): boolean {
  const last = g.last();
  const [name, and] = g.elements.slice(Math.max(0, index - 2), index);
  const isBehind =
    name?.kind === 'name' &&
    name.to === last?.name.to &&
    and?.kind === 'separator' &&
    and.separator === 'and';
  const isShare = given.unit === null && given.quantity < 1 && last?.amount?.unit === null;
  if (!last || !isBehind || !isShare || !g.isEndAt(index + 1)) return false;
  last.more.push(given);
  return true;
}

/** An amount behind words that nobody knows. */
function isStrange(g: Gathering, given: Amount, element: TokenRange, isOther: boolean): boolean {
  const { strange } = g;
  const isOwn =
    (given.unit !== null || isNumberOf(g, given, element)) && !given.weak && !isOther && g.bracket === 0;
  if (!isOwn || !strange || g.namedInChunk) return false;
  g.close();
  g.nameless.push({ amount: given, range: { from: strange.from, to: element.to }, isBare: false });
  g.strange = null;
  return true;
}

/** Of a list that begins in these a number alone is one more. */
const WEIGHED_IN: ReadonlySet<UnitId> = new Set<UnitId>(['g', 'ml', 'oz', '%']);

/** "mango butter 20, blorbium 20": a number of something unknown, beside others that were weighed. */
function isNumberOf(g: Gathering, { from }: Amount, { to }: TokenRange): boolean {
  const before = g.last()?.amount;
  const isList = before !== undefined && before !== null && isNumber(g.tokens[before.from]);
  const isWeighed = isList && (before.unit === null || WEIGHED_IN.has(before.unit));
  const next = g.tokens[to];
  const isEnd = next === undefined || next.kind === 'break' || isSign(next, ',', '.', ';', '(', '/');
  return isWeighed && isEnd && isNumber(g.tokens[from]) && g.strange?.to === from;
}

/** What stands in brackets says the same again, the size of each, or what may be taken instead. */
function inBracket(g: Gathering, given: Amount, direct: boolean, index: number): boolean {
  const last = g.last();
  if (!last) return false;
  // "equal amounts of oil and milk (3 tablespoons of each)"
  if (isEachNext(g.elements, index) && giveToParts(g, given)) return true;
  if (direct && given.weak && given.unit === null) {
    // "an egg (only the white if …)"
    g.instead = true;
    return true;
  }
  const waits = g.waiting.some(({ from }) => from > last.name.from);
  if (direct || !last.amount || given.unit === null || waits) return false;
  if (!last.amount.packSize && !last.shared)
    last.amount = sized(g, last.amount, { ...given, unit: given.unit }, index);
  return true;
}

function sized(
  g: Gathering,
  amount: Amount,
  { from, to, quantity, unit }: Amount & { readonly unit: UnitId },
  index: number,
): Amount {
  const saysPack = g.tokens
    .slice(from, to)
    .some((_, at) => isPack(g.words.units.at(g.tokens, from + at)?.value));
  // "half a tub of ricotta (125 g)": what is in the bowl; "(it's a 300 g tub)" is what is in the tub.
  if (!saysPack && amount.quantity < 1 && isPack(amount.unit)) return { ...amount, quantity, unit };
  // "a pot of yogurt (150 g)": what was weighed counts.
  const isWeighed =
    amount.unit !== null && UNITS[amount.unit].kind === 'volume' && UNITS[unit].kind === 'mass';
  if (isWeighed && !saysPack) return { ...amount, quantity, quantityTo: null, heaped: false, unit };
  const mayBeOfAll = !isEachNext(g.elements, index);
  return { ...amount, packSize: { quantity, unit, mayBeOfAll } };
}

/** The amount stands behind: of the name before it, of the first of a list, or of each. */
function giveToWaiting(g: Gathering, given: Amount, isEach: boolean): void {
  if (isEach) {
    const own = g.waiting.filter(({ heads }) => !heads);
    for (const name of own) g.add(name, given, { ...saidOf(name), shared: true });
    g.waiting = g.waiting.filter(({ heads }) => heads);
    return;
  }
  const nearest = g.waiting.findLast(({ heads }) => !heads);
  if (!nearest) return;
  const isBehindColon = nearest.chunk >= g.chunkAfterColon;
  const near = g.waiting.filter(
    ({ chunk, heads }) =>
      !heads && chunk >= nearest.chunk - 1 && (!isBehindColon || chunk >= g.chunkAfterColon),
  );
  // "milk and honey, 2 cups"
  // "honey, oil, a thread of it": of the last.
  const isOfIt = says(g.tokens[given.to], 'pronoun');
  const isList = near.length > 1 && g.chunk > nearest.chunk && g.lastSeparator === 'comma' && !isOfIt;
  const taken = isList ? (near[0] ?? nearest) : nearest;
  const others = isList ? near.slice(1) : [];
  g.add(taken, given, { ...saidOf(taken), others });
  g.waiting = g.waiting.filter((each) => each !== taken && !others.includes(each));
}

/** "equal amounts of honey and milk, 3 tbsp of each" */
function giveToParts(g: Gathering, given: Amount): boolean {
  const [first] = g.items.filter(({ equalPart }) => equalPart);
  // What was named before them heads what is told: "honey mask: equal parts of honey and …".
  if (!first || g.waiting.some(({ from }) => from > first.name.from)) return false;
  for (const [at, each] of g.items.entries())
    if (each.equalPart) g.items[at] = { ...each, amount: given, equalPart: false };
  g.open = null;
  return true;
}

function openAmount(g: Gathering, given: Amount, element: TokenRange, index: number): void {
  const open = g.open;
  const isSum =
    open !== null &&
    open.amount.unit !== null &&
    given.unit !== null &&
    open.unknown === 0 &&
    !open.shared &&
    g.between(open.amount.to, element.from).every(
      (each) =>
        each.kind === 'separator' &&
        (each.separator === 'and' ||
          each.separator === 'slash' ||
          // "two spoons to a litre", of nothing that is named behind
          (each.separator === 'with' && !isNameNext(g.elements, index))),
    );
  // "One can, 440 ml, boil it down": how large it is.
  const isSize =
    open !== null &&
    isPack(open.amount.unit) &&
    open.unknown === 0 &&
    given.unit !== null &&
    isMeasure(given.unit) &&
    !isPack(given.unit) &&
    !isNameNext(g.elements, index) &&
    isSign(g.tokens[element.from - 1], ',');
  if (isSize) {
    const packSize = { quantity: given.quantity, unit: given.unit! };
    g.open = { ...open, amount: { ...open.amount, packSize }, to: element.to, chunk: g.chunk };
    return;
  }
  if (open && isSum) {
    // "1 tbsp + 1 tsp honey"
    g.open = g.opened(given, element, { more: [...open.more, open.amount] });
    return;
  }
  g.close();
  g.open = g.opened(given, element);
}

export function takeEqual(g: Gathering, element: TokenRange, index: number): void {
  const part: Amount = { ...NO_MEASURE, from: element.from, to: element.to, quantity: 1, unit: 'part' };
  // "rice water: …, dilute half and half": one thing alone has no parts.
  if (g.waiting.length === 1 && g.items.length > 0 && !isNameNext(g.elements, index)) return;
  if (g.waiting.length === 0 || isNameBeforeAmount(g.elements, index)) {
    g.open = g.opened(part, element, { shared: true, equalPart: true });
    return;
  }
  for (const name of g.waiting) g.add(name, part, { shared: true, equalPart: true });
  g.waiting = [];
}

/** "honey and oil, 2:1", "2:1 honey and oil"; of one thing alone it says how it is thinned. */
export function takeRatio(
  g: Gathering,
  { parts, from, to }: TokenRange & { readonly parts: readonly number[] },
  index: number,
): void {
  const amounts = parts.map((quantity): Amount => ({ ...NO_MEASURE, from, to, quantity, unit: 'part' }));
  if (g.waiting.length === parts.length) {
    for (const [nth, name] of g.waiting.entries())
      g.add(name, amounts[nth] ?? null, { ...saidOf(name), shared: true, equalPart: true });
    g.waiting = [];
    return;
  }
  const behind = g.elements
    .slice(index + 1)
    .filter(({ kind }) => kind === 'name' || kind === 'amount')
    .slice(0, parts.length);
  const isList =
    g.waiting.length === 0 && behind.length === parts.length && behind.every(({ kind }) => kind === 'name');
  if (isList) g.ratio = amounts;
}
