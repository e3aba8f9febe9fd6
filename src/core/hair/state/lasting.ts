import type { SignalId } from '../../records/shapes';
import type { SignalState } from './hairState';

/** What a hand or a count can just notice, in each signal's units: a quarter of the comfort zone, a tenth of the pieces, a quarter of the index. */
export const NOTICEABLE: Record<SignalId, number> = { firmness: 0.25, breakage: 0.1, porosity: 0.25 };

export interface Lasting {
  readonly days: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Days until an effect has faded to what can just be noticed: half-life × log₂(effect / noticeable).
 * @returns null for an effect that is too small to be noticed at all
 */
export function lastingDays(
  effect: number,
  { signal, halfLifeDays, halfLifeRange }: Pick<SignalState, 'signal' | 'halfLifeDays' | 'halfLifeRange'>,
): Lasting | null {
  const halvings = Math.log2(Math.abs(effect) / NOTICEABLE[signal]);
  if (!(halvings > 0)) return null;
  return {
    days: halvings * halfLifeDays,
    low: halvings * halfLifeRange.low,
    high: halvings * halfLifeRange.high,
  };
}
