import { ingredientById, sourceById, type Component, type Active, type Ingredient } from '../ingredients';
import { invariant } from '../measures';
import { AVAILABILITY, SOFTENING, TANNIN_FIRMING, type School } from './constants';

/** An ingredient line with its weight; what {@link lineLoads} needs of a read line or a saved one. */
export interface WeighedLine {
  readonly text: string;
  readonly ingredientId: string;
  readonly preparationId: string | null;
  /** As measured out, before preparation. */
  readonly grams: number;
}

/** Grams in the bowl after preparation, by part; `firm` and `soft` are weighed sums of the parts that act. */
export const LOAD_KINDS = [
  'protein',
  'tannin',
  'firm',
  'soft',
  'penetratingOil',
  'sealingOil',
  'cationic',
  'mucilage',
  'humectant',
  'acid',
  'dye',
  'surfactant',
  'essentialOil',
  'water',
] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];
export type Loads = Readonly<Record<LoadKind, number>>;

export interface LineLoads {
  readonly line: WeighedLine;
  readonly ingredient: Ingredient;
  /** Grams that are left in the bowl after preparation. */
  readonly remainingGrams: number;
  /** Grams of protein left in the bowl, whatever its form. */
  readonly bowlProtein: number;
  readonly loads: Loads;
  /** Whether any figure that matters here is assumed, not measured. */
  readonly assumed: boolean;
}

/** What one line brings, in grams, under one school. */
export function lineLoads(line: WeighedLine, school: School): LineLoads {
  const ingredient = ingredientById(line.ingredientId);
  invariant(ingredient, `ingredient ${line.ingredientId} is in no catalogue`);
  const preparation = ingredient.preparations.find(({ id }) => id === line.preparationId);
  const survives = preparation?.survives ?? {};
  const left = (part: Component | Active, per100g: number) =>
    (line.grams * per100g * (survives[part] ?? 1)) / 100;

  const { composition, actives } = ingredient;
  const component = (part: Component) => left(part, composition[part]);
  const active = (part: Active) => left(part, actives[part] ?? 0);

  const bowlProtein = component('protein');
  const protein = bowlProtein * AVAILABILITY[school][ingredient.proteinForm];
  const tannin = active('tannin');
  const fat = component('fat');
  const loads: Loads = {
    protein,
    tannin,
    firm: protein + tannin * TANNIN_FIRMING,
    soft:
      active('humectant') * SOFTENING.humectant +
      component('sugars') * SOFTENING.sugars +
      active('mucilage') * SOFTENING.mucilage +
      component('starch') * SOFTENING.starch +
      active('cationic') * SOFTENING.cationic +
      active('emollient') * SOFTENING.emollient +
      component('water') * SOFTENING.water,
    penetratingOil: ingredient.fatKind === 'penetrating' ? fat : 0,
    sealingOil: ingredient.fatKind === 'penetrating' ? 0 : fat,
    cationic: active('cationic'),
    mucilage: active('mucilage'),
    humectant: active('humectant') + component('sugars'),
    acid: active('acid'),
    dye: active('dye'),
    surfactant: active('surfactant'),
    essentialOil: active('essentialOil'),
    water: component('water'),
  };
  return {
    line,
    ingredient,
    remainingGrams: remainingGrams(line.grams, ingredient, survives),
    bowlProtein,
    loads,
    assumed: sourceById(ingredient.sources.composition).kind === 'assumed',
  };
}

/** What the strainer leaves: each part by its own share; what no column names goes the way of the fibre. */
function remainingGrams(
  grams: number,
  { composition }: Ingredient,
  survives: Partial<Record<Component | Active, number>>,
): number {
  const parts = Object.entries(composition) as [Component, number][];
  const named = parts.reduce((total, [, per100g]) => total + per100g, 0);
  const left = parts.reduce((total, [part, per100g]) => total + per100g * (survives[part] ?? 1), 0);
  const rest = Math.max(0, 100 - named) * (survives.fibre ?? 1);
  return (grams * (left + rest)) / 100;
}
