import { t } from '@lingui/core/macro';
import { rounded } from './numbers';

/** What lengths of hair and weights are shown and typed in; what is stored stays in centimetres and grams. */
export const SHOWN_UNITS = ['metric', 'inches'] as const;
export type ShownUnits = (typeof SHOWN_UNITS)[number];

/** Exact, by the international yard and pound agreement of 1959. */
const CM_PER_INCH = 2.54;
const GRAMS_PER_OUNCE = 28.349_523_125;

let shown: ShownUnits = 'metric';

/** From now on texts are made so; whoever shows some is drawn again. */
export function showUnits(units: ShownUnits): void {
  shown = units;
}

export const shownUnits = (): ShownUnits => shown;

/** What a kind of measure is in the shown unit. */
export type Measure = 'length' | 'mass';
const PER_SHOWN = { length: CM_PER_INCH, mass: GRAMS_PER_OUNCE } as const;

/** @param value centimetres or grams @returns in what is shown */
export const inShown = (measure: Measure, value: number): number =>
  shown === 'metric' ? value : value / PER_SHOWN[measure];

/** @param value in what is shown @returns centimetres or grams */
export const fromShown = (measure: Measure, value: number): number =>
  shown === 'metric' ? value : value * PER_SHOWN[measure];

/** "46 cm" or "18.1 in" @param cm of hair */
export function lengthText(cm: number): string {
  const value = rounded(inShown('length', cm), 1);
  return shown === 'metric' ? t`${value} cm` : t`${value} in`;
}

/** "4.2 g", "160 g", "5.6 oz" */
export function massText(grams: number): string {
  if (shown === 'metric') return t`${{ value: rounded(grams, grams < 10 ? 1 : 0) }} g`;
  const ounces = inShown('mass', grams);
  return t`${{ value: rounded(ounces, ounces < 1 ? 2 : 1) }} oz`;
}

/** Behind the label of a field. */
export function unitShown(measure: Measure): string {
  if (measure === 'mass') return shown === 'metric' ? 'g' : 'oz';
  return shown === 'metric' ? 'cm' : t({ message: 'in', context: 'inches' });
}
