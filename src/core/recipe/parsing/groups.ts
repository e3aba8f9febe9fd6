import { singular } from '../ingredients';
import type { Amount } from './amounts';
import type { Element } from './elements';
import type { NameLexicon } from './lexicon';
import { isShareOfWhole, makeWhole } from './lineAmount';
import { isMark, says } from './marks';
import type { NameMatch } from './namesFound';
import { oilOf } from './sharedNouns';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

type Lexicon = Pick<NameLexicon, 'inWords'>;
type AmountElement = Extract<Element, { kind: 'amount' }>;

interface Place {
  readonly tokens: readonly Token[];
  readonly lexicon: Lexicon;
  readonly words: Pick<Vocabulary, 'describing'>;
}

/** One of a group: what it is, and its share where one is said. */
interface Member {
  readonly name: Element;
  readonly match: NameMatch;
  readonly share: AmountElement | null;
}

/** Words between the amount and the noun of a group: "3 tbsp of good dried herbs (…)". */
const NOUN_WITHIN = 3;

/**
 * "3 tbsp oils (castor, olive, argan)", "10 % oils (half argan, half jojoba)": what the whole group measures is shared out
 * among those that are named behind it, in the shares that are told or alike.
 */
export function withGroups(elements: readonly Element[], place: Place): Element[] {
  for (const [index, amount] of elements.entries()) {
    if (amount.kind !== 'amount' || amount.amount.unit === null) continue;
    const noun = nounBehind(elements, index, place);
    const opens = noun === undefined ? undefined : elements[noun + 1];
    if (noun === undefined || !isOpening(opens)) continue;
    const end = endOf(elements, noun + 2, opens);
    const members = membersOf(elements.slice(noun + 2, end), nounOf(elements[noun], place), place);
    if (!members) continue;
    const head = elements.slice(0, index);
    const tail = elements.slice(end);
    const inside = elements.slice(index, end);
    return [...head, ...sharedOut(inside, amount, noun - index, members), ...withGroups(tail, place)];
  }
  return [...elements];
}

type Opening = Extract<Element, { kind: 'separator' }>;

const isOpening = (element: Element | undefined): element is Opening =>
  element?.kind === 'separator' &&
  (element.separator === 'open' || element.separator === 'colon' || element.separator === 'dash');

/** Behind a bracket where it closes; behind a colon where the sentence ends. */
function endOf(elements: readonly Element[], from: number, { separator }: Opening): number {
  const close = elements.findIndex(
    (each, at) => at >= from && each.kind === 'separator' && each.separator === 'close',
  );
  return separator === 'open' && close >= 0 ? close : elements.length;
}

/** Where "oils" or "herbs" stands behind an amount. */
function nounBehind(
  elements: readonly Element[],
  index: number,
  { tokens, words }: Place,
): number | undefined {
  for (let at = index + 1; at <= index + NOUN_WITHIN; at++) {
    const element = elements[at];
    if (!element || (element.kind !== 'word' && element.kind !== 'name')) return undefined;
    if (says(tokens[element.to - 1], 'groupNoun')) return at;
    if (element.kind === 'name' || !words.describing.has(tokens[element.from]?.word ?? '')) return undefined;
  }
  return undefined;
}

/** "essential oils" are two words of one noun. */
function nounOf(element: Element | undefined, { tokens }: Place): string[] {
  if (!element) return [];
  const own = tokens.slice(element.from, element.to).map(({ word }) => singular(word));
  return says(tokens[element.from], 'essential') ? own : own.slice(-1);
}

function membersOf(inside: readonly Element[], noun: readonly string[], place: Place): Member[] | undefined {
  const parts: Element[][] = [[]];
  for (const element of inside) {
    if (element.kind === 'separator') {
      if (!['comma', 'and', 'slash'].includes(element.separator)) return undefined;
      parts.push([]);
    } else if (!isStop(element, place)) {
      // "half argan half jojoba"
      if (element.kind === 'amount') parts.push([]);
      parts.at(-1)?.push(element);
    }
  }
  const told = parts.filter((part) => part.length > 0);
  const members = told.map((part) => memberOf(part, noun, place));
  const known = members.flatMap((member) => (member ? [member] : []));
  const shares = known.flatMap(({ share }) => (share ? [share.amount.quantity] : []));
  const isWhole = shares.length === 0 || (shares.length === known.length && makeWhole(shares));
  // "2 tbsp butter (shea)": which kind it is.
  const isKind = known.length === 1 && known[0]?.match.words === 1;
  return (known.length > 1 || isKind) && known.length === members.length && isWhole ? known : undefined;
}

const isStop = ({ from }: Element, { tokens }: Place): boolean => tokens[from]?.kind === 'sign';

/** "half argan", "shea", "castor oil" */
function memberOf(
  part: readonly Element[],
  noun: readonly string[],
  { tokens, lexicon }: Place,
): Member | undefined {
  const [first, ...rest] = part;
  const share = first?.kind === 'amount' ? first : null;
  if (share && !isShareOfWhole(share.amount)) return undefined;
  const [name, ...more] = share ? rest : part;
  if (!name || more.length > 0 || (name.kind !== 'name' && name.kind !== 'word')) return undefined;
  const own = tokens.slice(name.from, name.to).map(({ word }) => word);
  const named = own.length === 1 ? ofNoun(own[0] ?? '', noun, lexicon) : undefined;
  const match = named ?? (name.kind === 'name' ? { ...name.match, words: own.length + 1 } : undefined);
  return match && { name, match, share };
}

/** "castor" among oils is castor oil, "karité" among butters its butter. */
function ofNoun(word: string, noun: readonly string[], lexicon: Lexicon): NameMatch | undefined {
  const said = [[word, ...noun], ...['de', 'di'].map((of) => [...noun, of, word])];
  const oil = isMark(noun.at(-1) ?? '', 'oil') ? oilOf(word, lexicon) : undefined;
  if (oil) return { item: oil, words: 1 };
  for (const words of said) {
    const [match, ...more] = lexicon.inWords(words);
    if (match && more.length === 0 && match.words === words.length) return { item: match.item, words: 1 };
  }
  return undefined;
}

/** The same elements, with its part of the whole before each that is named. */
function sharedOut(
  inside: readonly Element[],
  whole: AmountElement,
  noun: number,
  members: readonly Member[],
): Element[] {
  const isAlike = members.every(({ share }) => share === null);
  const part = (quantity: number, own: Amount): Amount => ({
    ...whole.amount,
    from: own.from,
    to: own.to,
    quantity: whole.amount.quantity * quantity,
    quantityTo: whole.amount.quantityTo === null ? null : whole.amount.quantityTo * quantity,
  });
  const asWord = ({ from, to }: Element): Element => ({ kind: 'word', from, to });
  return inside.map((element, at): Element => {
    if (at === 0 && isAlike) return { ...whole, amount: part(1 / members.length, whole.amount) };
    if (at === noun && isAlike) return { kind: 'role', role: 'each', from: element.from, to: element.to };
    const member = members.find(({ name, share }) => name === element || share === element);
    if (member?.name === element)
      return { kind: 'name', from: element.from, to: element.to, match: member.match };
    if (member?.share)
      return { ...member.share, amount: part(member.share.amount.quantity, member.share.amount) };
    return element.kind === 'separator' && at > noun + 1 ? element : asWord(element);
  });
}
