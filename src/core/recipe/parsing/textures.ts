import { sum } from '../../base/measures';
import type { Ingredient } from '../../records/shapes';

/** How thick a mixture is, the thickest first. */
export const TEXTURES = ['paste', 'loose', 'yogurt', 'cream', 'runny'] as const;
export type Texture = (typeof TEXTURES)[number];

/** Grams of water that a gram of each part takes up before it is a thick paste (working assumptions, kitchen trials). */
const TAKES_UP = { fibre: 2.5, starch: 0.7, protein: 0.8 } as const;
/** Of gums and seed gels. */
const MUCILAGE_TAKES_UP = 30;
/** Of a clay, its minerals. */
const CLAY_TAKES_UP = 0.6;
/** As many times what makes a thick paste (working assumptions; henna takes 2.5 to 3 times its weight for yogurt). */
const TIMES: Readonly<Record<Texture, number>> = {
  paste: 1.5,
  loose: 2,
  yogurt: 2.2,
  cream: 2.6,
  runny: 3.5,
};
/** What is wetter than this is a liquid of the mixture, percent of water. */
const LIQUID_WATER = 88;
/** What is drier than this takes up water, percent of water. */
const DRY_WATER = 20;

interface Part {
  readonly ingredient: Ingredient;
  readonly grams: number;
}

/** Grams of water that a gram of something dry holds in a thick paste. */
function takenUp({ composition, actives, roles }: Ingredient): number {
  if (composition.water > DRY_WATER) return 0;
  const mucilage = actives.mucilage ?? 0;
  const fibre = Math.max(0, composition.fibre - mucilage);
  const minerals =
    roles.includes('thickener') && composition.other > 80 && mucilage === 0 ? composition.other : 0;
  return (
    (fibre * TAKES_UP.fibre +
      composition.starch * TAKES_UP.starch +
      composition.protein * TAKES_UP.protein +
      mucilage * MUCILAGE_TAKES_UP +
      minerals * CLAY_TAKES_UP) /
    100
  );
}

/** Whether it can be what a texture is reached with. */
export const isLiquid = ({ composition }: Pick<Ingredient, 'composition'>): boolean =>
  composition.water >= LIQUID_WATER;

/**
 * The water that dry parts need to reach a texture, less what other liquids bring.
 * @param parts the other things in the bowl
 * @returns g; null where nothing in the bowl takes up water
 */
export function waterFor(texture: Texture, parts: readonly Part[]): number | null {
  const thick = sum(parts.map(({ ingredient, grams }) => grams * takenUp(ingredient)));
  if (thick <= 0) return null;
  const there = sum(
    parts
      .filter(({ ingredient }) => isLiquid(ingredient))
      .map(({ ingredient, grams }) => (grams * ingredient.composition.water) / 100),
  );
  return Math.max(0, thick * TIMES[texture] - there);
}
