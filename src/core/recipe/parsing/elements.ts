import type { Deed } from '../../records/shapes';
import { Amounts, type Amount } from './amounts';
import { isCompared, isReached } from './comparisons';
import { isHerb } from './lexicon';
import { says } from './marks';
import type { NameMatch, Names } from './namesFound';
import { numberingAt } from './numbering';
import { answerAt } from './rows';
import { strainedThroughAt } from './strained';
import type { Texture } from './textures';
import { Times, type Duration } from './times';
import { isNumber, isSign, isWord, touches, type Token } from './tokens';
import type { Role, Vocabulary } from './vocabulary';

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
    | { readonly kind: 'texture'; readonly texture: Texture }
    | { readonly kind: 'whole'; readonly times: number }
    | { readonly kind: 'multiple'; readonly times: number }
    | { readonly kind: 'ratio'; readonly parts: readonly number[] }
    | { readonly kind: 'separator'; readonly separator: Separator }
    | { readonly kind: 'word' }
  );

const SEPARATORS: ReadonlyMap<string, Separator> = new Map<string, Separator>(
  Object.entries({
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
  } as const),
);

/** Roles that stand for themselves, in the order in which they are looked for. */
const SINGLE_ROLES: readonly Role[] = [
  'equal',
  'same',
  'each',
  'another',
  'correction',
  'inAll',
  'topUp',
  'now',
  'formerly',
  'optional',
  'except',
  'not',
];

/** The elements of some tokens, from the first to the last; nothing is left out. */
export function elementsOf(
  tokens: readonly Token[],
  from: number,
  to: number,
  names: Names,
  words: Vocabulary,
): Element[] {
  const reader = new ElementReader(tokens, from, to, names, words);
  const elements: Element[] = [];
  for (let at = from; at < to;) {
    const element = reader.next(at, elements);
    elements.push(element);
    at = Math.max(element.to, at + 1);
  }
  return elements;
}

/** Nobody mixes more parts of the lesser than this. */
const LARGEST_RATIO = 3;

/** How many words may stand between an article and its name. */
const NAME_WITHIN = 4;
/** The longest name, words. */
const LONGEST_NAME = 6;

class ElementReader {
  private readonly amounts: Amounts;
  private readonly times: Times;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly from: number,
    private readonly to: number,
    private readonly names: Names,
    private readonly words: Vocabulary,
  ) {
    this.amounts = new Amounts(tokens, words);
    this.times = new Times(tokens, words);
  }

  /** @param before what was read before it */
  next(index: number, before: readonly Element[]): Element {
    return (
      this.numberedAt(index) ??
      this.textureOfName(index) ??
      this.asMuchAt(index, before) ??
      this.ratioAt(index) ??
      this.longNameAt(index) ??
      this.longDeedAt(index) ??
      this.referenceAt(index) ??
      this.timeAt(index) ??
      this.articleOf(index, before) ??
      this.amountAt(index) ??
      (this.isDone(index, before) ? undefined : this.nameAt(index)) ??
      this.answerTo(index) ??
      this.roleAt(index) ??
      this.joinAt(index) ?? { kind: 'word', from: index, to: index + 1 }
    );
  }

  private numberedAt(index: number): Element | undefined {
    const to = numberingAt(this.tokens, index, this.words);
    return to === undefined ? undefined : { kind: 'word', from: index, to };
  }

  /** "as much honey as yogurt": equal parts of both. */
  private asMuchAt(index: number, before: readonly Element[]): Element | undefined {
    const { tokens, words, names } = this;
    const afterOf = (at: number) => words.roles.of.at(tokens, at)?.to ?? at;
    const [open, last] = before.slice(-2);
    if (
      says(tokens[index], 'asMuchAs') &&
      last?.kind === 'name' &&
      open?.kind === 'role' &&
      open.role === 'equal'
    )
      return { kind: 'separator', from: index, to: afterOf(index + 1), separator: 'and' };
    const begins =
      words.roles.same.at(tokens, index)?.to ?? (says(tokens[index], 'asMuchOf') ? index + 1 : undefined);
    const start = begins === undefined ? undefined : afterOf(begins);
    const name = start === undefined ? undefined : names.get(start);
    const isPair = name && says(tokens[name.to], 'asMuchAs') && names.has(afterOf(name.to + 1));
    return isPair ? { kind: 'role', from: index, to: start!, role: 'equal' } : undefined;
  }

  /** "3:1:1": how much of each, in the order in which they are named. */
  private ratioAt(index: number): Element | undefined {
    const { tokens } = this;
    const parts: number[] = [];
    let at = this.words.roles.about.at(tokens, index)?.to ?? index;
    while (isNumber(tokens[at])) {
      parts.push(tokens[at]!.value);
      const isMore =
        isSign(tokens[at + 1], ':') &&
        touches(tokens[at], tokens[at + 1]) &&
        touches(tokens[at + 1], tokens[at + 2]);
      if (!isMore || !isNumber(tokens[at + 2])) break;
      at += 2;
    }
    // "1:30 h"
    if (this.words.time.at(tokens, at + 1)) return undefined;
    return parts.length > 1 ? { kind: 'ratio', from: index, to: at + 1, parts } : this.spokenRatio(index);
  }

  /** "three to one to one"; "four to one", where it ends there: more to less is no range. */
  private spokenRatio(index: number): Element | undefined {
    const { tokens, words } = this;
    const parts: number[] = [];
    let to = index;
    for (let at = index; at === index || says(tokens[to], 'ratioTo'); at = to + 1) {
      const token = tokens[at];
      const part = isNumber(token) ? { value: token!.value, to: at + 1 } : words.numbers.at(tokens, at);
      if (!part) break;
      parts.push(part.value);
      to = part.to;
    }
    const [more = 0, less = 0] = parts;
    const next = tokens[to];
    const isEnd = next === undefined || next.kind === 'sign' || next.kind === 'break';
    const isRatio = parts.length > 2 || (isEnd && less > 0 && more > less && less <= LARGEST_RATIO);
    return isRatio ? { kind: 'ratio', from: index, to, parts } : undefined;
  }

  /** A number within a longer name belongs to it: "BTMS 50". */
  private longNameAt(index: number): Element | undefined {
    const name = this.names.get(index);
    if (!name || !isWord(this.tokens[index]) || name.to - index < 2) return undefined;
    const amount = this.amounts.amountAt(index, this.nameEnd);
    return !amount || amount.to <= name.to ? this.nameAt(index) : undefined;
  }

  /** "two shampoos", "lots of water": what is done, though it begins as an amount does. */
  private longDeedAt(index: number): Element | undefined {
    const deed = this.words.deeds.at(this.tokens, index);
    if (!deed || deed.to - index < 2 || (this.names.get(index)?.to ?? 0) >= deed.to) return undefined;
    const { some } = this.words.roles;
    const begins = some.at(this.tokens, index) ?? this.words.numbers.at(this.tokens, index);
    return begins && { kind: 'deed', from: index, to: deed.to, deed: deed.value };
  }

  private nameAt(index: number): Element | undefined {
    const name = this.names.get(index);
    return name && { kind: 'name', from: index, to: name.to, match: name };
  }

  /** "2 tbsp shampoo" is a thing, "then shampoo" is done. */
  private isDone(index: number, before: readonly Element[]): boolean {
    const name = this.names.get(index);
    const deed = name && this.words.deeds.at(this.tokens, index);
    if (!deed || deed.to < name.to || this.isPlace(index) || this.isUntil(name.to)) return false;
    const measured = before.findLast(({ kind }) => kind !== 'word');
    if (measured?.kind === 'amount' && measured.amount.unit !== null) return false;
    const behind = name.to + (isSign(this.tokens[name.to], ':', ',', '-', '–', '—', '=') ? 1 : 0);
    return (this.amounts.amountAt(behind, this.nameEnd)?.unit ?? null) === null;
  }

  /** "a spoon of soda in the shampoo": a thing that others go into. */
  private isPlace(index: number): boolean {
    const isThe = says(this.tokens[index - 1], 'theMade') || says(this.tokens[index - 1], 'ownBefore');
    return isThe && says(this.tokens[index - 2], 'inPlace');
  }

  /** Roles that would otherwise be read as amounts or deeds: "a bit of", "don't skip", "equal parts", "it's a". */
  private referenceAt(index: number): Element | undefined {
    const { tokens, words } = this;
    const multiple = words.multiples.at(tokens, index);
    if (multiple) return { kind: 'multiple', from: index, to: multiple.to, times: multiple.value };
    const some = words.roles.some.at(tokens, index);
    if (some && this.isSomeOf(some.to)) return { kind: 'role', from: index, to: some.to, role: 'some' };
    const texture = words.textures.at(tokens, index);
    if (texture && isReached(tokens, this.from, index))
      return { kind: 'texture', from: index, to: texture.to, texture: texture.value };
    const whole = words.wholes.at(tokens, index);
    if (whole) return { kind: 'whole', from: index, to: whole.to, times: whole.value };
    for (const role of ['equal', 'must', 'beside', 'contains'] as const) {
      const found = words.roles[role].at(tokens, index);
      if (found) return { kind: 'role', from: index, to: found.to, role };
    }
    const cover = words.roles.cap.at(tokens, index);
    if (cover && cover.to - index > 1) return { kind: 'role', from: index, to: cover.to, role: 'cap' };
    const isA = words.roles.isA.at(tokens, index);
    // "mel e um dedinho de azeite": and, without its accent.
    const isAnd = tokens[index]?.raw.toLowerCase() === 'e';
    // "okay for a week"
    return isA && !isAnd && !words.units.at(tokens, isA.to) && !words.time.at(tokens, isA.to)
      ? { kind: 'role', from: index, to: isA.to, role: 'isA' }
      : undefined;
  }

  /** "yogurt consistency" */
  private textureOfName(index: number): Element | undefined {
    const { tokens, words } = this;
    const name = this.names.get(index);
    if (name && isCompared(tokens, this.from, index, words))
      return { kind: 'word', from: index, to: name.to };
    const texture = name ? words.textures.at(tokens, index) : undefined;
    return texture && name && texture.to > name.to
      ? { kind: 'texture', from: index, to: texture.to, texture: texture.value }
      : undefined;
  }

  private isSomeOf(index: number): boolean {
    const { tokens, words, names } = this;
    const follows = names.has(index) || words.describing.has(tokens[index]?.word ?? '');
    return follows && !words.units.at(tokens, index);
  }

  private timeAt(index: number): Element | undefined {
    const duration = this.times.durationAt(index);
    if (duration) return { kind: 'duration', from: index, to: duration.to, duration };
    const temperature = this.times.temperatureAt(index);
    return (
      temperature && { kind: 'temperature', from: index, to: temperature.to, celsius: temperature.celsius }
    );
  }

  /** "10 drops of a preservative": of it, and no other one. */
  private articleOf(index: number, before: readonly Element[]): Element | undefined {
    const article = this.words.articles.at(this.tokens, index);
    const last = before.at(-1);
    const isBehind = last?.kind === 'amount' && last.amount.unit !== null && last.to === index;
    return article &&
      isBehind &&
      this.words.roles.of.endsAt(this.tokens, index, 2) &&
      this.nameSoon(article.to)
      ? { kind: 'word', from: index, to: article.to }
      : undefined;
  }

  /** An article is an amount only of what is counted: a measure, or a thing. */
  private amountAt(index: number): Element | undefined {
    const amount = this.amounts.amountAt(index, this.nameEnd);
    if (!amount || amount.to > this.to) return undefined;
    if (!this.isMeasure(amount, index)) return undefined;
    // "a few of you"
    const thing = says(this.tokens[amount.to], 'of') ? amount.to + 1 : amount.to;
    if (amount.unit === null && (this.isInVessel(amount) || says(this.tokens[thing], 'countsThings')))
      return { kind: 'word', from: index, to: thing + 1 };
    const to = this.beforeTea(amount, this.beforeName(amount.to));
    return { kind: 'amount', from: index, to, amount: to < amount.to ? { ...amount, to } : amount };
  }

  /** A word or an article alone is one only of what follows it, or stands before it. */
  private isMeasure(amount: Amount, index: number): boolean {
    const { weak, unit, to } = amount;
    if (!weak || (unit !== null && to !== index + 1)) return true;
    // "Spirulina? Yes. Teaspoon in 4 tbsp conditioner": no verb.
    if (index === this.from && (unit === 'tsp' || unit === 'tbsp')) return true;
    const isBehind = unit !== null && this.isBehindName(index, to);
    return !this.isDeed(amount) && (isBehind || this.nameSoon(to));
  }

  /** "in one beaker" */
  private isInVessel({ from, to }: Amount): boolean {
    return says(this.tokens[to], 'vessel') && says(this.tokens[from - 1], 'inVessel');
  }

  /** "sprinkle the xanthan": a verb; "je fais un shampoing", "a mild shampoo": done. */
  private isDeed({ unit, to }: Amount): boolean {
    if (unit !== null) return says(this.tokens[to], 'object');
    const isDescribed = this.words.describing.has(this.tokens[to]?.word ?? '');
    return this.isDone(to, []) || (isDescribed && this.isDone(to + 1, []));
  }

  /** "uma xícara de chá de camomila": a cup of its tea; "(chá)" says which cup. */
  private beforeTea({ unit }: Amount, to: number): number {
    const { tokens, names } = this;
    const herb = names.get(to);
    const isTea = says(tokens[to - 2], 'tea') && isWord(tokens[to - 3]);
    return unit === 'cup' && herb && isHerb(herb.item) && isTea && says(tokens[to - 1], 'of') ? to - 2 : to;
  }

  /** "media taza de té verde": the last words of the measure begin the name. */
  private beforeName(to: number): number {
    return [2, 1].map((back) => to - back).find((at) => this.nameEnd(at) > to) ?? to;
  }

  /** "olive oil drizzle": what stands between a name and the end of its clause. */
  private isBehindName(index: number, to: number): boolean {
    const isEnd = to >= this.to || this.tokens[to]?.kind === 'sign';
    return isEnd && [...this.names].some(([, name]) => name.to === index);
  }

  /** "?" and her own answer: no takes back what stood before it, yes leaves it. */
  private answerTo(index: number): Element | undefined {
    const answer = isSign(this.tokens[index], '?') ? answerAt(this.tokens, index + 1, this.words) : undefined;
    if (!answer) return undefined;
    const { to, isYes } = answer;
    return isYes ? { kind: 'word', from: index, to } : { kind: 'role', from: index, to, role: 'correction' };
  }

  private roleAt(index: number): Element | undefined {
    // "no joke": denies nothing.
    const idiom = this.words.roles.idioms.at(this.tokens, index);
    if (idiom) return { kind: 'word', from: index, to: idiom.to };
    for (const role of SINGLE_ROLES) {
      const found = this.words.roles[role].at(this.tokens, index);
      if (found) return { kind: 'role', from: index, to: found.to, role };
    }
    const deed = this.isAuxiliary(index) ? undefined : this.words.deeds.at(this.tokens, index);
    if (deed && !this.isUntil(deed.to)) return { kind: 'deed', from: index, to: deed.to, deed: deed.value };
    const strained = strainedThroughAt(this.tokens, index);
    return strained && { kind: 'deed', from: index, to: strained.to, deed: 'strain' };
  }

  /** "then conditioner until it's thick": how much of it. */
  private isUntil(to: number): boolean {
    return says(this.tokens[to], 'until') && this.names.has(to - 1);
  }

  /** "ele vai endurecer": will, and nothing that goes in. */
  private isAuxiliary(index: number): boolean {
    const next = this.tokens[index + 1];
    return says(this.tokens[index], 'auxiliary') && isWord(next, /[aei]r$/);
  }

  private joinAt(index: number): Element | undefined {
    // "ten pods or so": no choice.
    const hedge = this.words.roles.about.at(this.tokens, index);
    if (hedge && hedge.to - index > 1) return { kind: 'word', from: index, to: hedge.to };
    for (const role of ['or', 'and', 'with'] as const) {
      const found = this.words.roles[role].at(this.tokens, index);
      if (found) return { kind: 'separator', from: index, to: found.to, separator: role };
    }
    return this.tokens[index]?.kind === 'sign' ? this.signAt(index) : undefined;
  }

  private signAt(index: number): Element | undefined {
    const { tokens } = this;
    const token = tokens[index];
    if (!token) return undefined;
    // Dots that lead the eye, and an ellipsis, part things like a comma.
    if (token.word === '…' || (token.word === '.' && isSign(tokens[index + 1], '.'))) {
      let end = index + 1;
      while (isSign(tokens[end], '.')) end++;
      return { kind: 'separator', from: index, to: end, separator: 'comma' };
    }
    const separator = SEPARATORS.get(token.word);
    // A hyphen within a word parts nothing.
    const isHyphen =
      separator === 'dash' && touches(tokens[index - 1], token) && touches(token, tokens[index + 1]);
    return separator && !isHyphen ? { kind: 'separator', from: index, to: index + 1, separator } : undefined;
  }

  private readonly nameEnd = (index: number): number => {
    for (let before = index; before >= Math.max(this.from, index - LONGEST_NAME + 1); before--) {
      const match = this.names.get(before);
      if (match) return match.to > index ? match.to : 0;
    }
    return 0;
  };

  /** A name within the next words, over those that only describe. */
  private nameSoon(index: number): boolean {
    const ahead = this.tokens.slice(index, Math.min(this.to, index + NAME_WITHIN));
    const name = ahead.findIndex(
      (_, at) => this.names.has(index + at) && this.textureOfName(index + at) === undefined,
    );
    return (
      name >= 0 &&
      ahead
        .slice(0, name)
        .every((token) =>
          token.kind === 'sign' ? isSign(token, ',', '-') : this.words.describing.has(token.word),
        )
    );
  }
}
