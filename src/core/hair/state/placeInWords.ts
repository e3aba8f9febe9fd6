import { t } from '@lingui/core/macro';
import type { Estimate } from './hairState';
import type { ComfortZone } from './signals';

/** From here on it is not a little too soft or too firm but much. */
const FAR = 1.2;

/** "a little too soft": where an estimate lies on the firmness scale. */
export function placeInWords({ mean }: Pick<Estimate, 'mean'>, { low, high }: ComfortZone): string {
  if (low !== null && mean < low) return mean < -FAR ? t`much too soft` : t`a little too soft`;
  if (high !== null && mean > high) return mean > FAR ? t`much too firm` : t`a little too firm`;
  return t`in the comfort zone`;
}
