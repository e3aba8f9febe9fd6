import { sum, UNITS, type UnitId } from '../../base/measures';

export type PieceSize = 'small' | 'medium' | 'large';

/** Sold so: what such a measure holds stands on it. */
export const isPack = (unit: UnitId | null | undefined): boolean => unit === 'packet' || unit === 'can';

/** Grams, millilitres, spoons: what tells how much by itself. */
export const isMeasure = (unit: UnitId): boolean =>
  UNITS[unit].kind === 'mass' || UNITS[unit].kind === 'volume';

/** In these a bottle has its size. */
export const BOTTLE_SIZES: ReadonlySet<UnitId> = new Set<UnitId>(['ml', 'cl', 'l', 'fl oz', 'oz']);

/** "a third": of a thing, or of the whole where others take the rest. */
export const isShareOfWhole = ({
  unit,
  quantity,
}: {
  readonly unit: UnitId | null;
  readonly quantity: number | null;
}): boolean => unit === null && quantity !== null && quantity < 1;

/** Whether shares are all of a thing: a third and two thirds, rounded; 0.3, 0.3 and 0.4. */
export const makeWhole = (shares: readonly number[]): boolean => Math.abs(sum(shares) - 1) <= WHOLE_WITHIN;
const WHOLE_WITHIN = 0.05;

/** What is said in brackets behind a count. */
export interface PackSize {
  readonly quantity: number;
  readonly unit: UnitId;
  /** "two leaves (80 g)", "two sachets (24 g)" may be of both; "(12 g each)" is of each. */
  readonly mayBeOfAll?: boolean;
}

/** An amount as it stands in a line, and the words that are left when it is taken out. */
export interface LineAmount {
  /** Null where none is said. */
  readonly quantity: number | null;
  /** The upper end of a range such as "2-3 tbsp". */
  readonly quantityTo: number | null;
  readonly unit: UnitId | null;
  readonly size: PieceSize | null;
  readonly heaped: boolean;
  /** A mass or volume beside a counted pack: "1 packet gelatin (7 g)". */
  readonly packSize: PackSize | null;
  readonly words: string;
}

export const NO_AMOUNT: LineAmount = {
  quantity: null,
  quantityTo: null,
  unit: null,
  size: null,
  heaped: false,
  packSize: null,
  words: '',
};

export function lineAmountOf(amount: Omit<LineAmount, 'words'> | null, words: string): LineAmount {
  if (!amount) return { ...NO_AMOUNT, words };
  const { quantity, quantityTo, unit, size, heaped, packSize } = amount;
  return { quantity, quantityTo, unit, size, heaped, packSize, words };
}
