import { NO_MEASURE } from './amounts';
import type { Gathering } from './gathering';
import type { Item, NamedAt, TokenRange } from './item';
import { says } from './marks';
import type { NameMatch } from './namesFound';
import { isOfLiquid, isProduct } from './pending';
import { isSign, isWord } from './tokens';

/** How many tokens behind "no" a thing may stand that is taken out again. */
const DENIED_WITHIN = 2;

const EGG_PARTS: ReadonlySet<string> = new Set(['egg-yolk', 'egg-white']);

/** How many tokens before it a condition may begin. */
const CONDITION_WITHIN = 14;

export function takeName(
  g: Gathering,
  element: TokenRange & { readonly match: NameMatch },
  index: number,
): void {
  g.namedInChunk = true;
  const named: NamedAt = { from: element.from, to: element.to, match: element.match };
  if (isAside(g, named)) g.mentions.push(named);
  else if (takesPart(g, named) || swapsLast(g, named) || namesPart(g, named)) return;
  else if (isInstead(g, named) || takesOpen(g, named) || takesAnother(g, named) || takesWords(g, named))
    return;
  else waits(g, named, index);
}

/** "olive or sunflower oil": in place of the last. */
function isInstead(g: Gathering, named: NamedAt): boolean {
  if (!g.instead) return false;
  const last = g.last();
  if (last && g.waiting.length === 0) {
    last.instead.push(named);
    g.open = null;
    return true;
  }
  const isOfWaiting = g.waiting.length > 0 && !g.open;
  if (isOfWaiting) g.mentions.push(named);
  return isOfWaiting;
}

/** "uma colher de chá de óleo e outra de mel": one of the same measure. */
function takesAnother(g: Gathering, named: NamedAt): boolean {
  const unit = g.last()?.amount?.unit;
  if (!g.another || !unit || !g.words.roles.of.endsAt(g.tokens, named.from, 1)) return false;
  g.another = false;
  g.add(named, { ...NO_MEASURE, from: named.from - 1, to: named.from, quantity: 1, unit });
  return true;
}

/** What was said before a name without an amount: "it's a", "until it is like cream". */
function takesWords(g: Gathering, named: NamedAt): boolean {
  if (g.called) {
    const { to } = g.called;
    g.called = null;
    g.add(named, { ...NO_MEASURE, from: to - 1, to, quantity: 1, weak: true });
    return true;
  }
  if (!g.texture || !isOfLiquid(named)) return false;
  g.add(named, null, { texture: g.texture });
  g.texture = null;
  return true;
}

/** Its amount may come behind it; right behind another it is the same thing, or one more name of it. */
function waits(g: Gathering, named: NamedAt, index: number): void {
  const { deed, chunk, optional } = g;
  const last = g.last();
  if (last && (g.bracket > 0 || touchesLast(g, last, named, index))) last.others.push(named);
  else g.waiting.push({ ...named, deed, chunk, optional, holds: [], heads: false });
}

/** What a product holds, what is left as it is, and what is only mentioned: no thing that goes in. */
function isAside(g: Gathering, named: NamedAt): boolean {
  if (g.holding) g.holding.push(named);
  else if (g.whole && (g.denied || g.beside)) g.whole.except.push(named);
  else return isMentioned(g, named);
  return true;
}

/** Denied, told only when, or called so: no thing that goes in. */
function isMentioned(g: Gathering, named: NamedAt): boolean {
  const isKind = g.called !== null && isProduct(named.match);
  // "My version: swap the egg for yogurt"
  const isSwapped = !g.open && [1, 2].some((back) => says(g.tokens[named.from - back], 'swaps'));
  const isReason = (g.when && !g.open) || isSwapped;
  const isBad = isCalledBad(g, named) || isThisMixture(g, named);
  const isDenied = g.denied || isLeftOut(g, named);
  if (!isDenied && !g.beside && !isReason && !isKind && !isBad && !isResult(g, named)) return false;
  if (isBad) g.open = null;
  if (isDenied) takeBack(g, named, isConditional(g, named.from));
  // "no oil, there's plenty in the mayo": only what stands with it in one list.
  g.denied = g.denied && goesOnAfter(g, named);
  g.beside = false;
  g.called = null;
  return true;
}

/** "leave the honey out" */
const isLeftOut = ({ tokens }: Gathering, { from, to }: NamedAt): boolean =>
  [1, 2].some((back) => says(tokens[from - back], 'leaves')) && says(tokens[to], 'leftOut');

/** "The base of this deep conditioner is shea butter", "my recipe for the okra conditioner": what is made. */
const isThisMixture = ({ open, tokens }: Gathering, { from, match }: NamedAt): boolean =>
  open === null &&
  isProduct(match) &&
  ([1, 2].some((back) => says(tokens[from - back], 'thisMade')) ||
    tokens.slice(Math.max(0, from - RECIPE_WITHIN), from).some((token) => says(token, 'recipeWord')));
/** Tokens between "recipe for" and what it is for. */
const RECIPE_WITHIN = 5;

/** "a mashed banana is murder to rinse, so …", "glycerin is out in winter" */
function isCalledBad({ open, words, tokens }: Gathering, { to }: NamedAt): boolean {
  if (words.roles.tooMuch.at(tokens, to)) return true;
  const isMeasured = open !== null && (open.amount.unit !== null || !open.amount.weak);
  return !isMeasured && words.roles.isBad.at(tokens, to) !== undefined;
}

function goesOnAfter(g: Gathering, { to }: NamedAt): boolean {
  const next = g.elements.find((element) => element.from >= to);
  return next?.kind === 'separator' && next.separator !== 'with' && next.separator !== 'dash';
}

/** "… = my styling gel": what comes of it. */
function isResult(g: Gathering, { from }: NamedAt): boolean {
  const before = g.tokens.slice(Math.max(0, from - 3), from);
  const sign = before.findLast(({ kind }) => kind !== 'word');
  return g.open === null && isSign(sign, '=') && g.items.length > 0;
}

/** "not sugar": it goes in no longer, or was no part of the last. */
function takeBack(g: Gathering, named: NamedAt, isConditional: boolean): void {
  const at = g.items.findLastIndex(({ name }) => name.match.item.id === named.match.item.id);
  const item = g.items[at];
  if (item && isConditional) {
    item.optional = true;
    return;
  }
  // "no, I keep the honey": further away it may be anything.
  if (item && named.from - g.deniedAt > DENIED_WITHIN) return;
  g.denials.push(named);
  if (at < 0 && !isOfPart(g, named)) g.last()?.without.push(named);
  if (at < 0) return;
  g.mentions.push(...g.items.splice(at, 1).map(({ name }) => name));
}

/** "2 ovos (sem a pele da gema)": of a part of it. */
function isOfPart({ tokens, words }: Gathering, { from }: NamedAt): boolean {
  const noun = tokens[from - 2];
  return (
    words.roles.of.endsAt(tokens, from, 1) &&
    isWord(noun) &&
    !words.describing.has(noun.word) &&
    !words.roles.not.endsAt(tokens, from - 1, 2)
  );
}

/** "if my hair is fine I leave out the cream" */
function isConditional(g: Gathering, at: number): boolean {
  const clause = g.tokens.slice(Math.max(g.elements[0]?.from ?? 0, at - CONDITION_WITHIN), at);
  const from = clause.findLastIndex((token) => isSign(token, '.', ';', ','));
  return clause.slice(from + 1).some((token) => says(token, 'if'));
}

/** "sugar – no wait, honey": as much of another thing. */
function swapsLast(g: Gathering, named: NamedAt): boolean {
  if (swapsUnknown(g, named)) return true;
  const last = g.last();
  if (!g.corrected || !g.swaps || !last) return false;
  g.corrected = false;
  const given = g.open?.unknown === 0 ? g.open.amount : last.amount;
  g.open = null;
  g.mentions.push(...g.takenBack());
  g.formerItems.delete(last);
  g.add(named, given, { optional: last.optional, deed: last.deed });
  g.swapped = g.last() ?? null;
  return true;
}

/** "2 of blorbium – no, sorry, honey": as much of what is known. */
function swapsUnknown(g: Gathering, named: NamedAt): boolean {
  if (!g.corrected || !g.swaps || !g.open || g.open.unknown === 0) return false;
  const { amount } = g.open;
  g.corrected = false;
  g.open = null;
  g.add(named, amount);
  g.swapped = g.last() ?? null;
  return true;
}

/** "2 eggs (only the yolks)" */
function namesPart(g: Gathering, named: NamedAt): boolean {
  const last = g.last();
  const isPart = EGG_PARTS.has(named.match.item.id) && last?.name.match.item.id === 'egg';
  if (!last || !isPart || g.bracket === 0 || last.instead.length > 0) return false;
  const ahead = g.tokens.slice(named.to, named.to + CONDITION_WITHIN);
  const end = ahead.findIndex((token) => isSign(token, ')'));
  if (g.instead || g.denied || ahead.slice(0, end < 0 ? 0 : end).some((token) => says(token, 'if')))
    return false;
  g.items.splice(-1, 1, { ...last, name: named });
  return true;
}

/** What a ratio says of the next name. */
function takesPart(g: Gathering, named: NamedAt): boolean {
  const [part] = g.ratio;
  if (!part || g.open) return false;
  g.ratio = g.ratio.slice(1);
  g.add(named, part, { shared: true, equalPart: true });
  return true;
}

function takesOpen(g: Gathering, named: NamedAt): boolean {
  const isOther = g.open !== null && g.open.chunk !== g.chunk;
  // "4 tbsp, mayo 2 tbsp": the name has an amount of its own.
  if (g.open && isOther && (g.open.unknown > 0 || hasOwnAmount(g, named))) g.close();
  const open = g.open;
  if (!open) return false;
  g.corrected = false;
  g.add(named, open.amount, { shared: open.shared, equalPart: open.equalPart, more: open.more });
  if (!open.shared) g.open = null;
  g.optional = false;
  return true;
}

function hasOwnAmount(g: Gathering, { to }: NamedAt): boolean {
  const at = g.elements.findIndex((element) => element.from >= to);
  const next = g.elements[at];
  return at >= 0 && next?.kind === 'amount' && next.amount.unit !== null && g.isEndAt(at + 1);
}

function touchesLast(g: Gathering, last: Item, element: TokenRange, index: number): boolean {
  return (
    g.elements[index - 1]?.kind !== 'separator' &&
    g.between(last.name.to, element.from).every(({ kind }) => kind === 'word')
  );
}
