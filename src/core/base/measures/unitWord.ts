import { plural } from '@lingui/core/macro';
import type { UnitId } from './units';

/** Units with a word of their own in every language; each of these words is read back by the parser. */
const WORDS: Partial<Record<UnitId, (count: number) => string>> = {
  tsp: (count) => plural(count, { one: 'tsp', other: 'tsp' }),
  tbsp: (count) => plural(count, { one: 'tbsp', other: 'tbsp' }),
  dessertspoon: (count) => plural(count, { one: 'dessertspoon', other: 'dessertspoons' }),
  spoon: (count) => plural(count, { one: 'spoon', other: 'spoons' }),
  cup: (count) => plural(count, { one: 'cup', other: 'cups' }),
  'metric cup': (count) => plural(count, { one: 'metric cup', other: 'metric cups' }),
  drop: (count) => plural(count, { one: 'drop', other: 'drops' }),
  pinch: (count) => plural(count, { one: 'pinch', other: 'pinches' }),
  handful: (count) => plural(count, { one: 'handful', other: 'handfuls' }),
  glass: (count) => plural(count, { one: 'glass', other: 'glasses' }),
  leaf: (count) => plural(count, { one: 'leaf', other: 'leaves' }),
  packet: (count) => plural(count, { one: 'packet', other: 'packets' }),
};

const MEASURES: ReadonlySet<UnitId> = new Set<UnitId>([
  'g',
  'mg',
  'kg',
  'oz',
  'lb',
  'ml',
  'cl',
  'dl',
  'l',
  'fl oz',
]);

/** A unit as it stands behind an amount: up to one of it takes the form for one, as in "0.5 cup". */
export function unitWord(unit: UnitId, quantity: number): string {
  const count = quantity > 1 ? 2 : 1;
  const word = WORDS[unit];
  if (word) return word(count);
  if (count === 1 || MEASURES.has(unit)) return unit;
  return /(?:sh|ch|ss)$/.test(unit) ? `${unit}es` : `${unit}s`;
}
