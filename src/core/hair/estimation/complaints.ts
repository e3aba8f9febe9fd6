import { plural, t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { rounded, sum } from '../../base/measures';
import type { Complaint, SignalId } from '../../records/shapes';
import { SHED_ORDINARY_PER_DAY, SHED_REFERRAL_PER_DAY, type ShedCount } from '../checks';
import { FLAT_FROM, LIKELY_FROM, type ComplaintAnswer, type SignalState } from '../state';

/** The latest counts, which speak of now. */
const LATEST_COUNTS = 3;

interface ComplaintWords {
  /** Her own words, as the beginning of the answer. */
  readonly told: string;
  /** Where nothing was measured that could tell. */
  readonly unknown: string;
  /** Where the checks agree, and where they say otherwise: what they say, and what would settle it. Null where none measures it. */
  readonly checked: Readonly<Record<'shown' | 'against', string>> | null;
  /** What to do meanwhile. */
  readonly meanwhile: string;
}

const complaintWords = perLanguage((): Readonly<Record<Complaint, ComplaintWords>> => ({
  breaks: {
    told: t`You say it breaks`,
    unknown: t`No count can show that yet; counts at the next two detangles would.`,
    checked: {
      shown: t`It breaks, and your counts show it`,
      against: t`Your counts look ordinary. Two more would settle it.`,
    },
    meanwhile: t`Detangle with plenty of slip, from the ends, and leave heat and tight styles alone.`,
  },
  sheds: {
    told: t`You say it sheds`,
    unknown: t`No count can show that yet; the ball of the next two detangles would.`,
    checked: {
      shown: t`It sheds more than is usual`,
      against: t`What you counted is ordinary: 50 to 100 a day. Two more counts would settle it.`,
    },
    meanwhile: t`Count bulbs apart from broken pieces. Sudden or patchy loss is for a doctor.`,
  },
  dry: {
    told: t`You say it's dry`,
    unknown: t`No check can show that yet; a stretch check would tell dry from over-firm.`,
    checked: {
      shown: t`It's dry, and your checks show it`,
      against: t`By its stretch it isn't too firm. A check when it's dry would settle it.`,
    },
    meanwhile: t`Moisture on wash days, and oil on the ends while it's damp.`,
  },
  tangles: {
    told: t`You say it tangles`,
    unknown: t`No check shows that yet; slip and tangles after the next wash would.`,
    checked: {
      shown: t`It tangles, and your checks show it`,
      against: t`Your last checks found few tangles. The next wash would settle it.`,
    },
    meanwhile: t`Detangle before the wash, in sections, with oil or conditioner.`,
  },
  frizz: {
    told: t`You say it frizzes`,
    unknown: t`No check measures frizz itself; a stretch check tells whether it's moisture it lacks.`,
    checked: {
      shown: t`It frizzes, and your checks show it`,
      against: t`By its stretch it's in the comfort zone. The air may do it; a check on a dry day would tell.`,
    },
    meanwhile: t`Leave it alone while it dries, and seal the ends.`,
  },
  limp: {
    told: t`You say it's limp`,
    unknown: t`No check can show that yet; a stretch check would.`,
    checked: {
      shown: t`It's too soft, and your checks show it`,
      against: t`By its stretch it isn't too soft. Build-up may do it; a stretch check after a wash would settle it.`,
    },
    meanwhile: t`Wash out what has built up before adding anything.`,
  },
  stiff: {
    told: t`You say it's stiff`,
    unknown: t`No check can show that yet; a stretch check would.`,
    checked: {
      shown: t`It's too firm, and your checks show it`,
      against: t`By its stretch it isn't too firm. Build-up may do it; a stretch check after a wash would settle it.`,
    },
    meanwhile: t`No protein until that's clear; moisture does no harm.`,
  },
  edges: {
    told: t`You say your edges thin`,
    unknown: t`No check here measures that; a photo of the same place every month would show it.`,
    checked: null,
    meanwhile: t`Nothing tight on them, no heat. If it goes on, or hurts, ask a doctor.`,
  },
  scalp: {
    told: t`You say your scalp itches or flakes`,
    unknown: t`No check here measures it; note how it looks after each wash.`,
    checked: null,
    meanwhile: t`Leave oils and powders off it. Sores, pain or flakes that stay are for a doctor.`,
  },
  greasy: {
    told: t`You say it gets greasy`,
    unknown: t`No check here measures it; what is left in the hair after a wash tells most.`,
    checked: null,
    meanwhile: t`Less oil, none near the roots, and shampoo on the scalp only.`,
  },
  length: {
    told: t`You say it doesn't keep its length`,
    unknown: t`A length at the same place every month, and two counts of broken pieces, would tell.`,
    checked: {
      shown: t`It breaks off about as fast as it grows`,
      against: t`Your counts of broken pieces look ordinary. A length at the same place every month would settle it.`,
    },
    meanwhile: t`Keep the ends covered and sealed, and count what breaks.`,
  },
}));

/** Which signal tells of it, and which side of the comfort zone; absent where none does. */
const TOLD_BY: Partial<Record<Complaint, { readonly signal: SignalId; readonly side: 'above' | 'below' }>> = {
  breaks: { signal: 'breakage', side: 'above' },
  length: { signal: 'breakage', side: 'above' },
  dry: { signal: 'firmness', side: 'above' },
  frizz: { signal: 'firmness', side: 'above' },
  stiff: { signal: 'firmness', side: 'above' },
  limp: { signal: 'firmness', side: 'below' },
};

/** Where the answer begins: with what she says, never against it; what the checks say to it is argued in a sentence. */
export function complaintAnswer(
  complaint: Complaint,
  signals: Readonly<Record<SignalId, SignalState>>,
  shed: readonly ShedCount[],
  tangles: number | null,
): ComplaintAnswer {
  const { told, unknown, checked, meanwhile } = complaintWords()[complaint];
  const found = checked === null ? null : foundBy(complaint, signals, shed, tangles);
  if (checked === null || found === null)
    return { complaint, headline: told, reason: unknown, meanwhile, isShown: false };
  const figure = figureOf(complaint, signals, shed);
  if (found === 'shown')
    return { complaint, headline: checked.shown, reason: figure, meanwhile, isShown: true };
  const said =
    found === 'against' ? checked.against : t`Your checks lean that way: likely. One more would settle it.`;
  return {
    complaint,
    headline: told,
    reason: [figure, said].filter(Boolean).join(' '),
    meanwhile,
    isShown: false,
  };
}

function foundBy(
  complaint: Complaint,
  signals: Readonly<Record<SignalId, SignalState>>,
  shed: readonly ShedCount[],
  tangles: number | null,
): 'shown' | 'likely' | 'against' | null {
  if (complaint === 'sheds') {
    const perDay = shedPerDay(shed);
    if (perDay === null) return null;
    return perDay > SHED_ORDINARY_PER_DAY.high ? 'shown' : 'against';
  }
  if (complaint === 'tangles') return tangles === null ? null : tangles >= MANY_TANGLES ? 'shown' : 'against';
  const by = TOLD_BY[complaint];
  if (!by) return null;
  const { measurements, probabilities } = signals[by.signal];
  if (measurements.length === 0) return null;
  const chance = probabilities[by.side];
  if (chance >= FLAT_FROM) return 'shown';
  if (chance >= LIKELY_FROM) return 'likely';
  return 1 - chance >= FLAT_FROM ? 'against' : null;
}

/** Of four steps. */
const MANY_TANGLES = 3;

function shedPerDay(shed: readonly ShedCount[]): number | null {
  const latest = shed.slice(-LATEST_COUNTS);
  if (latest.length === 0) return null;
  return sum(latest.map(({ pieces }) => pieces)) / sum(latest.map(({ days }) => days));
}

/** What was found, in the words of the count. */
function figureOf(
  complaint: Complaint,
  signals: Readonly<Record<SignalId, SignalState>>,
  shed: readonly ShedCount[],
): string {
  if (complaint === 'sheds') {
    const perDay = Math.round(shedPerDay(shed) ?? 0);
    const most = SHED_REFERRAL_PER_DAY;
    return perDay > most
      ? t`About ${perDay} a day, and more than ${most} is for a doctor.`
      : plural(perDay, { one: 'About # shed hair a day.', other: 'About # shed hairs a day.' });
  }
  if (TOLD_BY[complaint]?.signal !== 'breakage') return '';
  const perDay = rounded(Math.exp(signals.breakage.mean));
  return plural(perDay, { one: 'About # broken piece a day.', other: 'About # broken pieces a day.' });
}
