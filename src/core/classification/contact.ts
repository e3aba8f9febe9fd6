/**
 * Contact turns a load into a dose: 1 − exp(−minutes / τ), so that the second hour adds little.
 * τ is a working assumption; warmth shortens it because a warm strand swells and takes up faster.
 */
export const CONTACT_TAU_MINUTES = { room: 25, warm: 15 } as const;
/** The contact that counts as one dose. */
const ONE_DOSE = { minutes: 30, warmth: 'room' } as const;

export type Warmth = keyof typeof CONTACT_TAU_MINUTES;

function uptake(minutes: number, warmth: Warmth): number {
  return 1 - Math.exp(-Math.max(0, minutes) / CONTACT_TAU_MINUTES[warmth]);
}

/** @returns doses, 0 upward; 30 minutes at room warmth is 1 */
export function doseOf(contactMinutes: number, warmth: Warmth): number {
  return uptake(contactMinutes, warmth) / uptake(ONE_DOSE.minutes, ONE_DOSE.warmth);
}
