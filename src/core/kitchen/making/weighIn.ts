import { mean } from '../../base/measures';

/** One reading of a kitchen scale. */
export interface ScaleSample {
  readonly grams: number;
  /** Milliseconds on the scale's own clock. */
  readonly atMs: number;
}

/** What settled means: for so long within so little (working assumption; a home scale shows whole or half grams). */
export const SETTLED = { forMs: 800, withinGrams: 0.6, leastSamples: 4 } as const;
/** After so long without a reading the scale is taken to be gone. */
export const SCALE_GONE_MS = 2500;

/**
 * The weight, once it has stopped moving, or null while it still moves.
 * @param samples in the order of their time, the newest last
 */
export function settledWeight(samples: readonly ScaleSample[]): number | null {
  const newest = samples.at(-1);
  if (!newest) return null;
  const recent = samples.filter(({ atMs }) => newest.atMs - atMs <= SETTLED.forMs);
  const spansLongEnough = newest.atMs - (samples[0]?.atMs ?? newest.atMs) >= SETTLED.forMs;
  if (recent.length < SETTLED.leastSamples || !spansLongEnough) return null;
  const weights = recent.map(({ grams }) => grams);
  const still = Math.max(...weights) - Math.min(...weights) <= SETTLED.withinGrams;
  return still ? mean(weights) : null;
}
