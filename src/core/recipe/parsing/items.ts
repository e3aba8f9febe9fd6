import type { Deed } from '../../records/shapes';
import { takeAmount, takeRatio } from './amountsTaken';
import type { Element } from './elements';
import { Gathering } from './gathering';
import type { Item, SentenceItems, TokenRange } from './item';
import { says } from './marks';
import { takeName } from './namesTaken';
import { isOfLiquid, saidOf, STATES } from './pending';
import { takeRole, takeSame, takeSeparator } from './rolesTaken';
import type { Texture } from './textures';
import { isSign, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** Puts amounts and names of one sentence together. Every name and every amount comes back once, in one of the lists. */
export function itemsOf(
  elements: readonly Element[],
  tokens: readonly Token[],
  words: Vocabulary,
): SentenceItems {
  const g = new Gathering(elements, tokens, words);
  for (const [index, element] of g.elements.entries()) take(g, element, index);
  g.close();
  for (const name of g.waiting) g.add(name, null, saidOf(name));
  const [gone, items] = [true, false].map((isGone) =>
    g.items.filter((item) => g.formerItems.has(item) === isGone),
  ) as [Item[], Item[]];
  g.mentions.push(...gone.map(({ name }) => name));
  return {
    items: items.sort((a, b) => a.name.from - b.name.from),
    batches: g.batches,
    denied: g.denials,
    nameless: g.nameless,
    mentions: g.mentions,
    whole: g.whole,
  };
}

function take(g: Gathering, element: Element, index: number): void {
  if (g.listed.has(element)) return;
  if (element.kind === 'separator') takeSeparator(g, element.separator, element);
  else if (element.kind === 'role') takeRole(g, element.role, element, index);
  else if (element.kind === 'amount') {
    takeAmount(g, element.amount, element, index);
    // Its words may close the bracket that they stand in.
    if (
      isSign(g.tokens[element.to - 1], ')') &&
      !g.tokens.slice(element.from, element.to).some((token) => isSign(token, '('))
    )
      g.bracket = Math.max(0, g.bracket - 1);
  } else if (element.kind === 'name') takeName(g, element, index);
  else if (element.kind === 'word') takeWord(g, element);
  else if (element.kind === 'deed') takeDeed(g, element.deed, index);
  else if (element.kind === 'texture') takeTexture(g, element);
  else if (element.kind === 'ratio') takeRatio(g, element, index);
  else if (element.kind === 'multiple') takeSame(g, element, index, element.times);
  else if (element.kind === 'whole')
    g.whole = { times: element.times, from: element.from, to: element.to, except: [] };
}

function takeDeed(g: Gathering, deed: Deed, index: number): void {
  // "rinse with cool water": right before a name it tells how that is.
  const isBetween = g.deed !== null || g.open !== null;
  const isQuality = isBetween && g.elements[index + 1]?.kind === 'name' && STATES.has(deed);
  if (isAmount(g, deed, index)) return;
  if (isWhen(g, index)) g.deed = null;
  else if (!isQuality && !isPlace(g, deed, index)) g.deed = deed;
  endDenial(g, index);
  if (g.open?.amount.weak && !isQuality) g.open = null;
}

/** "conditioner to cover, honey, …": how much of it. */
function isAmount(g: Gathering, deed: Deed, index: number): boolean {
  const from = g.elements[index]?.from ?? 0;
  return (
    deed === 'apply' &&
    g.waiting.some(({ to }) => {
      const between = g.tokens.slice(to, from);
      return between.length > 0 && between.every((token) => says(token, 'asMuch') || says(token, 'purpose'));
    })
  );
}

/** "Warm it in a bowl of hot water": where it is done. */
const isPlace = (g: Gathering, deed: Deed, index: number): boolean =>
  deed === 'take' && g.deed !== null && says(g.tokens[g.elements[index]?.from ?? 0], 'inPlace');

/** "before wash – amla oil, …": when it is done. */
function isWhen(g: Gathering, index: number): boolean {
  const before = g.elements[index - 1];
  return before?.kind === 'role' && before.role === 'beside';
}

/** "not a minute longer and rinse with …": another deed is not denied. */
function endDenial(g: Gathering, index: number): void {
  if (g.elements[index - 1]?.kind === 'separator') g.denied = false;
}

/** "water until it is like yogurt", "to a loose paste with water" */
function takeTexture(
  g: Gathering,
  { texture: what, from, to }: TokenRange & { readonly texture: Texture },
): void {
  const texture = { texture: what, from, to };
  g.texture = texture;
  const waits = g.waiting.findLast(isOfLiquid);
  const last = g.last();
  if (waits) {
    g.add(waits, null, { ...saidOf(waits), texture });
    g.waiting = g.waiting.filter((each) => each !== waits);
    g.texture = null;
  } else if (last && isOfLiquid(last.name) && (last.amount === null || last.amount.weak)) {
    last.amount = null;
    last.texture = texture;
    g.texture = null;
  }
}

function takeWord(g: Gathering, element: TokenRange): void {
  const token = g.tokens[element.from];
  // "…, usually about four spoons": says nothing of what it is.
  if (!token || (!g.open && says(token, 'mostly'))) return;
  const isKnown = token.kind !== 'word' || g.words.describing.has(token.word);
  // "In summer I swap the shea for aloe": another time.
  if (says(token, 'tellsWhy') || says(token, 'swaps')) g.when = true;
  if (g.corrected && isOneOfLast(g, element)) return;
  if (!g.open) {
    if (!isKnown) takeStrange(g, token, element);
    return;
  }
  if (g.open.shared) return;
  if (!isKnown && g.open.chunk !== g.chunk && g.open.unknown === 0) {
    // "five tablespoons, on dry hair, cap": words of another clause are not its own.
    g.close();
    return;
  }
  if (!isKnown) g.open.unknown++;
  g.open.to = element.to;
}

/** Words that nobody knows, before their amount: "blorbium 2 %". */
function takeStrange(g: Gathering, token: Token, element: TokenRange): void {
  if (token.word.length > 3 && !saysAgain(g, element))
    g.strange = { from: g.strange?.from ?? element.from, to: element.to };
}

/** "…, that's one tablespoon"; "makes 160 g" is what all of it weighs. */
const saysAgain = ({ tokens, words }: Gathering, { from }: TokenRange): boolean =>
  says(tokens[from], 'meaning') && words.roles.yields.at(tokens, from) === undefined;

/** "agora uso um só": an article alone is one of what was named. */
function isOneOfLast(g: Gathering, { from }: TokenRange): boolean {
  const last = g.last();
  if (!last?.amount || last.amount.unit !== null || !g.words.articles.at(g.tokens, from)) return false;
  last.amount = { ...last.amount, quantity: 1, quantityTo: null };
  g.formerItems.delete(last);
  g.corrected = false;
  return true;
}
