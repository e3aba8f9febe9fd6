import type { Deed, Larder, LarderItem } from '../larder';
import { Amounts, type Amount, type Duration } from './amounts';
import type { Token } from './tokens';
import type { Role, Vocabulary } from './vocabulary';

export interface NameMatch {
  readonly item: LarderItem;
  readonly words: number;
}

/** How two things stand beside each other. */
export type Separator = 'comma' | 'and' | 'with' | 'or' | 'colon' | 'open' | 'close' | 'slash' | 'dash';

interface Range {
  /** Index of its first token. */
  readonly from: number;
  /** Index of the token after it. */
  readonly to: number;
}

/** The smallest thing that means something; of one or more tokens. */
export type Element = Range &
  (
    | { readonly kind: 'amount'; readonly amount: Amount }
    | { readonly kind: 'duration'; readonly duration: Duration }
    | { readonly kind: 'temperature'; readonly celsius: number }
    | { readonly kind: 'name'; readonly match: NameMatch }
    | { readonly kind: 'deed'; readonly deed: Deed }
    | { readonly kind: 'role'; readonly role: Role }
    | { readonly kind: 'separator'; readonly separator: Separator }
    | { readonly kind: 'word' }
  );

const SEPARATORS: Readonly<Record<string, Separator>> = {
  ',': 'comma',
  '،': 'comma',
  '|': 'comma',
  '·': 'comma',
  '•': 'comma',
  '+': 'and',
  '&': 'and',
  '/': 'slash',
  ':': 'colon',
  '=': 'colon',
  '(': 'open',
  '[': 'open',
  ')': 'close',
  ']': 'close',
  '–': 'dash',
  '—': 'dash',
  '-': 'dash',
  '→': 'comma',
  '>': 'comma',
};

/** Roles that stand for themselves, in the order in which they are looked for. */
const SINGLE_ROLES: readonly Role[] = [
  'equal',
  'same',
  'each',
  'another',
  'correction',
  'formerly',
  'optional',
  'except',
  'not',
];

/** Names in a run of words, word by word, by the index of the token where each begins. */
export function namesIn(
  tokens: readonly Token[],
  larder: Pick<Larder, 'inWords'>,
): Map<number, NameMatch & { readonly to: number }> {
  const found = new Map<number, NameMatch & { readonly to: number }>();
  let run: number[] = [];
  const close = () => {
    // "EO" is two words of a name.
    const spelt = run.flatMap((index) =>
      tokens[index]!.word === 'eo'
        ? ['essential', 'oil'].map((word) => ({ word, index }))
        : [{ word: tokens[index]!.word, index }],
    );
    const matches = spelt.length === 0 ? [] : larder.inWords(spelt.map(({ word }) => word));
    for (const { item, words, start } of matches) {
      const from = spelt[start]!.index;
      if (!found.has(from)) found.set(from, { item, words, to: spelt[start + words - 1]!.index + 1 });
    }
    run = [];
  };
  for (const [index, token] of tokens.entries()) {
    if (/^[dl]['’]$/i.test(token.raw)) continue;
    if (token.kind === 'word' || token.kind === 'number') run.push(index);
    else if (!(
      token.kind === 'sign' &&
      /^[-‑.'’®™*]$/.test(token.word) &&
      tokens[index + 1]?.start === token.end
    ))
      close();
  }
  close();
  return found;
}

/** The elements of some tokens, from the first to the last; nothing is left out. */
export function elementsOf(
  tokens: readonly Token[],
  from: number,
  to: number,
  names: ReadonlyMap<number, NameMatch & { readonly to: number }>,
  words: Vocabulary,
): Element[] {
  const amounts = new Amounts(tokens, words);
  const nameEnd = (index: number) => {
    const known = names.get(index);
    if (known) return known.to;
    for (let before = index - 1; before >= Math.max(from, index - 5); before--) {
      const match = names.get(before);
      if (match) return match.to > index ? match.to : 0;
    }
    return 0;
  };
  const elements: Element[] = [];
  let at = from;
  while (at < to) {
    const element = next(at);
    elements.push(element);
    at = Math.max(element.to, at + 1);
  }
  return elements;

  function next(index: number): Element {
    const token = tokens[index]!;
    const name = names.get(index);
    // A number within a longer name belongs to it: "BTMS 50".
    if (name && token.kind === 'word' && name.to - index > 1) {
      const amount = amounts.amountAt(index, nameEnd);
      if (!amount || amount.to <= name.to) return { kind: 'name', from: index, to: name.to, match: name };
    }
    const isA = words.roles.isA.at(tokens, index);
    if (isA && !words.units.at(tokens, isA.to)) return { kind: 'role', from: index, to: isA.to, role: 'isA' };
    const duration = amounts.durationAt(index);
    if (duration) return { kind: 'duration', from: index, to: duration.to, duration };
    const temperature = token.kind === 'number' ? amounts.temperatureAt(index) : undefined;
    if (temperature)
      return { kind: 'temperature', from: index, to: temperature.to, celsius: temperature.celsius };
    const amount = amounts.amountAt(index, nameEnd);
    // An article is an amount only of what is counted: a measure, or a thing.
    const isBare = amount?.weak === true && (amount.unit === null || amount.to === index + 1);
    if (amount && amount.to <= to && (!isBare || nameSoon(amount.to)))
      return { kind: 'amount', from: index, to: amount.to, amount };
    if (name) return { kind: 'name', from: index, to: name.to, match: name };
    for (const role of SINGLE_ROLES) {
      const found = words.roles[role].at(tokens, index);
      if (found) return { kind: 'role', from: index, to: found.to, role };
    }
    const deed = words.deeds.at(tokens, index);
    if (deed) return { kind: 'deed', from: index, to: deed.to, deed: deed.value };
    for (const role of ['or', 'and', 'with'] as const) {
      const found = words.roles[role].at(tokens, index);
      if (found) return { kind: 'separator', from: index, to: found.to, separator: role };
    }
    const separator = token.kind === 'sign' ? separatorAt(index) : undefined;
    if (separator) return separator;
    return { kind: 'word', from: index, to: index + 1 };
  }

  /** A name within the next words, over those that only describe. */
  function nameSoon(index: number): boolean {
    for (let at = index; at < Math.min(to, index + 4); at++) {
      if (names.has(at)) return true;
      const token = tokens[at]!;
      if (
        token.kind === 'sign' ? token.word !== ',' && token.word !== '-' : !words.describing.has(token.word)
      )
        return false;
    }
    return false;
  }

  function separatorAt(index: number): Element | undefined {
    const token = tokens[index]!;
    // Dots that lead the eye, and an ellipsis, part things like a comma.
    if (token.word === '…') return { kind: 'separator', from: index, to: index + 1, separator: 'comma' };
    if (token.word === '.' && tokens[index + 1]?.word === '.') {
      let end = index + 1;
      while (tokens[end]?.word === '.') end++;
      return { kind: 'separator', from: index, to: end, separator: 'comma' };
    }
    const separator = SEPARATORS[token.word];
    if (!separator) return undefined;
    // A hyphen within a word parts nothing.
    if (
      separator === 'dash' &&
      tokens[index - 1]?.end === token.start &&
      tokens[index + 1]?.start === token.end
    )
      return undefined;
    return { kind: 'separator', from: index, to: index + 1, separator };
  }
}
