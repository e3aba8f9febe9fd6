import type { PorosityGuess } from '../../records/shapes';

/**
 * Contact turns a load into a dose: 1 − exp(−minutes / τ), so that the second hour adds little.
 * τ is a working assumption; warmth shortens it because a warm strand swells and takes up faster.
 */
export const CONTACT_TAU_MINUTES = { room: 25, warm: 15 } as const;
/** The contact that counts as one dose, on hair of middle porosity. */
const ONE_DOSE = { minutes: 30, warmth: 'room' } as const;

export type Warmth = keyof typeof CONTACT_TAU_MINUTES;

/**
 * A closed cuticle lets things in more slowly, an open one faster: factors on τ (working assumption). Warmth helps low
 * porosity most, so it takes half of the slowness away.
 */
const POROSITY_TAU: Record<PorosityGuess, Record<Warmth, number>> = {
  low: { room: 1.5, warm: 1.25 },
  medium: { room: 1, warm: 1 },
  high: { room: 0.75, warm: 0.75 },
  unknown: { room: 1, warm: 1 },
};

function uptake(minutes: number, warmth: Warmth, porosity: PorosityGuess): number {
  const tau = CONTACT_TAU_MINUTES[warmth] * POROSITY_TAU[porosity][warmth];
  return 1 - Math.exp(-Math.max(0, minutes) / tau);
}

/** @returns doses, 0 upward; 30 minutes at room warmth on middling hair is 1 */
export function doseOf(contactMinutes: number, warmth: Warmth, porosity: PorosityGuess = 'unknown'): number {
  return uptake(contactMinutes, warmth, porosity) / uptake(ONE_DOSE.minutes, ONE_DOSE.warmth, 'unknown');
}
