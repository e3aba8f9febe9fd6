import { rounded, type UnitId } from '../../base/measures';
import type { Role } from '../../records/shapes';
import type { LarderItem } from './lexicon';

/** Mass of middling hair, g: what the amounts below are for (see core/hair/state, hair mass). */
export const MIDDLING_HAIR_GRAMS = 100;

/** So much of something goes on one head in one use, by what it is for (working assumptions, kitchen measures). */
const USUAL: readonly { readonly role: Role; readonly quantity: number; readonly unit: UnitId }[] = [
  { role: 'essential-oil', quantity: 5, unit: 'drop' },
  { role: 'preservative', quantity: 1, unit: 'g' },
  { role: 'alkali', quantity: 0.5, unit: 'tsp' },
  { role: 'dye', quantity: 4, unit: 'tbsp' },
  { role: 'acid', quantity: 1, unit: 'tbsp' },
  { role: 'emulsifier', quantity: 1, unit: 'tsp' },
  { role: 'conditioner', quantity: 3, unit: 'tbsp' },
  { role: 'penetrating-oil', quantity: 1, unit: 'tbsp' },
  { role: 'sealing-oil', quantity: 1, unit: 'tbsp' },
  { role: 'protein', quantity: 2, unit: 'tbsp' },
  { role: 'thickener', quantity: 1, unit: 'tsp' },
  { role: 'humectant', quantity: 1, unit: 'tbsp' },
  { role: 'carrier', quantity: 100, unit: 'ml' },
];
const OTHERWISE = { quantity: 2, unit: 'tbsp' } as const;
/** Of a mixture of hers used in another, ml. */
const MADE = { quantity: 100, unit: 'ml' } as const;
/** What is strong keeps to what is used at all, however much hair there is. */
const FIXED: ReadonlySet<Role> = new Set<Role>(['essential-oil', 'preservative', 'alkali']);
/** What is more than this share of water counts as the liquid of the mixture, percent by weight. */
const WET_PERCENT = 85;

/** The usual amount of something for one use on hair of a mass. */
export function usualUse(
  item: LarderItem,
  hairGrams: number,
): { readonly quantity: number; readonly unit: UnitId } {
  const share = Math.min(3, Math.max(1 / 3, hairGrams / MIDDLING_HAIR_GRAMS));
  if (!item.ingredient) return scaled(MADE, share);
  const { roles, composition } = item.ingredient;
  const known = USUAL.find(({ role }) => roles.includes(role));
  if (known && FIXED.has(known.role)) return known;
  if (composition.water >= WET_PERCENT && !roles.includes('acid')) return scaled(USUAL.at(-1)!, share);
  return scaled(known ?? OTHERWISE, share);
}

function scaled({ quantity, unit }: { readonly quantity: number; readonly unit: UnitId }, share: number) {
  return { quantity: Math.max(0.5, rounded(quantity * share * 2, 0) / 2), unit };
}
