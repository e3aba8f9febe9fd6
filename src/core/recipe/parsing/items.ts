import type { Deed, Larder } from '../larder';
import { plainWords } from '../ingredients';
import type { Amount } from './amounts';
import type { Element, NameMatch } from './elements';
import type { Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** From one token to before another. */
export interface TokenRange {
  readonly from: number;
  readonly to: number;
}

export interface NamedAt extends TokenRange {
  readonly match: NameMatch;
}

/** One thing that goes in, with what is said of how much. */
export interface Item {
  readonly name: NamedAt;
  /** Null where nothing is said. */
  amount: Amount | null;
  /** The amount is said once for several things. */
  readonly shared: boolean;
  /** Said on top: "another half", "1 tbsp + 1 tsp". */
  readonly more: Amount[];
  /** A part of a mixture whose size is not said. */
  readonly equalPart: boolean;
  /** Names beside it that nothing is said of. */
  readonly others: NamedAt[];
  /** What may be taken instead. */
  readonly instead: NamedAt[];
  optional: boolean;
  /** Where its words stand: what is said of its state and preparation. */
  readonly words: TokenRange;
  /** What is done with it, the last that was said before it in its sentence. */
  readonly deed: Deed | null;
}

/** An amount of nothing that is known. */
export interface Nameless {
  readonly amount: Amount;
  readonly range: TokenRange;
}

export interface SentenceItems {
  readonly items: readonly Item[];
  readonly nameless: readonly Nameless[];
  /** Names that were denied, referred to, or stand among words of use. */
  readonly mentions: readonly NamedAt[];
}

const ONE_PART = (from: number, to: number): Amount => ({
  from,
  to,
  quantity: 1,
  quantityTo: null,
  unit: 'part',
  size: null,
  heaped: false,
  about: false,
  packSize: null,
  weak: false,
  unclearNumber: null,
});

/** Nouns that a list may say once: "coconut and castor oil". */
const SHARED_NOUNS: ReadonlySet<string> = new Set([
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
  'essential',
]);

/** "coconut and castor oil": a word that names nothing alone takes the noun of the next name. */
export function withSharedNouns(
  elements: readonly Element[],
  tokens: readonly Token[],
  larder: Pick<Larder, 'inWords'>,
  words: Vocabulary,
): Element[] {
  return elements.map((element, index): Element => {
    if (element.kind !== 'word' || tokens[element.from]?.kind !== 'word') return element;
    const word = tokens[element.from]!.word;
    if (words.describing.has(word) || word.length < 3) return element;
    if (elements[index + 1]?.kind !== 'separator') return element;
    const next = elements.slice(index + 1, index + 8).find(({ kind }) => kind === 'name');
    if (next?.kind !== 'name') return element;
    const noun = tokens[next.to - 1]!.word;
    if (!SHARED_NOUNS.has(noun)) return element;
    const [match, ...others] = larder.inWords([word, noun]);
    return match && others.length === 0 && match.words === 2
      ? { kind: 'name', from: element.from, to: element.to, match: { item: match.item, words: 1 } }
      : element;
  });
}

/** Puts amounts and names of one sentence together. Every name and every amount comes back once, in one of the lists. */
export function itemsOf(
  elements: readonly Element[],
  tokens: readonly Token[],
  words: Vocabulary,
): SentenceItems {
  const items: Item[] = [];
  const nameless: Nameless[] = [];
  const mentions: NamedAt[] = [];
  /** Names that wait for their amount. */
  let waiting: (NamedAt & {
    readonly deed: Deed | null;
    readonly chunk: number;
    readonly optional: boolean;
  })[] = [];
  let amount: {
    readonly amount: Amount;
    shared: boolean;
    equalPart: boolean;
    unknown: number;
    readonly chunk: number;
    to: number;
    more: Amount[];
  } | null = null;
  let deed: Deed | null = null;
  let denied = false;
  let instead = false;
  let corrected = false;
  let another = false;
  let optional = false;
  let bracket = 0;
  let chunk = 0;
  /** Words of this clause that nobody knows, before its amount: "blorbium 2 %". */
  let strange = null as { from: number; to: number } | null;
  let namedInChunk = false;
  const last = () => items.at(-1);

  const add = (name: NamedAt, of: Amount | null, more: Partial<Item> = {}) =>
    items.push({
      name,
      amount: of,
      shared: false,
      more: [],
      equalPart: false,
      others: [],
      instead: [],
      optional,
      words: {
        from: of === null ? name.from : Math.min(of.from, name.from),
        to: of === null ? name.to : Math.max(of.to, name.to),
      },
      deed,
      ...more,
    });
  const close = () => {
    // An amount of something that is not known; without a measure or a word it was none.
    if (
      amount &&
      !amount.shared &&
      (amount.unknown > 0 || !amount.amount.weak) &&
      !(amount.amount.weak && amount.amount.unit === null) &&
      (amount.unknown > 0 || amount.amount.unit !== null)
    )
      nameless.push({ amount: amount.amount, range: { from: amount.amount.from, to: amount.to } });
    amount = null;
  };

  for (const [index, element] of elements.entries()) {
    switch (element.kind) {
      case 'separator': {
        const { separator } = element;
        if (separator === 'open') bracket++;
        if (separator === 'close') bracket = Math.max(0, bracket - 1);
        if (separator === 'or') instead = true;
        else if (separator !== 'open' && separator !== 'close' && separator !== 'slash') {
          chunk++;
          strange = null;
          namedInChunk = false;
        }
        if (separator === 'comma' || separator === 'colon' || separator === 'dash') {
          denied = false;
          instead = false;
          optional = false;
          if (amount && amount.unknown > 0) close();
        }
        if (separator === 'and' && amount && amount.unknown > 0) close();
        break;
      }
      case 'role': {
        if (element.role === 'not' || element.role === 'isA') denied = true;
        else if (element.role === 'another') another = true;
        else if (element.role === 'correction') corrected = true;
        else if (element.role === 'optional') {
          const item = last();
          if (item && waiting.length === 0 && !amount) item.optional = true;
          else if (waiting.length > 0)
            waiting = waiting.map((each, at) =>
              at === waiting.length - 1 ? { ...each, optional: true } : each,
            );
          else optional = true;
        } else if (element.role === 'each' && amount) amount.shared = true;
        else if (element.role === 'same') {
          const before = last()?.amount;
          if (before)
            amount = {
              amount: { ...before, from: element.from, to: element.to },
              shared: false,
              equalPart: false,
              unknown: 0,
              chunk,
              to: element.to,
              more: [],
            };
        } else if (element.role === 'equal') {
          const part = ONE_PART(element.from, element.to);
          if (waiting.length > 0 && !nameAfter(elements, index)) {
            for (const name of waiting) add(name, part, { shared: true, equalPart: true });
            waiting = [];
          } else
            amount = {
              amount: part,
              shared: true,
              equalPart: true,
              unknown: 0,
              chunk,
              to: element.to,
              more: [],
            };
        }
        break;
      }
      case 'amount': {
        const given = element.amount;
        if (!given.weak || given.unit !== null) denied = false;
        const direct = directName(elements, index, tokens, words);
        const item = last();
        const isEach = eachAfter(elements, index);
        if (strange && !direct && !namedInChunk && given.unit !== null && !given.weak && bracket === 0) {
          close();
          nameless.push({ amount: given, range: { from: strange.from, to: element.to } });
          strange = null;
          break;
        }
        if (corrected && item && !direct) {
          item.amount = {
            ...given,
            unit: given.unit ?? item.amount?.unit ?? null,
            packSize: given.packSize ?? item.amount?.packSize ?? null,
          };
          corrected = false;
          break;
        }
        corrected = false;
        if (another && item && !direct) {
          item.more.push({ ...given, unit: given.unit ?? item.amount?.unit ?? null });
          another = false;
          break;
        }
        if (bracket > 0 && item && direct && given.weak && given.unit === null) {
          // "an egg (only the white if …)"
          instead = true;
          break;
        }
        if (bracket > 0 && item?.amount && !direct && waiting.length === 0 && given.unit !== null) {
          const { unit } = given;
          // "1 packet gelatin (12 g)": of each; anything else says the same again.
          if (!item.amount.packSize && !item.shared)
            item.amount = { ...item.amount, packSize: { quantity: given.quantity, unit } };
          break;
        }
        if (!direct && waiting.length > 0 && !(isEach && nameAfter(elements, index))) {
          if (isEach)
            for (const name of waiting)
              add(name, given, { shared: true, deed: name.deed, optional: name.optional });
          else {
            const [first, ...rest] = waiting.filter((each) => each.chunk >= (waiting.at(-1)?.chunk ?? 0) - 1);
            const earlier = waiting.filter((each) => each !== first && !rest.includes(each));
            const joined = rest.length > 0 && chunk > (waiting.at(-1)?.chunk ?? chunk);
            const taken = joined ? first : waiting.at(-1);
            if (taken)
              add(taken, given, { others: joined ? rest : [], deed: taken.deed, optional: taken.optional });
            waiting = joined ? earlier : waiting.slice(0, -1);
            break;
          }
          waiting = [];
          break;
        }
        if (instead && item && !direct && !nameAfter(elements, index)) break;
        if (amount && amount.unknown === 0 && !amount.shared) {
          // "1 tbsp + 1 tsp honey"
          amount = {
            amount: given,
            shared: false,
            equalPart: false,
            unknown: 0,
            chunk,
            to: element.to,
            more: [...amount.more, amount.amount],
          };
          break;
        }
        close();
        amount = {
          amount: given,
          shared: false,
          equalPart: false,
          unknown: 0,
          chunk,
          to: element.to,
          more: [],
        };
        break;
      }
      case 'name': {
        namedInChunk = true;
        const named: NamedAt = { from: element.from, to: element.to, match: element.match };
        const item = last();
        if (denied) {
          mentions.push(named);
          break;
        }
        if (instead && item && waiting.length === 0) {
          item.instead.push(named);
          amount = null;
          break;
        }
        if (instead && waiting.length > 0 && !amount) {
          mentions.push(named);
          break;
        }
        if (amount) {
          if (amount.unknown > 0 && amount.chunk !== chunk) close();
          else {
            add(named, amount.amount, {
              shared: amount.shared,
              equalPart: amount.equalPart,
              more: amount.more,
            });
            if (!amount.shared) amount = null;
            optional = false;
            break;
          }
        }
        const touches =
          item &&
          elements[index - 1]?.kind !== 'separator' &&
          between(elements, item.name.to, element.from).every(({ kind }) => kind === 'word');
        if (item && (bracket > 0 || touches)) {
          item.others.push(named);
          break;
        }
        waiting.push({ ...named, deed, chunk, optional });
        break;
      }
      case 'deed':
        deed = element.deed;
        if (amount && amount.amount.weak) amount = null;
        break;
      case 'word': {
        const word = tokens[element.from]!;
        if (word.kind === 'word' && word.word.length > 3 && !words.describing.has(word.word) && !amount)
          strange = { from: strange?.from ?? element.from, to: element.to };
        if (!amount || amount.shared) break;
        const token = tokens[element.from]!;
        if (token.kind === 'word' && !words.describing.has(token.word) && plainWords(token.raw).length > 0)
          amount.unknown++;
        amount.to = element.to;
        break;
      }
      default:
        break;
    }
  }
  close();
  for (const name of waiting) add(name, null, { deed: name.deed, optional: name.optional });
  return { items: items.sort((a, b) => a.name.from - b.name.from), nameless, mentions };
}

const between = (elements: readonly Element[], from: number, to: number) =>
  elements.filter((element) => element.from >= from && element.to <= to);

/** A name that follows before anything else does, over words that describe. */
function directName(
  elements: readonly Element[],
  index: number,
  tokens: readonly Token[],
  words: Vocabulary,
): boolean {
  for (const element of elements.slice(index + 1)) {
    if (element.kind === 'name') return true;
    if (element.kind === 'word') {
      const token = tokens[element.from]!;
      if (token.kind === 'sign' || words.describing.has(token.word)) continue;
      // One word that is not known may still describe: "2 tbsp florentine honey".
      continue;
    }
    if (element.kind === 'deed') continue;
    return false;
  }
  return false;
}

const nameAfter = (elements: readonly Element[], index: number): boolean => {
  for (const element of elements.slice(index + 1)) {
    if (element.kind === 'name') return true;
    if (element.kind === 'amount') return false;
  }
  return false;
};

function eachAfter(elements: readonly Element[], index: number): boolean {
  const next = elements
    .slice(index + 1, index + 3)
    .find(({ kind }) => kind !== 'separator' && kind !== 'word');
  return next?.kind === 'role' && next.role === 'each';
}
