import { normalCdf } from '../../base/measures';
import type { Estimate, ZoneProbabilities } from './hairState';
import type { ComfortZone } from './signals';

/** How probably a level lies below, in and above its comfort zone. */
export function zoneProbabilities({ mean, sd }: Estimate, comfortZone: ComfortZone): ZoneProbabilities {
  const below = comfortZone.low === null ? 0 : normalCdf((comfortZone.low - mean) / sd);
  const above = comfortZone.high === null ? 0 : normalCdf((mean - comfortZone.high) / sd);
  return { below, above, within: Math.max(0, 1 - below - above) };
}
