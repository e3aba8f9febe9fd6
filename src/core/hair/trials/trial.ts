import { textHash } from '../../base/measures';
import type { Arm, Trial, HairSide } from '../../records/shapes';

/**
 * Which arm comes when: in each round both, and which of the two first is drawn, so that no habit of hers (the better recipe on free days)
 * and no season can side with one of them. The same trial always has the same order.
 */
export function trialOrder({ trialId, rounds, sides }: Asked): Arm[] {
  if (sides) return sidesOrder(trialId, rounds);
  return Array.from({ length: rounds }, (_, round): Arm[] =>
    drawnBit(`${trialId}/${round}`) ? ['a', 'b'] : ['b', 'a'],
  ).flat();
}

type Asked = Pick<Trial, 'trialId' | 'rounds' | 'sides'>;

/** What is on the left in each round: of two rounds once each, so that a side that is always a little drier sides with nobody. */
function sidesOrder(trialId: string, rounds: number): Arm[] {
  const pairs = Array.from({ length: Math.ceil(rounds / 2) }, (_, pair): Arm[] =>
    drawnBit(`${trialId}/sides/${pair}`) ? ['a', 'b'] : ['b', 'a'],
  );
  return pairs.flat().slice(0, rounds);
}

/** Which side is read first in a round, drawn too: the second is read with a hand that has just felt the first. */
export const firstSide = (trialId: string, round: number): HairSide =>
  drawnBit(`${trialId}/first/${round}`) ? 'left' : 'right';

/** What is on a side, where this is on the left. */
export function armOn(side: HairSide, left: Arm): Arm {
  if (side === 'left') return left;
  return left === 'a' ? 'b' : 'a';
}

/** A coin that falls the same way for the same text: its hash, the upper half folded onto the lower. */
function drawnBit(text: string): boolean {
  const hash = textHash(text);
  const folded = hash ^ (hash >>> 16);
  return ((folded ^ (folded >>> 8)) & 1) === 1;
}

/** Rounds take so long at the least. */
export function shortestDays({
  rounds,
  washoutDays,
  sides,
}: Pick<Trial, 'rounds' | 'washoutDays' | 'sides'>): number {
  return ((sides ? rounds : 2 * rounds) - 1) * washoutDays + 1;
}
