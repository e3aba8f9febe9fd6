import type { Deed } from '../../records/shapes';
import { isEachNext, isNameBeforeAmount, isNameNext } from './ahead';
import { NO_MEASURE, type Amount } from './amounts';
import type { Element, NameMatch, Separator } from './elements';
import type { Item, NamedAt, Nameless, SentenceItems, TokenRange, Whole } from './item';
import {
  bareItem,
  isOfLiquid,
  isProduct,
  PRONOUN,
  saidOf,
  STATES,
  THEN,
  type Open,
  type Waiting,
} from './pending';
import type { Texture } from './textures';
import { isSign, isWord, type Token } from './tokens';
import type { Role, Vocabulary } from './vocabulary';

/** Puts amounts and names of one sentence together. Every name and every amount comes back once, in one of the lists. */
export function itemsOf(
  elements: readonly Element[],
  tokens: readonly Token[],
  words: Vocabulary,
): SentenceItems {
  return new Sentence(elements, tokens, words).read();
}

/** One walk over the elements of a sentence; what is said of the next name or amount is remembered until it comes. */
class Sentence {
  private readonly items: Item[] = [];
  private readonly nameless: Nameless[] = [];
  private readonly mentions: NamedAt[] = [];
  private waiting: Waiting[] = [];
  private open: Open | null = null;
  private deed: Deed | null = null;
  private denied = false;
  /** After "or": the next name may be taken in place of the last. */
  private instead = false;
  private corrected = false;
  private another = false;
  private optional = false;
  /** "it's a": what the next name is called. */
  private called: TokenRange | null = null;
  /** "after the": the next name tells only when. */
  private beside = false;
  private bracket = 0;
  /** What a product in brackets says that it holds. */
  private holding: NamedAt[] | null = null;
  private texture: Item['texture'] = null;
  private whole: (Whole & { readonly except: NamedAt[] }) | null = null;
  /** How many commas and the like went by. */
  private chunk = 0;
  /** Words of this chunk that nobody knows, before its amount: "blorbium 2 %". */
  private strange: TokenRange | null = null;
  private namedInChunk = false;

  constructor(
    private readonly elements: readonly Element[],
    private readonly tokens: readonly Token[],
    private readonly words: Vocabulary,
  ) {}

  read(): SentenceItems {
    for (const [index, element] of this.elements.entries()) this.take(element, index);
    this.close();
    for (const name of this.waiting) this.add(name, null, saidOf(name));
    return {
      items: this.items.sort((a, b) => a.name.from - b.name.from),
      nameless: this.nameless,
      mentions: this.mentions,
      whole: this.whole,
    };
  }

  private take(element: Element, index: number): void {
    if (element.kind === 'separator') this.takeSeparator(element.separator, element);
    else if (element.kind === 'role') this.takeRole(element.role, element, index);
    else if (element.kind === 'amount') this.takeAmount(element.amount, element, index);
    else if (element.kind === 'name') this.takeName(element, index);
    else if (element.kind === 'word') this.takeWord(element);
    else if (element.kind === 'deed') this.takeDeed(element.deed, index);
    else if (element.kind === 'texture') this.takeTexture(element);
    else if (element.kind === 'whole')
      this.whole = { times: element.times, from: element.from, to: element.to, except: [] };
  }

  private takeDeed(deed: Deed, index: number): void {
    // "rinse with cool water": right before a name it tells how that is.
    const isQuality = this.deed !== null && this.elements[index + 1]?.kind === 'name' && STATES.has(deed);
    if (!isQuality) this.deed = deed;
    if (this.open?.amount.weak) this.open = null;
  }

  /** "water until it is like yogurt", "to a loose paste with water" */
  private takeTexture({ texture: what, from, to }: TokenRange & { readonly texture: Texture }): void {
    const texture = { texture: what, from, to };
    this.texture = texture;
    const waits = this.waiting.findLast(isOfLiquid);
    const last = this.last();
    if (waits) {
      this.add(waits, null, { ...saidOf(waits), texture });
      this.waiting = this.waiting.filter((each) => each !== waits);
      this.texture = null;
    } else if (last && isOfLiquid(last.name) && (last.amount === null || last.amount.weak)) {
      last.amount = null;
      last.texture = texture;
      this.texture = null;
    }
  }

  private last(): Item | undefined {
    return this.items.at(-1);
  }

  private add(name: NamedAt, amount: Amount | null, more: Partial<Item> = {}): void {
    const { optional, deed } = this;
    this.items.push({ ...bareItem(name), amount, optional, deed, ...more });
  }

  private opened(amount: Amount, element: TokenRange, more: Partial<Open> = {}): Open {
    return {
      amount,
      shared: false,
      equalPart: false,
      unknown: 0,
      chunk: this.chunk,
      to: element.to,
      more: [],
      ...more,
    };
  }

  /** The amount that is open found no name: it belongs to one that waits or was named, or to nothing known. */
  private close(): void {
    const open = this.open;
    this.open = null;
    if (!open || open.shared) return;
    const waits = this.waiting.at(-1);
    const { amount } = open;
    if (waits && open.unknown === 0 && amount.unit !== null) {
      this.add(waits, amount, saidOf(waits));
      this.waiting = this.waiting.slice(0, -1);
      return;
    }
    const last = this.last();
    if (last && isWord(this.tokens[amount.to], PRONOUN)) {
      // "an onion: two spoons of it"
      if (last.amount === null || last.amount.unit === null) last.amount = amount;
      return;
    }
    const isArticle = amount.unit === null && (amount.weak || isWord(this.tokens[amount.from]));
    const isSaid = open.unknown > 0 || (!amount.weak && amount.unit !== null);
    if (!isArticle && isSaid) this.nameless.push({ amount, range: { from: amount.from, to: open.to } });
  }

  private takeSeparator(separator: Separator, element: TokenRange): void {
    if (separator === 'open') this.bracket++;
    else if (separator === 'close') {
      this.bracket = Math.max(0, this.bracket - 1);
      this.holding = null;
    } else if (separator === 'or') this.instead = true;
    else if (separator !== 'slash') this.beginChunk();
    if (separator === 'comma' || separator === 'colon' || separator === 'dash') this.endClause();
    else if (separator === 'and') {
      this.closeUnknown();
      if (isWord(this.tokens[element.to - 1], THEN)) this.deed = null;
    } else if (separator === 'with' && this.open?.amount.unit === null && this.open.unknown === 0) {
      // "3 tbsp for me, 5 for my mum"
      this.open = null;
    }
  }

  private beginChunk(): void {
    this.chunk++;
    this.strange = null;
    this.namedInChunk = false;
  }

  /** What was said of the next thing holds no longer. */
  private endClause(): void {
    this.denied = false;
    this.beside = false;
    this.called = null;
    this.instead = false;
    this.optional = false;
    this.closeUnknown();
  }

  private closeUnknown(): void {
    if (this.open && this.open.unknown > 0) this.close();
  }

  private takeRole(role: Role, element: TokenRange, index: number): void {
    if (role === 'contains') this.beginHolding(index);
    else if (role === 'not') this.deny(index);
    else if (role === 'except') this.denied = true;
    else if (role === 'isA') this.called = element;
    else if (role === 'beside') this.beside = true;
    else if (role === 'another') this.another = true;
    else if (role === 'correction') this.corrected = this.items.length > 0;
    else if (role === 'optional') this.makeOptional();
    else if (role === 'each' && this.open) this.open.shared = true;
    else if (role === 'same') {
      const before = this.last()?.amount;
      if (before) this.open = this.opened({ ...before, from: element.from, to: element.to }, element);
    } else if (role === 'equal') this.takeEqual(element, index);
  }

  /** "(contains silk, keratin)": of the product before it. */
  private beginHolding(index: number): void {
    const before = this.elements[index - 1];
    const isOfProduct = before?.kind === 'name' && isProduct(before.match);
    if (this.bracket > 0 || isOfProduct)
      this.holding = this.waiting.at(-1)?.holds ?? this.last()?.holds ?? null;
  }

  private deny(index: number): void {
    this.denied = true;
    const next = this.elements[index + 1];
    // "1 sachet no, …"
    const isEnd = !next || next.kind === 'separator' || this.tokens[next.from]?.kind === 'sign';
    if (this.open && this.open.unknown > 0 && isEnd) this.open = null;
    // "1 ampoule no, …"
    if (isEnd && this.elements[index - 1]?.to === this.last()?.name.to)
      this.mentions.push(...this.takenBack());
    const named = this.waiting.at(-1);
    // "Lemon: nope."
    if (!named || !this.elements.slice(index + 1).every(({ kind }) => kind === 'word')) return;
    this.mentions.push(named);
    this.waiting = this.waiting.slice(0, -1);
  }

  private takenBack(): NamedAt[] {
    return this.items.splice(-1).map(({ name }) => name);
  }

  private makeOptional(): void {
    const last = this.last();
    if (this.waiting.length > 0) {
      const end = this.waiting.length - 1;
      this.waiting = this.waiting.map((each, at) => (at === end ? { ...each, optional: true } : each));
    } else if (last && !this.open) last.optional = true;
    else this.optional = true;
  }

  private takeEqual(element: TokenRange, index: number): void {
    const part: Amount = { ...NO_MEASURE, from: element.from, to: element.to, quantity: 1, unit: 'part' };
    if (this.waiting.length === 0 || isNameBeforeAmount(this.elements, index)) {
      this.open = this.opened(part, element, { shared: true, equalPart: true });
      return;
    }
    for (const name of this.waiting) this.add(name, part, { shared: true, equalPart: true });
    this.waiting = [];
  }

  private takeAmount(given: Amount, element: TokenRange, index: number): void {
    const isArticle = given.weak && given.unit === null;
    if (!isArticle) this.denied = false;
    this.beside = false;
    this.called = null;
    const direct = !this.isStopped(element, index) && isNameNext(this.elements, index);
    const isEach = isEachNext(this.elements, index);
    const isTaken =
      (!direct && this.changesLast(given)) ||
      this.isStrange(given, element, isEach || direct) ||
      (this.bracket > 0 && this.inBracket(given, direct)) ||
      (!direct && this.givesBack(given, isEach, index));
    if (!isTaken) this.openAmount(given, element);
  }

  /** The amount stands behind what it is of. */
  private givesBack(given: Amount, isEach: boolean, index: number): boolean {
    const nameFollows = isNameBeforeAmount(this.elements, index);
    if (this.waiting.length > 0 && !(isEach && nameFollows)) {
      this.giveToWaiting(given, isEach);
      return true;
    }
    if (isEach && this.giveToParts(given)) return true;
    return this.instead && this.items.length > 0 && !nameFollows;
  }

  /** "mayonnaise, 3 tbsp. egg yolk, one": the full stop ends what began with a name. */
  private isStopped(element: TokenRange, index: number): boolean {
    const isBehind = this.waiting.length > 0 && this.elements[index - 1]?.kind === 'separator';
    return isBehind && isSign(this.tokens[element.to - 1], '.');
  }

  /** "or rather three", "another half": said of what was named last. */
  private changesLast(given: Amount): boolean {
    const last = this.last();
    const [corrected, another] = [this.corrected, this.another];
    if (!last || (!corrected && !another)) return false;
    const unit = given.unit ?? last.amount?.unit ?? null;
    if (corrected)
      last.amount = { ...given, unit, packSize: given.packSize ?? last.amount?.packSize ?? null };
    else last.more.push({ ...given, unit });
    this.corrected = false;
    this.another = false;
    return true;
  }

  /** An amount behind words that nobody knows. */
  private isStrange(given: Amount, element: TokenRange, isOther: boolean): boolean {
    const { strange } = this;
    const isOwn = given.unit !== null && !given.weak && !isOther && this.bracket === 0;
    if (!isOwn || !strange || this.namedInChunk) return false;
    this.close();
    this.nameless.push({ amount: given, range: { from: strange.from, to: element.to } });
    this.strange = null;
    return true;
  }

  /** What stands in brackets says the same again, the size of each, or what may be taken instead. */
  private inBracket(given: Amount, direct: boolean): boolean {
    const last = this.last();
    if (!last) return false;
    if (direct && given.weak && given.unit === null) {
      // "an egg (only the white if …)"
      this.instead = true;
      return true;
    }
    if (direct || !last.amount || given.unit === null || this.waiting.length > 0) return false;
    // "half a tub of ricotta (125 g)": what is in the bowl, not what is in the tub.
    if (!last.amount.packSize && last.amount.quantity < 1 && last.amount.unit === 'packet' && !last.shared) {
      last.amount = { ...last.amount, quantity: given.quantity, unit: given.unit };
      return true;
    }
    if (!last.amount.packSize && !last.shared)
      last.amount = { ...last.amount, packSize: { quantity: given.quantity, unit: given.unit } };
    return true;
  }

  /** The amount stands behind: of the name before it, of the first of a list, or of each. */
  private giveToWaiting(given: Amount, isEach: boolean): void {
    if (isEach) {
      for (const name of this.waiting) this.add(name, given, { ...saidOf(name), shared: true });
      this.waiting = [];
      return;
    }
    const nearest = this.waiting.at(-1);
    if (!nearest) return;
    const near = this.waiting.filter(({ chunk }) => chunk >= nearest.chunk - 1);
    // "milk and honey, 2 cups"
    const isList = near.length > 1 && this.chunk > nearest.chunk;
    const taken = isList ? (near[0] ?? nearest) : nearest;
    const others = isList ? near.slice(1) : [];
    this.add(taken, given, { ...saidOf(taken), others });
    this.waiting = this.waiting.filter((each) => each !== taken && !others.includes(each));
  }

  /** "equal amounts of honey and milk, 3 tbsp of each" */
  private giveToParts(given: Amount): boolean {
    if (this.waiting.length > 0 || !this.items.some(({ equalPart }) => equalPart)) return false;
    for (const [at, each] of this.items.entries())
      if (each.equalPart) this.items[at] = { ...each, amount: given, equalPart: false };
    this.open = null;
    return true;
  }

  private openAmount(given: Amount, element: TokenRange): void {
    const open = this.open;
    const isSum =
      open !== null &&
      open.amount.unit !== null &&
      given.unit !== null &&
      open.unknown === 0 &&
      !open.shared &&
      this.between(open.amount.to, element.from).every(({ kind }) => kind === 'separator');
    if (open && isSum) {
      // "1 tbsp + 1 tsp honey"
      this.open = this.opened(given, element, { more: [...open.more, open.amount] });
      return;
    }
    this.close();
    this.open = this.opened(given, element);
  }

  private takeName(element: TokenRange & { readonly match: NameMatch }, index: number): void {
    this.namedInChunk = true;
    const named: NamedAt = { from: element.from, to: element.to, match: element.match };
    const last = this.last();
    if (this.isAside(named)) this.mentions.push(named);
    else if (this.instead && last && this.waiting.length === 0) {
      last.instead.push(named);
      this.open = null;
    } else if (this.instead && this.waiting.length > 0 && !this.open) this.mentions.push(named);
    else if (this.takesOpen(named)) return;
    else if (this.called) {
      const article = {
        ...NO_MEASURE,
        from: this.called.to - 1,
        to: this.called.to,
        quantity: 1,
        weak: true,
      };
      this.called = null;
      this.add(named, article);
    } else if (this.texture && isOfLiquid(named)) {
      this.add(named, null, { texture: this.texture });
      this.texture = null;
    } else if (last && (this.bracket > 0 || this.touchesLast(last, element, index))) last.others.push(named);
    else
      this.waiting.push({
        ...named,
        deed: this.deed,
        chunk: this.chunk,
        optional: this.optional,
        holds: [],
      });
  }

  /** What a product holds, what is left as it is, and what is only mentioned: no thing that goes in. */
  private isAside(named: NamedAt): boolean {
    if (this.holding) this.holding.push(named);
    else if (this.whole && this.denied) this.whole.except.push(named);
    else return this.isMentioned(named);
    return true;
  }

  /** Denied, told only when, or called so: no thing that goes in. */
  private isMentioned(named: NamedAt): boolean {
    const { match } = named;
    const isKind = this.called !== null && (match.item.ingredient?.roles.includes('conditioner') ?? false);
    if (!this.denied && !this.beside && !isKind) return false;
    if (this.denied) this.last()?.without.push(named);
    this.beside = false;
    this.called = null;
    return true;
  }

  private takesOpen(named: NamedAt): boolean {
    if (this.open && this.open.unknown > 0 && this.open.chunk !== this.chunk) this.close();
    const open = this.open;
    if (!open) return false;
    this.add(named, open.amount, { shared: open.shared, equalPart: open.equalPart, more: open.more });
    if (!open.shared) this.open = null;
    this.optional = false;
    return true;
  }

  private touchesLast(last: Item, element: TokenRange, index: number): boolean {
    return (
      this.elements[index - 1]?.kind !== 'separator' &&
      this.between(last.name.to, element.from).every(({ kind }) => kind === 'word')
    );
  }

  private takeWord(element: TokenRange): void {
    const token = this.tokens[element.from];
    if (!token) return;
    const isKnown = token.kind !== 'word' || this.words.describing.has(token.word);
    if (!this.open) {
      if (!isKnown && token.word.length > 3)
        this.strange = { from: this.strange?.from ?? element.from, to: element.to };
      return;
    }
    if (this.open.shared) return;
    if (!isKnown) this.open.unknown++;
    this.open.to = element.to;
  }

  private between(from: number, to: number): Element[] {
    return this.elements.filter((element) => element.from >= from && element.to <= to);
  }
}
