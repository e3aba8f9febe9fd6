import { doseOf } from '../../recipe/classification';
import type { Head, Session } from '../../records/shapes';
import { expectedMaskGrams, type MASK_PER_HAIR } from './hairMass';

/** How fast more of a treatment stops doing more: 1 − exp(−1.5 × grams / usual grams), 1 at the usual amount (working assumption). */
const AMOUNT_STEEPNESS = 1.5;

/** @param share grams used to the grams that are usual for this head, more than 0 @returns 1 at the usual amount */
export function amountFactor(share: number): number {
  return (1 - Math.exp(-AMOUNT_STEEPNESS * share)) / (1 - Math.exp(-AMOUNT_STEEPNESS));
}

/**
 * How many usual doses one session was: from its contact and warmth on hair of this porosity, and, where the grams are known,
 * or else the share of the usual amount, from how much was used.
 */
export function sessionDose(
  session: Pick<Session, 'contactMinutes' | 'warmth' | 'grams' | 'amount'>,
  head: Head,
  sort: keyof typeof MASK_PER_HAIR,
): number {
  const contact = doseOf(session.contactMinutes, session.warmth, head.porosityGuess);
  if (session.grams === null) return contact * amountFactor(session.amount ?? 1);
  return contact * amountFactor(session.grams / expectedMaskGrams(head, sort, []).grams);
}
