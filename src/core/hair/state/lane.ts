import { normalCdf } from '../../base/measures';
import type { Estimate, LaneProbabilities } from './hairState';
import type { Lane } from './signals';

/** How probably a level lies below, in and above its lane. */
export function laneProbabilities({ mean, sd }: Estimate, lane: Lane): LaneProbabilities {
  const below = lane.low === null ? 0 : normalCdf((lane.low - mean) / sd);
  const above = lane.high === null ? 0 : normalCdf((mean - lane.high) / sd);
  return { below, above, within: Math.max(0, 1 - below - above) };
}
