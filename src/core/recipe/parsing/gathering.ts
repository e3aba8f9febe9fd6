import type { Deed } from '../../records/shapes';
import { isNameNext } from './ahead';
import type { Amount } from './amounts';
import type { Element, Separator } from './elements';
import type { Batch, Item, NamedAt, Nameless, TokenRange, Whole } from './item';
import { isPack, isShareOfWhole } from './lineAmount';
import { says } from './marks';
import { bareItem, saidOf, type Open, type Waiting } from './pending';
import { isWord, type Token } from './tokens';
import type { Vocabulary } from './vocabulary';

/** No pack holds less that is said without "grams", g. */
const LEAST_PACK_GRAMS = 20;

/** What a walk over a sentence has gathered, and what was said of the next name or amount until it comes. */
export class Gathering {
  readonly items: Item[] = [];
  readonly nameless: Nameless[] = [];
  readonly mentions: NamedAt[] = [];
  waiting: Waiting[] = [];
  open: Open | null = null;
  deed: Deed | null = null;
  /** What is done in brackets is done with what stands before them. */
  deedOutside: Deed | null = null;
  /** Whether what stands around the brackets told only when. */
  whenOutside = false;
  denied = false;
  deniedAt = 0;
  readonly denials: NamedAt[] = [];
  readonly batches: Batch[] = [];
  /** "I used to put in": what holds no longer, unless only its amount changes. */
  former = false;
  readonly formerItems = new Set<Item>();
  /** After "or": the next name may be taken in place of the last. */
  instead = false;
  corrected = false;
  /** After "no wait": the next name stands for the last. */
  swaps = false;
  /** What stands for another since, with its amount until its own is said. */
  swapped: Item | null = null;
  another = false;
  /** "In all": the next amount is of all together. */
  inAll = false;
  optional = false;
  /** "it's a": what the next name is called. */
  called: TokenRange | null = null;
  /** After "unless", "because": what is named now tells when or why. */
  when = false;
  /** "after the": the next name tells only when. */
  beside = false;
  bracket = 0;
  /** What a product in brackets says that it holds. */
  holding: NamedAt[] | null = null;
  /** Amounts that were given to a list of names before. */
  readonly listed = new Set<Element>();
  texture: Item['texture'] = null;
  whole: (Whole & { readonly except: NamedAt[] }) | null = null;
  /** Parts of the next names. */
  ratio: readonly Amount[] = [];
  lastSeparator: Separator | null = null;
  /** How many commas and the like went by. */
  chunk = 0;
  chunkAfterColon = 0;
  /** Words of this chunk that nobody knows, before its amount: "blorbium 2 %". */
  strange: TokenRange | null = null;
  /** The same of the chunk before. */
  strangeBefore: TokenRange | null = null;
  namedInChunk = false;

  constructor(
    readonly elements: readonly Element[],
    readonly tokens: readonly Token[],
    readonly words: Vocabulary,
  ) {}

  /** A name has no amount yet, and does not only head what is told. */
  get waits(): boolean {
    return this.waiting.some(({ heads, chunk }) => !heads && chunk >= this.chunkAfterColon);
  }

  last(): Item | undefined {
    return this.items.at(-1);
  }

  add(name: NamedAt, amount: Amount | null, more: Partial<Item> = {}): void {
    const { optional, deed } = this;
    const item: Item = { ...bareItem(name), amount, optional, deed, ...more };
    this.items.push(item);
    if (this.former) this.formerItems.add(item);
  }

  opened(amount: Amount, element: TokenRange, more: Partial<Open> = {}): Open {
    return {
      amount,
      shared: false,
      equalPart: false,
      unknown: 0,
      chunk: this.chunk,
      to: element.to,
      after: this.lastSeparator,
      more: [],
      ...more,
    };
  }

  /** The amount that is open found no name: it belongs to one that waits or was named, or to nothing known. */
  close(): void {
    const open = this.open;
    this.open = null;
    if (!open || open.shared) return;
    const waits = this.waiting.findLast(({ heads }) => !heads);
    const { amount } = open;
    if (waits && open.unknown === 0 && amount.unit !== null) {
      this.add(waits, amount, saidOf(waits));
      this.waiting = this.waiting.filter((each) => each !== waits);
      return;
    }
    if (!this.saysAgain(open)) this.leaveNameless(open);
  }

  private leaveNameless(open: Open): void {
    const { amount } = open;
    // "the five star mask"
    const isNamed = says(this.tokens[amount.from - 1], 'theBefore');
    const isArticle =
      amount.unit === null &&
      !this.isBesideShare(amount) &&
      (amount.weak || (isWord(this.tokens[amount.from]) && (amount.quantity <= 1 || isNamed)));
    const isCracked = says(this.tokens[amount.from - 1], 'cracks');
    // "I only need four things."
    if (says(this.tokens[amount.to], 'countsThings')) return;
    const isSaid = open.unknown > 0 || (!amount.weak && amount.unit !== null) || isCracked;
    const isBare = open.unknown === 0;
    const range = this.withStrange(open);
    if (!isArticle && isSaid) this.nameless.push({ amount, range, isBare });
    else if (!isArticle && isBare && !amount.weak && this.isFirstSaid(open))
      this.nameless.push({ amount, range, isBare, isLoose: true });
  }

  /** "blorbium, 3 cups": with the unknown words of the clause before. */
  private withStrange({ amount: { from }, to }: Open): TokenRange {
    const { strangeBefore } = this;
    return { from: strangeBefore?.to === from - 1 ? strangeBefore.from : from, to };
  }

  /** "half blorbium, half conditioner" */
  private isBesideShare(amount: Amount): boolean {
    return (
      isShareOfWhole(amount) &&
      this.elements.some(
        (other, at) =>
          other.kind === 'amount' &&
          other.amount.from !== amount.from &&
          isShareOfWhole(other.amount) &&
          isNameNext(this.elements, at),
      )
    );
  }

  /** "Okra! About six, chopped, …" */
  private isFirstSaid({ amount }: Open): boolean {
    const before = this.elements.filter(({ to }) => to <= amount.from);
    return this.items.length === 0 && before.every(({ kind }) => kind === 'word');
  }

  /** "an onion: two spoons of it", "a small pumpkin's worth – about a cup –": of what was named last. */
  private saysAgain(open: Open): boolean {
    const { amount, unknown } = open;
    const last = this.last();
    if (!last) return false;
    if (this.swapped === last && unknown === 0 && amount.unit !== null) {
      last.amount = amount;
      this.swapped = null;
      return true;
    }
    if (this.isPackOfGrams(last, amount, unknown)) {
      last.amount = { ...last.amount!, packSize: { quantity: amount.quantity, unit: 'g' } };
      return true;
    }
    const packed = unknown === 0 ? this.items.findLast((item) => isShareOfPack(item, amount)) : undefined;
    if (packed) {
      packed.amount = { ...packed.amount!, quantity: packed.amount!.quantity * amount.quantity };
      return true;
    }
    if (says(this.tokens[amount.to], 'pronoun')) {
      if (last.amount === null || last.amount.unit === null) last.amount = amount;
      return true;
    }
    if (unknown > 0 || !this.isOfOne(last, open) || amount.unit === null) return false;
    last.amount = amount;
    return true;
  }

  /** Behind one of it: "a small pumpkin – about a cup –"; "a conditioner without protein, three big spoonfuls"; "from a tin, 5 spoons". */
  private isOfOne({ name, amount }: Item, { after }: Open): boolean {
    const isCounted = name.match.item.ingredient?.measures.pieceGrams !== undefined;
    if (amount === null) return false;
    const isSource = this.isSource(amount);
    const isParted = after === 'dash' || (after === 'comma' && (!isCounted || isSource));
    return isParted && (isSource || (amount.weak && amount.unit === null));
  }

  /** "from a tin" */
  private isSource({ unit, from }: Amount): boolean {
    return isPack(unit) && says(this.tokens[from - 1], 'madeFrom');
  }

  /** "a tub of yoghurt, the small one, 150": what stands on it. */
  private isPackOfGrams({ amount }: Item, { unit, quantity, from }: Amount, unknown: number): boolean {
    return (
      unit === null &&
      unknown === 0 &&
      quantity >= LEAST_PACK_GRAMS &&
      this.tokens[from]?.kind === 'number' &&
      isPack(amount?.unit) &&
      !amount?.packSize
    );
  }

  takenBack(): NamedAt[] {
    return this.items.splice(-1).map(({ name }) => name);
  }

  between(from: number, to: number): Element[] {
    return this.elements.filter((element) => element.from >= from && element.to <= to);
  }

  isEndAt(index: number): boolean {
    const next = this.elements[index];
    return next === undefined || next.kind === 'separator' || this.tokens[next.from]?.kind === 'sign';
  }
}

/** "a tin of coconut milk …, about half the tin" */
const isShareOfPack = (last: Item, { unit, quantity }: Amount): boolean =>
  isPack(unit) && unit === last.amount?.unit && quantity < 1;
