import { sum } from '../../base/measures';
import type { WeighedLine } from '../../recipe/larder';
import type { PantryItem } from '../../records/shapes';

/** The newest record of every ingredient. */
export function pantryOf(records: readonly PantryItem[]): ReadonlyMap<string, PantryItem> {
  return new Map(records.map((record) => [record.ingredientId, record]));
}

export function inStock(item: PantryItem | undefined): boolean {
  return item !== undefined && item.gramsLeft !== 0;
}

export interface Cost {
  /** In her currency. */
  readonly total: number;
  /** Names of what has no price yet; water from the tap costs nothing. */
  readonly unpriced: readonly string[];
  readonly parts: readonly { readonly name: string; readonly price: number }[];
}

/** Water is taken as free. */
const FREE = new Set(['water']);

/** What a batch costs, from the packs that have a price. */
export function costOf(lines: readonly WeighedLine[], pantry: ReadonlyMap<string, PantryItem>): Cost {
  const priced = lines
    .filter(({ ingredient }) => !FREE.has(ingredient.id))
    .map(({ ingredient, grams }) => {
      const pack = pantry.get(ingredient.id)?.pack ?? null;
      return { name: ingredient.name, price: pack && (pack.price * grams) / pack.grams };
    });
  const parts = priced.flatMap(({ name, price }) => (price === null ? [] : [{ name, price }]));
  return {
    total: sum(parts.map(({ price }) => price)),
    unpriced: [...new Set(priced.filter(({ price }) => price === null).map(({ name }) => name))],
    parts,
  };
}

/** Prices of the same weight, against a bought jar; null where the jar has no price. */
export function againstJar(
  cost: Cost,
  grams: number,
  jar: PantryItem | undefined,
): { readonly perHundred: number; readonly jarPerHundred: number } | null {
  if (!jar?.pack || grams <= 0) return null;
  return { perHundred: (100 * cost.total) / grams, jarPerHundred: (100 * jar.pack.price) / jar.pack.grams };
}
