import { plural } from '../language';
import type { UnitId } from './units';

/** Units with a word of their own in every language; each of these words is read back by the parser. */
const WORDS: Partial<Record<UnitId, (count: number) => string>> = {
  tsp: (count) => plural(count, 'tsp', 'tsp'),
  tbsp: (count) => plural(count, 'tbsp', 'tbsp'),
  dessertspoon: (count) => plural(count, 'dessertspoon', 'dessertspoons'),
  spoon: (count) => plural(count, 'spoon', 'spoons'),
  cup: (count) => plural(count, 'cup', 'cups'),
  'metric cup': (count) => plural(count, 'metric cup', 'metric cups'),
  drop: (count) => plural(count, 'drop', 'drops'),
  pinch: (count) => plural(count, 'pinch', 'pinches'),
  handful: (count) => plural(count, 'handful', 'handfuls'),
  glass: (count) => plural(count, 'glass', 'glasses'),
  leaf: (count) => plural(count, 'leaf', 'leaves'),
  packet: (count) => plural(count, 'packet', 'packets'),
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
