import { plural, t } from '@lingui/core/macro';
import { rounded } from '../../base/measures';
import type { Head, SignalId } from '../../records/shapes';
import { shedCounts, stylesWorn } from '../checks';
import type { HeadHistory } from '../history';
import {
  FLAT_FROM,
  LIKELY_FROM,
  type ComplaintAnswer,
  type ZoneProbabilities,
  type Need,
  type NeedKind,
  type NeedProbabilities,
  type SignalState,
} from '../state';
import { complaintAnswer } from './complaints';

/** Probability from which breakage and porosity turn the need to both, or to oil. */
const COMMIT = 0.65;
/** Distance beyond the comfort zone's edge from which "a little" is no longer said. */
const FAR_BEYOND = 0.7;

/**
 * How probably each need is the right one, the three signals taken as independent. Too firm asks for moisture. Else, hair that breaks
 * and drinks asks for both; too soft for protein; in its comfort zone and open for oil, to seal it; in its comfort zone for nothing.
 */
export function needProbabilities(
  firmness: ZoneProbabilities,
  breakage: ZoneProbabilities,
  porosity: ZoneProbabilities,
): NeedProbabilities {
  const both = breakage.above * porosity.above;
  return {
    moisture: firmness.above,
    both: (1 - firmness.above) * both,
    protein: firmness.below * (1 - both),
    oil: firmness.within * (porosity.above - both),
    keep: firmness.within * (1 - porosity.above),
  };
}

export function needOf(
  signals: Readonly<Record<SignalId, SignalState>>,
  head: Head,
  { readings, occasions, events }: Pick<HeadHistory, 'readings' | 'occasions' | 'events'>,
  referral: string | null,
): Need {
  const { firmness, breakage, porosity } = signals;
  const kind = needKind(firmness, breakage, porosity);
  const [worst] = head.complaints;
  const complaint = worst
    ? complaintAnswer(
        worst,
        signals,
        shedCounts(readings, stylesWorn(occasions, events)),
        readings.findLast(({ marks }) => marks.tangles !== null)?.marks.tangles ?? null,
      )
    : null;
  return {
    kind,
    probabilities: needProbabilities(firmness.probabilities, breakage.probabilities, porosity.probabilities),
    headline: referral === null ? (complaint?.headline ?? headlineOf(firmness)) : t`Ask a doctor first`,
    reasons: [
      ...(complaint ? [...(complaint.reason ? [complaint.reason] : []), `${headlineOf(firmness)}.`] : []),
      firmnessReason(firmness),
      ...breakageReason(breakage),
      ...porosityReason(kind, porosity),
      referral === null
        ? adviceFor(kind, head, complaint)
        : t`No recipe is advised until this has been looked at.`,
    ],
    referral,
    complaint,
  };
}

function needKind(firmness: SignalState, breakage: SignalState, porosity: SignalState): NeedKind {
  const { below, within, above } = firmness.probabilities;
  const breaks = breakage.probabilities.above > COMMIT;
  const drinks = porosity.probabilities.above > COMMIT;
  if (breaks && drinks && above < LIKELY_FROM) return 'both';
  if (below >= LIKELY_FROM) return 'protein';
  if (above >= LIKELY_FROM) return 'moisture';
  if (within < LIKELY_FROM) return 'unclear';
  return drinks ? 'oil' : 'keep';
}

const BESIDE = {
  near: { soft: () => t`A little too soft`, firm: () => t`A little too firm` },
  far: { soft: () => t`Much too soft`, firm: () => t`Much too firm` },
};
const LIKELY_BESIDE = {
  near: { soft: () => t`Likely a little too soft`, firm: () => t`Likely a little too firm` },
  far: { soft: () => t`Likely much too soft`, firm: () => t`Likely much too firm` },
};

function headlineOf(firmness: SignalState): string {
  const { below, within, above } = firmness.probabilities;
  const { low, high } = firmness.comfortZone;
  const side = below >= above ? 'soft' : 'firm';
  const certain = Math.max(below, above);
  const beyond = side === 'soft' ? (low ?? 0) - firmness.mean : firmness.mean - (high ?? 0);
  const far = beyond > FAR_BEYOND ? ('far' as const) : ('near' as const);
  if (certain >= FLAT_FROM) return BESIDE[far][side]();
  if (certain >= LIKELY_FROM) return LIKELY_BESIDE[far][side]();
  if (within >= FLAT_FROM) return t`Soft, springy, returning`;
  if (within >= LIKELY_FROM) return t`Likely in the comfort zone`;
  return t`Too few checks to tell`;
}

function firmnessReason(firmness: SignalState): string {
  const last = firmness.measurements.at(-1);
  if (!last) return t`No check yet: a guess from your first answers. One check of five strands sharpens it.`;
  const sameReading = firmness.measurements.filter((measurement) => measurement.readingId === last.readingId);
  const stretch = sameReading.find((measurement) => measurement.test === 'stretch');
  return t`Last check: ${{ why: (stretch ?? last).why }}.`;
}

function breakageReason(breakage: SignalState): string[] {
  const last = breakage.measurements.at(-1);
  if (!last) return [];
  const perDay = rounded(Math.exp(breakage.mean));
  return [
    t`About ${plural(perDay, { one: '# broken piece', other: '# broken pieces' })} a day (${{ why: last.why }}).`,
  ];
}

function porosityReason(kind: NeedKind, porosity: SignalState): string[] {
  if (kind !== 'oil' && kind !== 'both') return [];
  const last = porosity.measurements.at(-1);
  return [
    last
      ? t`It takes water up fast and lets it go again (${{ why: last.why }}).`
      : t`It takes water up fast and lets it go again, by the start questions.`,
  ];
}

function adviceFor(kind: NeedKind, head: Head, complaint: ComplaintAnswer | null): string {
  // Where something troubles her there is something to do, whatever was measured.
  if (complaint && (kind === 'keep' || kind === 'unclear')) return complaint.meanwhile;
  switch (kind) {
    case 'protein':
      return head.proteinSensitive
        ? t`Protein, a light one: marked as protein-sensitive.`
        : t`Protein next, then leave it alone until you've checked again.`;
    case 'moisture':
      return t`Moisture next; no protein until it has recovered.`;
    case 'both':
      return t`It breaks and drinks water: light protein now, moisture the same day.`;
    case 'oil':
      return t`Seal it: a little oil on damp hair after the wash, and a cooler last rinse.`;
    case 'keep':
      return t`Keep the rhythm; there is nothing to fix.`;
    case 'unclear':
      return t`Check once more before changing anything.`;
  }
}
