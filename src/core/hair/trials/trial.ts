import { textHash } from '../../base/measures';
import type { Arm, Trial } from '../../records/shapes';

/**
 * Which arm comes when: in each round both, and which of the two first is drawn, so that no habit of hers (the better recipe on free days)
 * and no season can side with one of them. The same trial always has the same order.
 */
export function trialOrder({ trialId, rounds }: Pick<Trial, 'trialId' | 'rounds'>): Arm[] {
  return Array.from({ length: rounds }, (_, round): Arm[] =>
    drawnBit(`${trialId}/${round}`) ? ['a', 'b'] : ['b', 'a'],
  ).flat();
}

/** A coin that falls the same way for the same text: its hash, the upper half folded onto the lower. */
function drawnBit(text: string): boolean {
  const hash = textHash(text);
  const folded = hash ^ (hash >>> 16);
  return ((folded ^ (folded >>> 8)) & 1) === 1;
}

/** Rounds take so long at the least. */
export function shortestDays({ rounds, washoutDays }: Pick<Trial, 'rounds' | 'washoutDays'>): number {
  return (2 * rounds - 1) * washoutDays + 1;
}
