import { SHED_REFERRAL_PER_DAY, type SignalId } from '../readings';
import { rounded } from '../measures';
import type { Head } from './head';
import type { Estimate, LaneProbabilities, Need, NeedKind, SignalState } from './hairState';
import { normalCdf } from './normal';
import { SIGNALS, type Lane } from './signals';

export function laneProbabilities({ mean, sd }: Estimate, lane: Lane): LaneProbabilities {
  const below = lane.low === null ? 0 : normalCdf((lane.low - mean) / sd);
  const above = lane.high === null ? 0 : normalCdf((mean - lane.high) / sd);
  return { below, above, within: Math.max(0, 1 - below - above) };
}

/** Probability from which the app commits to a side; under it, it says that it is likely, or cannot tell. */
const COMMIT = 0.65;
const LEAN = 0.5;
/** Distance beyond the lane's edge from which "a little" is no longer said. */
const FAR_BEYOND = 0.7;

export function needOf(
  signals: Readonly<Record<SignalId, SignalState>>,
  head: Head,
  referral: boolean,
): Need {
  const { firmness, breakage, porosity } = signals;
  const kind = needKind(firmness, breakage, porosity);
  return {
    kind,
    headline: headlineOf(firmness),
    reasons: [firmnessReason(firmness), ...breakageReason(breakage), adviceFor(kind, head)],
    referral: referral
      ? `A reading shows more than ${SHED_REFERRAL_PER_DAY} shed hairs a day. That is not a mask's job: please ask a doctor or a dermatologist.`
      : null,
  };
}

function needKind(firmness: SignalState, breakage: SignalState, porosity: SignalState): NeedKind {
  const { below, within, above } = firmness.probabilities;
  if (breakage.probabilities.above > COMMIT && porosity.probabilities.above > COMMIT && above < LEAN)
    return 'both';
  if (below >= LEAN) return 'protein';
  if (above >= LEAN) return 'moisture';
  return within >= LEAN ? 'keep' : 'unclear';
}

function headlineOf(firmness: SignalState): string {
  const { below, within, above } = firmness.probabilities;
  const { low, high } = SIGNALS.firmness.lane;
  const side = below >= above ? 'soft' : 'firm';
  const certain = Math.max(below, above);
  const beyond = side === 'soft' ? (low ?? 0) - firmness.mean : firmness.mean - (high ?? 0);
  const amount = beyond > FAR_BEYOND ? 'much too' : 'a little too';
  if (certain >= COMMIT) return capitalised(`${amount} ${side}`);
  if (certain >= LEAN) return `Likely ${amount} ${side}`;
  if (within >= COMMIT) return 'Soft, springy, returning';
  if (within >= LEAN) return 'Likely in its comfortable lane';
  return 'Too few readings to tell';
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function firmnessReason(firmness: SignalState): string {
  const last = firmness.measurements.at(-1);
  if (!last)
    return 'No reading yet: this is a guess from the start questions. One reading of five strands will sharpen it.';
  const sameReading = firmness.measurements.filter((measurement) => measurement.readingId === last.readingId);
  const stretch = sameReading.find((measurement) => measurement.test === 'stretch');
  return `Last reading: ${(stretch ?? last).why}.`;
}

function breakageReason(breakage: SignalState): string[] {
  const last = breakage.measurements.at(-1);
  if (!last) return [];
  const perDay = rounded(Math.exp(breakage.mean));
  return [`About ${perDay} broken ${perDay === 1 ? 'piece' : 'pieces'} a day (${last.why}).`];
}

function adviceFor(kind: NeedKind, head: Head): string {
  switch (kind) {
    case 'protein':
      return head.proteinSensitive
        ? 'Protein, a light one: this head is marked as protein-sensitive.'
        : 'Protein next, a light one first; then leave it alone until it has been read again.';
    case 'moisture':
      return 'Moisture next; no protein until it has recovered.';
    case 'both':
      return 'It breaks and drinks water: light protein now, moisture the same day.';
    case 'keep':
      return 'Keep the rhythm; there is nothing to fix.';
    case 'unclear':
      return 'Take one more reading before changing anything.';
  }
}
