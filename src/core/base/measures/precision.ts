import { sum } from './numbers';

/** Independent measurements of one thing, joined: their mean weighed by precision, and its error. @param parts at least one */
export function joinedByPrecision(parts: readonly { readonly value: number; readonly sd: number }[]): {
  readonly mean: number;
  readonly sd: number;
} {
  const precision = sum(parts.map(({ sd }) => 1 / sd ** 2));
  const mean = sum(parts.map(({ value, sd }) => value / sd ** 2)) / precision;
  return { mean, sd: 1 / Math.sqrt(precision) };
}
