import type { Deed } from '../../records/shapes';
import { singular } from '../ingredients';
import type { Item, TokenRange } from './item';
import { isOfOil, sourceIdOf, type LarderItem } from './lexicon';
import { isMark, says } from './marks';
import { isProduct } from './pending';
import { isSign } from './tokens';
import type { Context, ReadSentence } from './told';
import { SOME_WITHIN, Wash } from './wash';

/** Deeds that bring something into the bowl. */
const BRINGS: ReadonlySet<Deed> = new Set<Deed>([
  'mix',
  'take',
  'blend',
  'heat',
  'boil',
  'soak',
  'whip',
  'strain',
  'cool',
]);

/** How many tokens behind water it may be thrown off. */
const THROWN_WITHIN = 8;

export const isWithin = (at: number, range: TokenRange | null): boolean =>
  range !== null && at >= range.from && at < range.to;

/** How many measured things stand behind a colon there: what stands before it is all of them. */
export const countListed = (at: number, items: readonly Item[], tokens: Context['tokens']): number =>
  isSign(tokens[at], ':') ? items.filter(({ amount, name }) => amount !== null && name.from >= at).length : 0;

/** What a noun alone is taken for, and what else is called so. */
const isKindOf = (kind: LarderItem, item: LarderItem): boolean =>
  kind.id !== item.id &&
  ((kind.id === 'butter' && /-butter$/.test(item.id)) ||
    (kind.id === 'egg' && /^egg-/.test(item.id)) ||
    (kind.id === 'wheat-flour' && /-flour$/.test(item.id)) ||
    (kind.id === 'milk' && /-milk$/.test(item.id)) ||
    (kind.id === 'vegetable-oil' && isOfOil(item)) ||
    (isMineral(kind) && isMineral(item)));

/** Clays are next to nothing but minerals, percent. */
const MINERAL_FROM = 80;
const isMineral = ({ ingredient }: LarderItem): boolean =>
  ingredient !== undefined &&
  ingredient.roles.includes('thickener') &&
  ingredient.composition.other >= MINERAL_FROM;

/** Tokens behind a name that say it is as much as is needed. */
const NEED_WITHIN = 4;

/** What was named so far, by id: a later mention of it is none more. */
export class Mentions {
  /** Where each thing has its amount. */
  private readonly measured = new Map<string, ReadSentence>();
  private readonly seen = new Map<string, Item>();
  /** Where something was strained, by token. */
  private readonly strained: readonly number[];
  private readonly wash: Wash;
  /** "10 pods", whose name stands only in what is made of them. */
  private readonly countsPieces: boolean;

  constructor(
    sentences: readonly ReadSentence[],
    title: TokenRange | null,
    private readonly context: Context,
  ) {
    this.strained = sentences.flatMap(({ steps }) =>
      steps.flatMap(({ deeds, from }) => (deeds.includes('strain') ? [from] : [])),
    );
    this.wash = new Wash(sentences, context);
    this.countsPieces = sentences.some(({ nameless }) =>
      nameless.some(({ amount }) => amount.unit === 'piece'),
    );
    for (const sentence of sentences)
      for (const { amount, name } of sentence.items) {
        const { id } = name.match.item;
        if (amount && !isWithin(name.from, title) && !this.measured.has(id)) this.measured.set(id, sentence);
      }
  }

  /** Whether a name refers to what is in already, or to what is done on the hair; else it is seen from now on. */
  isMention(item: Item, sentence: ReadSentence): boolean {
    const { id } = item.name.match.item;
    const isMention =
      this.isOtherwise(item, sentence) || this.isBath(item, sentence) || this.refers(item, sentence);
    if (!isMention && !this.seen.has(id)) this.seen.set(id, item);
    return isMention;
  }

  /** "If it's crunchy skip the egg and do 3 tbsp aloe instead": another time. */
  private isOtherwise({ name }: Item, { from, denied }: ReadSentence): boolean {
    const { tokens } = this.context;
    const isIn = this.seen.size > 0 || denied.some(({ match }) => this.measured.has(match.item.id));
    if (!isIn || denied.length === 0 || !says(tokens[from], 'if')) return false;
    // "If you hate the smell skip the egg, otherwise: 1 egg, …"
    const isUsual = tokens.slice(from, name.from).some((token) => says(token, 'otherwise'));
    return !isUsual;
  }

  /** "warm it in a cup of hot water": nothing that goes in. */
  private isBath({ deed, amount, name }: Item, { elements }: ReadSentence): boolean {
    if (name.match.item.ingredient?.id !== 'water') return false;
    if (amount === null && says(this.context.tokens[name.to], 'bathNoun')) return true;
    if (amount === null && deed !== 'boil' && this.isStoodIn(name.from)) return true;
    if (deed === 'soak' && amount === null) return this.isThrownOff(name.to);
    if (amount !== null && this.isOfVessel(elements, amount.from)) return true;
    return deed === 'heat' && this.isHeatedIn(amount?.from ?? name.from, elements);
  }

  /** "in a bowl of hot water", "over hot water" */
  private isHeatedIn(from: number, elements: ReadSentence['elements']): boolean {
    const before = elements.findLast(({ kind, to }) => to <= from && kind !== 'amount' && kind !== 'word');
    const isPlace = before?.kind === 'deed' && before.deed === 'take';
    const isIn = before?.kind === 'separator' && before.separator === 'with';
    return isPlace || isIn || says(this.context.tokens[from - 1], 'over');
  }

  /** "stand it in hot water" */
  private isStoodIn(at: number): boolean {
    const { tokens } = this.context;
    return says(tokens[at - 1], 'inPlace') && says(tokens[at - 2], 'pronoun');
  }

  /** "sit a jar with 4 tbsp olive oil in a mug of hot water" */
  private isOfVessel(elements: ReadSentence['elements'], before: number): boolean {
    const { tokens, words } = this.context;
    if (!says(tokens[before - 1], 'inPlace')) return false;
    return elements.some(({ kind, to }) => {
      const noun = words.articles.at(tokens, to)?.to ?? (says(tokens[to], 'theMade') ? to + 1 : to);
      // "put a cup of oats in a litre of water" measures
      const isMeasure = words.roles.of.at(tokens, noun + 1) !== undefined;
      return kind === 'deed' && noun < before && says(tokens[noun], 'vessel') && !isMeasure;
    });
  }

  /** "4 sheets soaked in cold water, squeezed out": it does not stay. */
  private isThrownOff(at: number): boolean {
    const { tokens, words } = this.context;
    return words.roles.thrownOff.isWithin(tokens, at, at + THROWN_WITHIN);
  }

  private refers(item: Item, sentence: ReadSentence): boolean {
    const { amount } = item;
    if (amount === null) return this.refersUnmeasured(item, sentence);
    if (amount.unit === null && this.wash.comesAfter(item.name, sentence)) return true;
    if (!amount.weak) return this.refersMeasured(item, sentence);
    // "wash with a mild shampoo"
    const isWash = item.name.match.item.ingredient?.roles.includes('surfactant') ?? false;
    if (isWash && amount.unit === null && (item.deed === 'rinse' || item.deed === 'follow')) return true;
    if (this.wash.finishes(item, sentence)) return true;
    // "a splash of milk" is one more; "the banana" may be the one that is in.
    return (
      amount.unit === null &&
      (this.isElsewhere(item, sentence) ||
        this.seen.has(item.name.match.item.id) ||
        this.isOfKind(item.name) ||
        this.isOfOther(item.name))
    );
  }

  private isElsewhere(item: Item, sentence: ReadSentence): boolean {
    const measured = this.measured.get(item.name.match.item.id);
    return measured !== undefined && measured !== sentence;
  }

  /** In a method below a list the same amount is no second one. */
  private refersMeasured({ amount, name, deed }: Item, sentence: ReadSentence): boolean {
    const { isMethod } = sentence;
    if (this.isOfListBehind(name, sentence)) return true;
    if (!isMethod && deed === null) return false;
    const { id } = name.match.item;
    const measured = this.measured.get(id);
    if (!measured || measured === sentence) return this.seen.has(id) && isMethod;
    const before = this.seen.get(id)?.amount;
    const isSame = before?.quantity === amount?.quantity && before?.unit === amount?.unit;
    return measured.row.index < sentence.row.index && (isMethod || isSame);
  }

  /** "For 300 grams of leave-in: water 216 g, …": all of it. */
  private isOfListBehind({ to, match }: Item['name'], { items }: ReadSentence): boolean {
    return isProduct(match) && countListed(to, items, this.context.tokens) > 2;
  }

  private refersUnmeasured(item: Item, sentence: ReadSentence): boolean {
    const { name, deed } = item;
    const { id } = name.match.item;
    // "blitz with its water"
    if (says(this.context.tokens[name.from - 1], 'its')) return true;
    if (this.wash.takes(item, sentence)) return true;
    if (this.isOfOils(name, sentence) || this.isOfKind(name) || this.isOfOther(name)) return true;
    if (this.isMadeBelow(id) || this.measured.has(id) || this.seen.has(id) || this.isShortFor(name, deed))
      return true;
    if (deed !== null) return !BRINGS.has(deed) && !this.isCoveredWith(name);
    if (this.isWithinName(name) || this.isTopicOf(name, sentence)) return true;
    return sentence.isMethod || this.isTalk(sentence);
  }

  /** "cover with water": it goes in. */
  private isCoveredWith({ from, match }: Item['name']): boolean {
    const { tokens, words } = this.context;
    const of = from - 1;
    const isOf = [words.roles.with, words.roles.of, words.roles.infusedIn].some(
      (table) => table.at(tokens, of)?.to === from,
    );
    return (
      match.item.ingredient?.id === 'water' &&
      isOf &&
      [of - 1, of - 2].some((at) => {
        const deed = words.deeds.at(tokens, at);
        return deed?.value === 'apply' && deed.to === of;
      })
    );
  }

  /** "… Shampoo, then a lavender rinse": another treatment. */
  private isOfOther({ from, to }: Item['name']): boolean {
    const { tokens, words } = this.context;
    const isMixture =
      words.articles.endsAt(tokens, from, 2) && words.roles.kinds.at(tokens, to) !== undefined;
    return isMixture && [...this.measured.values()].some((sentence) => sentence.to <= from);
  }

  /** "Clay Saturday. 4 tbsp kaolin", "just butter and oil: two parts shea to one part olive": the kind of what is measured. */
  private isOfKind({ from, to, match }: Item['name']): boolean {
    if (to - from > 1 || (match.item.id !== 'egg' && !says(this.context.tokens[from], 'groupNoun')))
      return false;
    return this.hasMeasured((name) => isKindOf(match.item, name.match.item));
  }

  private hasMeasured(isMeant: (name: Item['name']) => boolean): boolean {
    return [...this.measured.values()].some(({ items }) =>
      items.some(({ amount, name }) => amount !== null && isMeant(name)),
    );
  }

  /** "I use baby food because bananas get stuck. Three jars of banana baby food": what a longer name says, too. */
  private isWithinName({ from, to }: Item['name']): boolean {
    const { tokens } = this.context;
    const word = singular(tokens[from]?.word ?? '');
    return (
      to - from === 1 &&
      this.hasMeasured(
        (name) =>
          name.to - name.from > 2 &&
          tokens.slice(name.from, name.to - 1).some((token) => singular(token.word) === word),
      )
    );
  }

  /** "Coconut + lime, the old one. 400 ml of coconut milk": named alone, and later in full. */
  private isTopicOf({ from, to }: Item['name'], { items, to: end }: ReadSentence): boolean {
    const { tokens } = this.context;
    return (
      to - from === 1 &&
      items.every(({ amount }) => amount === null) &&
      this.hasMeasured(
        (name) =>
          name.from >= end && name.to - name.from > 1 && tokens[name.from]?.word === tokens[from]?.word,
      )
    );
  }

  /** "okra slime. 10 pods, 3 cups water": what is made of what is measured. */
  private isMadeBelow(id: string): boolean {
    // "Rosemary oil: a handful of rosemary, 200 ml of olive oil"
    const steeped = /^(.+)-infused-oil$/.exec(id)?.[1];
    if (steeped !== undefined && this.measured.has(steeped)) return true;
    const source = sourceIdOf(id);
    return source !== undefined && (this.measured.has(source) || this.countsPieces);
  }

  /** "melt the butters, oil in after": of the oils that are in; "an oil bath with 2 tbsp castor oil" */
  private isOfOils({ from, match }: Item['name'], sentence: ReadSentence): boolean {
    const { tokens, words } = this.context;
    const isBare =
      match.item.ingredient?.id === 'vegetable-oil' && words.roles.bareOil.at(tokens, from) !== undefined;
    const isBefore = sentence.items.some(
      ({ name, amount }) => amount !== null && name.from > from && isOfOil(name.match.item),
    );
    const isNamedLater = [...this.measured.values()].some(
      ({ from: later, items }) =>
        later > from && items.some((item) => item.amount !== null && isOfOil(item.name.match.item)),
    );
    // "Conditioner + oil. Two fistfuls of conditioner, one glug of olive."
    if (isBare && isNamedLater && !words.roles.some.endsAt(tokens, from, SOME_WITHIN)) return true;
    if (isBare && isBefore && [1, 2].some((back) => says(tokens[from - back], 'bathOf'))) return true;
    return (
      isBare &&
      [...this.seen.values()].some(
        ({ name }) => isOfOil(name.match.item) && this.measured.get(name.match.item.id) !== sentence,
      )
    );
  }

  /** "melt the butter": of the shea butter that is in. */
  private isShortFor({ from, to, match }: Item['name'], deed: Deed | null): boolean {
    const word = this.context.tokens[from]?.word ?? '';
    const isThe = says(this.context.tokens[from - 1], 'theMade');
    // "strain, use the milk": what was strained off.
    if (isThe && isMark(word, 'strainedLiquid') && this.isStrainedBefore(from)) return true;
    if (to - from > 1 || (deed === null && !isThe)) return false;
    return [...this.seen.values()].some(({ name }) => {
      const last = this.context.tokens[name.to - 1]?.word;
      return (
        name.to - name.from > 1 &&
        last !== undefined &&
        singular(last) === singular(word) &&
        name.match.item.id !== match.item.id
      );
    });
  }

  private isStrainedBefore(at: number): boolean {
    return this.strained.some((from) => from < at);
  }

  /** Nothing is done with it: a list of names has few other words, talk has many. */
  private isTalk({ items, elements, from, to }: ReadSentence): boolean {
    const { tokens, describing } = this.context;
    // "conditioner as much as covers my palm": how much of it.
    const [first] = items;
    if (first?.name.from === from && says(tokens[first.name.to], 'asMuch')) return false;
    // "coconut oil, as much as needed to …"
    const isByNeed =
      first !== undefined &&
      tokens.slice(first.name.to, first.name.to + NEED_WITHIN).some((token) => says(token, 'asNeeded'));
    if (isByNeed) return false;
    // "… filled halfway with the flax goo, then cream until it's …", where nothing at all is measured.
    const isByEye = tokens.slice(from, to).some((token) => says(token, 'fills') || says(token, 'until'));
    if (this.measured.size === 0 && isByEye) return false;
    const unknown = elements.filter(({ kind, from }) => {
      const word = tokens[from]?.word ?? '';
      return kind === 'word' && tokens[from]?.kind === 'word' && word.length > 2 && !describing.has(word);
    }).length;
    return !items.some(({ amount }) => amount !== null) && unknown > 2 * items.length + 1;
  }
}
