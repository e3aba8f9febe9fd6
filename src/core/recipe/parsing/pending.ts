import { UNITS } from '../../base/measures';
import type { Deed } from '../../records/shapes';
import type { Amount } from './amounts';
import type { NameMatch, Separator } from './elements';
import type { Item, NamedAt } from './item';
import { isLiquid } from './textures';
import { isSign, isWord, type Token } from './tokens';

/** What was just named. */
export const PRONOUN = /^(?:it|them|this|that|isso|dele|dela|davon|eso|cela)$/;
/** Deeds whose words also tell the state of a thing. */
export const STATES: ReadonlySet<Deed> = new Set<Deed>([
  'cool',
  'heat',
  'boil',
  'soak',
  'blend',
  'whip',
  'strain',
]);
/** Words that begin another step: what was done before does not govern any more. */
export const THEN = /^(?:then|dann|depois|puis|luego|poi|phir)$/;

/** "2 tbsp of that": of what was made before, unless the last thing has no amount yet: "an onion, two spoons of it". */
export function isUseOfMade(
  { unit, from, to, weak }: Amount,
  tokens: readonly Token[],
  last: Item | undefined,
  waits: boolean,
): boolean {
  if (unit === null || weak || waits) return false;
  // "a cupful mixed with 2 tbsp conditioner"
  const isMixed = isWord(tokens[to], MIXED) && isWord(tokens[to + 1], WITH);
  if (isMixed && (last === undefined || isWord(tokens[from - 1], USES))) return true;
  const isOf =
    isWord(tokens[to - 1], MADE_BEFORE) ||
    (isWord(tokens[to - 1], OF) && isWord(tokens[to], MADE_BEFORE)) ||
    // "2 colheres da baba"
    (isWord(tokens[to - 1], OF_THE) && isWord(tokens[to], MADE_NOUN));
  return isOf && (last === undefined || (last.amount !== null && last.amount.unit !== null));
}
const MIXED =
  /^(?:mixed|stirred|blended|whisked|shaken|misturad[ao]s?|mezclad[ao]s?|melangee?s?|gemischt|vermischt|mescolat[aoei]|unit[aoei])$/;
const USES = /^(?:use|using|uso|usa|usar|take|tomo|pego|utilise|nehme|prendo)$/;
const WITH = /^(?:with|into|com|con|avec|mit|a|em)$/;
const MADE_BEFORE = /^(?:it|that|this|isso|disso|dela|dele|davon|eso)$/;
const OF = /^(?:of|de|von|di)$/;
export const OF_THE = /^(?:the|that|this|da|do|dessa|desse|del|della|du)$/;

/** What follows holds only then. */
export const IF = /^(?:if|when|unless|se|si|wenn|falls)$/;

/** What was made before, where nothing else is named so. */
export const MADE_NOUN = /^(?:gel|mix|mixture|paste|slime|goo|infusion|batch|mistura|gosma|baba)$/;

const INTO_WATER = /^(?:to|per|in|into|with|for|para|pra|em|por|en|auf|pour|dans|su)$/;
/** From this much on it may be what a herb is brewed in, ml. */
const LEAST_BREWED_ML = 200;

/** "10 pods to 500 ml", "two chamomile bags in the jug, 600 ml": of water, though nobody names it. */
export function isBrewedIn(
  { unit, quantity, from }: Amount,
  tokens: readonly Token[],
  isOfHerb: boolean,
): boolean {
  const measure = unit ? UNITS[unit] : undefined;
  const isMuch = measure?.kind === 'volume' && measure.size * quantity >= LEAST_BREWED_ML;
  const before = tokens[from - 1];
  return isMuch && (isWord(before, INTO_WATER) || (isOfHerb && isSign(before, ',')));
}

/** A name that waits for its amount. */
export interface Waiting extends NamedAt {
  readonly deed: Deed | null;
  readonly chunk: number;
  readonly optional: boolean;
  readonly holds: NamedAt[];
  /** It heads what is told: no amount behind it is its own. */
  heads: boolean;
}

/** An amount that waits for its name. */
export interface Open {
  readonly amount: Amount;
  shared: boolean;
  readonly equalPart: boolean;
  /** Words after it that nobody knows. */
  unknown: number;
  readonly chunk: number;
  to: number;
  /** What parts it from what stands before it. */
  readonly after: Separator | null;
  readonly more: Amount[];
}

export const isOfLiquid = ({ match }: NamedAt): boolean =>
  match.item.ingredient !== undefined &&
  (isLiquid(match.item.ingredient) || match.item.ingredient.preparations.some(({ id }) => id === BREWED));

/** A tea is thinned with as water is. */
const BREWED = 'brewed';

/** Bought, with a list of what it holds on it. */
export const isProduct = ({ item }: NameMatch): boolean =>
  item.ingredient?.roles.includes('conditioner') ?? false;

/** What was said of a name while it waited. */
export const saidOf = ({ deed, optional, holds }: Waiting): Partial<Item> => ({ deed, optional, holds });

/** A thing of which nothing is said yet. */
export const bareItem = ({ from, to, match }: NamedAt): Item => ({
  name: { from, to, match },
  amount: null,
  shared: false,
  more: [],
  equalPart: false,
  ofHundred: false,
  others: [],
  instead: [],
  optional: false,
  holds: [],
  without: [],
  texture: null,
  deed: null,
});
