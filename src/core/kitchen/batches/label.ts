import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { formatDay } from '../../base/measures';
import type { WeighedLine } from '../../recipe/larder';
import type { Allergy } from '../../records/shapes';
import type { ShelfItem } from './shelf';

/** What stands on the jar. */
export interface JarLabel {
  readonly name: string;
  readonly notFood: string;
  readonly made: string;
  readonly useBy: string;
  readonly keep: string;
  /** Where oil and water part in it. */
  readonly shake: string | null;
  readonly contains: string;
  readonly allergens: string | null;
}

const keepWords = perLanguage(
  () =>
    ({
      room: t`Keep cool and dark.`,
      fridge: t`Keep in the fridge.`,
      freezer: t`Keep frozen; thaw cold, use within a day.`,
    }) as const,
);

/** Names on a label, by weight; more would not be read. */
const NAMES_ON_LABEL = 8;

export function jarLabel(item: ShelfItem, lines: readonly WeighedLine[]): JarLabel {
  const names = [
    ...new Set([...lines].sort((a, b) => b.grams - a.grams).map((line) => line.ingredient.name)),
  ];
  const allergens = [...new Set(lines.flatMap((line) => line.ingredient.allergens))].sort();
  const more = names.length - NAMES_ON_LABEL;
  return {
    name: item.name,
    notFood: t`NOT FOOD – for hair only`,
    made: t`Made ${{ madeOn: formatDay(item.batch.madeOn, 'd MMM yyyy') }}`,
    useBy: t`Use by ${{ useBy: formatDay(item.useBy, 'd MMM yyyy') }}`,
    keep: keepWords()[item.place],
    shake: item.shakeFirst ? t`Shake first.` : null,
    contains: `${names.slice(0, NAMES_ON_LABEL).join(', ')}${more > 0 ? t` and ${more} more` : ''}`,
    allergens:
      allergens.length > 0 ? t`Allergens: ${{ allergens: allergens.map(allergenWords).join(', ') }}` : null,
  };
}

const allergenNames = perLanguage((): Record<Allergy, string> => ({
  egg: t`egg`,
  milk: t`milk`,
  gluten: t`gluten`,
  wheat: t`wheat`,
  soy: t`soy`,
  sesame: t`sesame`,
  'tree-nut': t`tree nut`,
  mustard: t`mustard`,
  legume: t`legume`,
  'latex-fruit': t`latex fruit`,
  'ragweed-family': t`ragweed family`,
  'bee-products': t`bee products`,
  aloe: t`aloe`,
  'fish-or-beef': t`fish or beef`,
  peanut: t`peanut`,
  wool: t`wool wax`,
  salicylate: t`aspirin`,
}));

/** "tree-nut" as it is read: "tree nut". */
export function allergenWords(allergen: string): string {
  return allergenNames()[allergen as Allergy] ?? allergen;
}
