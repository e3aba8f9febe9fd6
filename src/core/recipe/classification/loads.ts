import { sum } from '../../base/measures';
import type { Active, Component, Ingredient, School } from '../../records/shapes';
import { sourceOf } from '../ingredients';
import { partGrams, remainingGrams, surviving, type WeighedLine } from '../larder';
import { AVAILABILITY, SOFTENING, TANNIN_FIRMING } from './constants';

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
  'starch',
  'humectant',
  'acid',
  'dye',
  'surfactant',
  'essentialOil',
  'preservative',
  'emulsifier',
  'water',
] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];
export type Loads = Readonly<Record<LoadKind, number>>;

export interface LineLoads {
  readonly line: WeighedLine;
  /** Grams that are left in the bowl after preparation. */
  readonly remainingGrams: number;
  readonly loads: Loads;
  /** Whether the composition is assumed, not measured. */
  readonly assumed: boolean;
  /** Of `loads.firm`, the grams that come of intact food protein and of tannin. */
  readonly firmOf: { readonly intact: number; readonly tannin: number };
  /** Grams of intact food protein in all: what would act if all of it did. */
  readonly intactInAll: number;
}

/**
 * What makers count as protein is a named set (role "protein": egg, dairy, beans, seeds, gelatin, broken-down proteins),
 * not grams: nobody calls coconut milk, avocado or banana protein. What else holds some acts as little as intact protein
 * does for those who count broken-down protein only.
 */
function availability({ proteinForm, roles }: Ingredient, school: School): number {
  const counts = proteinForm !== 'intact' || roles.includes('protein');
  return AVAILABILITY[counts ? school : 'broken-down'][proteinForm];
}

/** What one line brings, in grams, under one school. */
export function lineLoads(line: WeighedLine, school: School): LineLoads {
  const { ingredient, preparation } = line;
  const component = (part: Component) => partGrams(line, part);
  const active = (part: Active) =>
    (line.grams * (ingredient.actives[part] ?? 0) * surviving(preparation, part)) / 100;

  const inAll = component('protein');
  const protein = inAll * availability(ingredient, school);
  const isIntact = ingredient.proteinForm === 'intact';
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
    starch: component('starch'),
    humectant: active('humectant') + component('sugars'),
    acid: active('acid'),
    dye: active('dye'),
    surfactant: active('surfactant'),
    essentialOil: active('essentialOil'),
    preservative: active('preservative'),
    emulsifier: active('emulsifier'),
    water: component('water'),
  };
  return {
    line,
    remainingGrams: remainingGrams(line),
    loads,
    assumed: sourceOf(ingredient, 'composition').kind === 'assumed',
    firmOf: { intact: isIntact ? protein : 0, tannin: tannin * TANNIN_FIRMING },
    intactInAll: isIntact ? inAll : 0,
  };
}

export function byKind(valueOf: (kind: LoadKind) => number): Loads {
  return Object.fromEntries(LOAD_KINDS.map((kind) => [kind, valueOf(kind)])) as Loads;
}

/** The sums over lines. */
function totalLoads(lines: readonly LineLoads[]): Loads {
  return byKind((kind) => sum(lines.map((line) => line.loads[kind])));
}

/** Grams per 100 g of what is left to put on. */
export function perHundredGrams(lines: readonly LineLoads[]): Loads {
  const finished = sum(lines.map((line) => line.remainingGrams));
  const totals = totalLoads(lines);
  return byKind((kind) => (finished === 0 ? 0 : (100 * totals[kind]) / finished));
}
