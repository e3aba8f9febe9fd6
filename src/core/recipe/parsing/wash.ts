import type { Deed } from '../../records/shapes';
import type { Item } from './item';
import { says } from './marks';
import { isProduct } from './pending';
import { isWord } from './tokens';
import type { Context, ReadSentence } from './told';

/** Tokens of "on my wet hair". */
const ON_HAIR_WITHIN = 4;
/** More drops go into a bowl. */
const MOST_FINISHING_DROPS = 2;
/** Tokens between "then" and what is taken then. */
const THEN_WITHIN = 5;
/** The longest words for "some". */
export const SOME_WITHIN = 4;

/** What is named with the wash around the treatment: water that rinses, a conditioner afterwards, a drop of oil at the end. */
export class Wash {
  /** Where it was rinsed out, and where it was on the hair for a time, by token. */
  private readonly rinsed: readonly number[];
  private readonly timed: readonly number[];

  constructor(
    sentences: readonly ReadSentence[],
    private readonly context: Context,
  ) {
    const steps = sentences.flatMap((sentence) => sentence.steps);
    this.rinsed = steps.flatMap(({ deeds, from }) => (deeds.includes('rinse') ? [from] : []));
    this.timed = steps.flatMap(({ minutes, from }) => (minutes === null ? [] : [from]));
  }

  /** Whether something that nobody measures belongs to the wash. */
  takes({ name, deed, texture }: Item, sentence: ReadSentence): boolean {
    return (
      this.isCoolRinse(name, deed, texture, sentence) ||
      this.isWarmRinse(name, deed, sentence) ||
      this.isRinsedWith(name) ||
      this.isBareRinse(name, sentence) ||
      this.isPutBefore(name) ||
      this.comesAfter(name, sentence)
    );
  }

  /** "I put leave-in on my hair first": a product that is on it already. */
  private isPutBefore({ to, match }: Item['name']): boolean {
    const { tokens, words } = this.context;
    const [on, ...behind] = tokens.slice(to, to + ON_HAIR_WITHIN);
    // "conditioner to cover my head": how much of it.
    if (words.deeds.at(tokens, to + 1)) return false;
    return isProduct(match) && says(on, 'onto') && behind.some((token) => says(token, 'head'));
  }

  /** "Forty minutes. It comes off with water.": what rinses it, where nothing else is named. */
  private isBareRinse({ from, match }: Item['name'], { items }: ReadSentence): boolean {
    const isAlone =
      items.length === 1 &&
      items[0]?.texture === null &&
      (items[0].deed === null || items[0].deed === 'take');
    return match.item.ingredient?.id === 'water' && isAlone && this.timed.some((at) => at < from);
  }

  /** "20 minutes. Rinse. Then one drop of argan on the ends": what is taken when all is out. */
  finishes({ amount }: Item, { from }: ReadSentence): boolean {
    const isDrop = amount?.unit === 'drop' && amount.quantity <= MOST_FINISHING_DROPS;
    const rinsed = this.rinsed.find((at) => at < from);
    return isDrop && rinsed !== undefined && this.timed.some((at) => at < rinsed);
  }

  /** "then rinse and use my usual conditioner", "20 minutes, then a good conditioner": that of the wash. */
  comesAfter({ from, match }: Item['name'], { from: start, steps }: ReadSentence): boolean {
    const before = this.context.tokens.slice(Math.max(0, from - THEN_WITHIN), from);
    const isThen = before.some((token) => says(token, 'then'));
    // "… rinse with cold water. Then my usual conditioner."
    const opensThen =
      isThen && says(this.context.tokens[start], 'then') && this.rinsed.some((at) => at < start);
    return (
      isProduct(match) &&
      (opensThen ||
        steps.some(
          ({ deeds, minutes, from: told }) =>
            told < from &&
            (deeds.includes('rinse') ||
              (isThen && minutes !== null && deeds.some((deed) => deed === 'apply' || deed === 'heat'))),
        ))
    );
  }

  /** "garam pani se dho lo": water right before the rinse. */
  private isRinsedWith({ to, match }: Item['name']): boolean {
    const { tokens, words } = this.context;
    const isWater = match.item.ingredient?.id === 'water';
    // "henna and water, rinse after two hours" has it in.
    const isBeside = isWord(tokens[to]);
    return isWater && isBeside && [to, to + 1].some((at) => words.deeds.at(tokens, at)?.value === 'rinse');
  }

  /** "20 minutes, cold water or you'll have scrambled eggs": what it is rinsed with. */
  private isCoolRinse(
    { from, to }: Item['name'],
    deed: Deed | null,
    texture: Item['texture'],
    { items, elements }: ReadSentence,
  ): boolean {
    const { tokens, words } = this.context;
    // "3 tbsp clay, lukewarm water, 1 tbsp oil, 15 minutes": among what goes in.
    const isListed =
      items.some(({ amount, name }) => amount !== null && !amount.weak && name.from > to) &&
      // "3 leaves, softened in cold water, 100 ml milk"
      !says(tokens[from - 1], 'inPlace') &&
      !this.timed.some((at) => at < from) &&
      !elements.some(({ kind, from: at }) => kind === 'duration' && at < from);
    if (isListed) return false;
    // "… 25 minute, thande paani se dhona"
    const isRinsed = [to, to + 1].some((at) => words.deeds.at(tokens, at)?.value === 'rinse');
    // "a little lukewarm water" goes in.
    // … and so does "cold water with a spoon of honey".
    const isMixed =
      [to, to + 1].some((at) => says(tokens[at], 'holding')) ||
      // "acqua tiepida quanto basta"
      [to + 1, to + 2].some((at) => says(tokens[at], 'asNeeded'));
    if (words.roles.some.endsAt(tokens, from, SOME_WITHIN) || (isMixed && !isRinsed)) return false;
    return (
      (deed === null || deed === 'cool' || isRinsed) &&
      texture === null &&
      [from, from - 1].some((at) => (words.roles.coolRinse.at(tokens, at)?.to ?? 0) >= to)
    );
  }

  /** "Forty minutes, cap, lukewarm water.": what it is rinsed with. */
  private isWarmRinse(
    { from, to, match }: Item['name'],
    deed: Deed | null,
    { elements }: ReadSentence,
  ): boolean {
    const { tokens } = this.context;
    const isWarm = [from - 1, from, to - 1, to].some((at) => says(tokens[at], 'lukewarm'));
    const isTimed = elements.some(({ kind, from: start }) => kind === 'duration' && start < from);
    return match.item.ingredient?.id === 'water' && deed === null && isWarm && isTimed;
  }
}
