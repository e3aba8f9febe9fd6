import { sum } from '../../base/measures';
import { partGrams, type WeighedLine } from '../../recipe/larder';

/**
 * Densities of the parts of a mixture, g/ml (Choi & Okos 1986, Effects of temperature and composition on the thermal
 * properties of foods, at 25 °C, rounded); `other` is taken as carbohydrate. Air that is whipped in is not counted.
 */
const PART_DENSITY = {
  water: 0.997,
  protein: 1.32,
  fat: 0.92,
  sugars: 1.59,
  starch: 1.59,
  fibre: 1.3,
  other: 1.3,
} as const;
type Part = keyof typeof PART_DENSITY;

/** @returns g/ml of what is left of these lines after preparation; that of water for nothing */
export function densityOf(lines: readonly WeighedLine[]): number {
  const parts = (Object.keys(PART_DENSITY) as Part[]).map((part) => ({
    grams: sum(lines.map((line) => partGrams(line, part))),
    density: PART_DENSITY[part],
  }));
  const millilitres = sum(parts.map(({ grams, density }) => grams / density));
  return millilitres === 0 ? PART_DENSITY.water : sum(parts.map(({ grams }) => grams)) / millilitres;
}
