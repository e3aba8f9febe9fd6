import { t } from '@lingui/core/macro';
import { daysBetween, mean } from '../../base/measures';
import { tallyTotals, type Measured, type Reading, type ScalpSign } from '../../records/shapes';
import { SHED_ORDINARY_PER_DAY, SHED_REFERRAL_PER_DAY } from './protocols';
import { shedCounts } from './shed';
import { scalpWords } from './signWords';

/** Signs of the scalp that are a doctor's matter. */
const DOCTORS_SIGNS: readonly ScalpSign[] = ['tender', 'sores', 'patches', 'pain'];

const RISE = {
  /** Shed hairs a day against her own earlier counts. */
  factor: 2,
  /** Below this a rise is no matter for anybody. */
  fromPerDay: SHED_ORDINARY_PER_DAY.high,
  /** Counts that the earlier rate rests on, at least. */
  earlierCounts: 2,
  /** How long a reading keeps asking for a doctor, days. */
  keptDays: 60,
} as const;

const askDoctor = () => t`That is not a mask’s job: please ask a doctor or a dermatologist.`;

/** Shed hairs a day of one reading; those of a style that came down are of all its days. */
function shedPerDay(reading: Shed, styles: Parameters<typeof shedCounts>[1] = []): number | null {
  const [count] = shedCounts([reading], styles);
  // The size of a ball is too rough to send anybody to a doctor.
  return count && count.extraVariance === 0 ? count.pieces / count.days : null;
}

type Shed = Pick<Reading, 'day' | 'tally' | 'shedBall'>;

/** Why this reading by itself is a matter for a doctor; null when it is none. */
export function referralOf(
  reading: Pick<Measured, 'tally' | 'scalp'>,
  shed = reading.tally === null ? null : tallyTotals(reading.tally).shed / reading.tally.days,
): string | null {
  const signs = reading.scalp.filter((sign) => DOCTORS_SIGNS.includes(sign));
  if (signs.length > 0)
    return t`Scalp: ${{ signs: signs.map((sign) => scalpWords()[sign]).join(', ') }}. No treatment on it until it is well. ${{ ask: askDoctor() }}`;
  return shed !== null && shed > SHED_REFERRAL_PER_DAY
    ? t`More than ${{ most: SHED_REFERRAL_PER_DAY }} shed hairs a day. ${{ ask: askDoctor() }}`
    : null;
}

/** Whether all readings of one head, up to a day, hold something for a doctor: the latest of it, in words. */
export function referralFrom(
  readings: readonly Reading[],
  today: Reading['day'],
  styles: Parameters<typeof shedCounts>[1] = [],
): string | null {
  const recent = readings
    .filter(({ day }) => day <= today)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  const sheds: number[] = [];
  let found: string | null = null;
  for (const reading of recent) {
    const isKept = daysBetween(reading.day, today) <= RISE.keptDays;
    const shed = shedPerDay(reading, styles);
    const earlier = mean(sheds);
    if (isKept) {
      const own = referralOf(reading, shed);
      const rises =
        shed !== null &&
        sheds.length >= RISE.earlierCounts &&
        shed > RISE.fromPerDay &&
        shed > RISE.factor * earlier;
      if (own) found = own;
      else if (rises)
        found = t`Shed hairs with a bulb rose from about ${{ earlier: Math.round(earlier) }} to ${{ shed: Math.round(shed) }} a day. ${{ ask: askDoctor() }}`;
      else if (reading.scalp.includes('calm')) found = null;
    }
    if (shed !== null) sheds.push(shed);
  }
  return found;
}
