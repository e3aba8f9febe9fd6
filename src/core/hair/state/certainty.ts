import type { Response } from './hairState';

/** What is at least so probable is said flatly, everywhere. */
export const FLAT_FROM = 0.8;
/** What is at least so probable is said to be likely; under it, nothing is claimed. */
export const LIKELY_FROM = 0.5;

/** An effect whose error is still this share of what it was before any use: what the recipe reads as holds half of its weight. */
const GUESSED_SHARE = Math.SQRT1_2;

export function isMostlyGuess({ sd, expected }: Pick<Response, 'sd' | 'expected'>): boolean {
  return sd > GUESSED_SHARE * expected.sd;
}
