import { UNITS } from '../../base/measures';
import type { Deed } from '../../records/shapes';
import type { Amount } from './amounts';
import type { Separator } from './elements';
import type { Item, NamedAt } from './item';
import { says } from './marks';
import type { NameMatch } from './namesFound';
import { isLiquid } from './textures';
import { isSign, type Token } from './tokens';

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

/** "2 tbsp of that": of what was made before, unless the last thing has no amount yet: "an onion, two spoons of it". */
export function isUseOfMade(
  { unit, from, to, weak }: Amount,
  tokens: readonly Token[],
  last: Item | undefined,
  waits: boolean,
): boolean {
  if (unit === null || weak || waits) return false;
  // "a cupful mixed with 2 tbsp conditioner"
  const isMixed = says(tokens[to], 'mixed') && says(tokens[to + 1], 'mixedWith');
  if (isMixed && (last === undefined || says(tokens[from - 1], 'takes'))) return true;
  const isOf =
    says(tokens[to - 1], 'madeBefore') ||
    (says(tokens[to - 1], 'of') && says(tokens[to], 'madeBefore')) ||
    // "2 colheres da baba"
    (says(tokens[to - 1], 'ofThe') && says(tokens[to], 'madeNoun'));
  return isOf && (last === undefined || (last.amount !== null && last.amount.unit !== null));
}

/** From this much on it may be what a herb is brewed in, ml. */
const LEAST_BREWED_ML = 200;
/** A bag of tea is steeped in no less, ml. */
const LEAST_STEEPED_ML = 100;

/** "10 pods to 500 ml", "two chamomile bags in the jug, 600 ml": of water, though nobody names it. */
export function isBrewedIn(
  { unit, quantity, from }: Amount,
  tokens: readonly Token[],
  isOfHerb: boolean,
): boolean {
  const measure = unit ? UNITS[unit] : undefined;
  const least = isOfHerb ? LEAST_STEEPED_ML : LEAST_BREWED_ML;
  const isMuch = measure?.kind === 'volume' && measure.size * quantity >= least;
  const before = tokens[from - 1];
  return isMuch && (says(before, 'intoWater') || (isOfHerb && isSign(before, ',')));
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
