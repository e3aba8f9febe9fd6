import type { Deed } from '../../records/shapes';
import type { Amount } from './amounts';
import type { NameMatch } from './elements';
import type { Item, NamedAt } from './item';
import { isLiquid } from './textures';

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

/** A name that waits for its amount. */
export interface Waiting extends NamedAt {
  readonly deed: Deed | null;
  readonly chunk: number;
  readonly optional: boolean;
  readonly holds: NamedAt[];
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
  others: [],
  instead: [],
  optional: false,
  holds: [],
  without: [],
  texture: null,
  deed: null,
});
