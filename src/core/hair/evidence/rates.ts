import { t } from '@lingui/core/macro';
import { jStat } from 'jstat';
import { fixed } from '../../base/language';
import { calendarDay, daysBetween, sum, type CalendarDay } from '../../base/measures';
import { TALLY, type Count } from '../checks';
import { SIGNALS } from '../state';

/** Nine times in ten. */
const HELD = 0.9;
const TAIL = (1 - HELD) / 2;

/** A count; what was judged by the size of a ball varies by more than a count does. */
export type VaryingCount = Count & {
  readonly extraVariance?: number;
  /** The last of its days, where it is known. */
  readonly day?: CalendarDay;
};

/** Pieces a day from several counts. */
export interface Rate {
  readonly perDay: number;
  /** Between these nine times in ten. */
  readonly low: number;
  readonly high: number;
  readonly pieces: number;
  readonly days: number;
  readonly counts: number;
}

/**
 * The gamma distribution of a rate given counts: Jeffreys' prior, and the variance widened for over-dispersion. With m counts of n
 * pieces in all the variance of the sum is n (1 + τ² n/m), so shape and exposure are both divided by that factor.
 */
function gammaOf(counts: readonly VaryingCount[]) {
  const pieces = sum(counts.map((count) => count.pieces));
  const days = sum(counts.map((count) => count.days));
  const extra = sum(counts.map(({ extraVariance = 0 }) => extraVariance)) / counts.length;
  const widened = 1 + ((TALLY.overdispersion + extra) * pieces) / counts.length;
  return { pieces, days, shape: (pieces + 0.5) / widened, exposure: days / widened };
}

/** @param counts at least one */
export function rateOf(counts: readonly VaryingCount[]): Rate {
  const { pieces, days, shape, exposure } = gammaOf(counts);
  return {
    perDay: shape / exposure,
    low: jStat.gamma.inv(TAIL, shape, 1 / exposure),
    high: jStat.gamma.inv(1 - TAIL, shape, 1 / exposure),
    pieces,
    days,
    counts: counts.length,
  };
}

export interface RateRatio {
  readonly before: Rate;
  readonly after: Rate;
  /** After to before; 1 is no change. */
  readonly ratio: number;
  readonly low: number;
  readonly high: number;
}

/**
 * How many times as many pieces a day after as before. The ratio of two independent gamma variables is, up to a factor, an F
 * variable with twice their shapes as degrees of freedom. Where the days are known the interval is widened, on the logarithm, by
 * what breakage wanders between them when nothing is done, and for the dates that could have been chosen (Šidák).
 * @param before at least one count @param after at least one
 * @param dates among how many the date between them was chosen, 1 where it was not
 */
export function rateRatio(
  before: readonly VaryingCount[],
  after: readonly VaryingCount[],
  dates = 1,
): RateRatio {
  const [from, to] = [gammaOf(before), gammaOf(after)];
  const ratio = to.shape / to.exposure / (from.shape / from.exposure);
  const tail = (1 - HELD ** (1 / Math.max(1, dates))) / 2;
  const z = jStat.normal.inv(1 - tail, 0, 1);
  const wander = z * Math.sqrt(wanderVariance(before, after));
  const quantile = (p: number) => ratio * jStat.centralF.inv(p, 2 * to.shape, 2 * from.shape);
  const counted = { low: Math.log(ratio / quantile(tail)), high: Math.log(quantile(1 - tail) / ratio) };
  return {
    before: rateOf(before),
    after: rateOf(after),
    ratio,
    low: ratio * Math.exp(-Math.hypot(counted.low, wander)),
    high: ratio * Math.exp(Math.hypot(counted.high, wander)),
  };
}

/**
 * Variance of the difference of the mean logarithm of the rate, since against before, when nothing is done: the level is drawn back
 * toward where it rests and pushed about day by day (an autoregression), and where it rests moves, too.
 */
function wanderVariance(before: readonly VaryingCount[], after: readonly VaryingCount[]): number {
  if ([...before, ...after].some(({ day }) => day === undefined)) return 0;
  const weights = [...daysOf(before, -1), ...daysOf(after, 1)];
  const { dailySd, restDailySd, halfLifeGridDays } = SIGNALS.breakage;
  const halfLife = halfLifeGridDays[Math.floor(halfLifeGridDays.length / 2)] ?? 1;
  const kept = 2 ** (-1 / halfLife);
  const level = dailySd ** 2 / (1 - kept ** 2);
  let variance = 0;
  for (const one of weights) {
    for (const other of weights) {
      const apart = Math.abs(one.at - other.at);
      variance += one.weight * other.weight * (level * kept ** apart - (restDailySd ** 2 * apart) / 2);
    }
  }
  return Math.max(0, variance);
}

const EPOCH = calendarDay('2000-01-01');

/** The days that counts cover, each with its share; none where a day is not known. */
function daysOf(counts: readonly VaryingCount[], sign: 1 | -1): { at: number; weight: number }[] {
  const total = sum(counts.map(({ days }) => days));
  return counts.flatMap(({ day, days }) => {
    if (day === undefined) return [];
    // The middle of each week of a long count is near enough.
    const parts = Math.max(1, Math.ceil(days / 7));
    return Array.from({ length: parts }, (_, part) => ({
      at: daysBetween(EPOCH, day) - (days * (part + 0.5)) / parts,
      weight: (sign * days) / parts / total,
    }));
  });
}

/** Counts so few that no ratio should be spoken of. */
const FEWEST_COUNTS = 2;

/** A claim about counts in words that do not overclaim. */
export function rateRatioWords({ ratio, low, high, before, after }: RateRatio): string {
  const percent = (value: number) => `${Math.abs(Math.round(100 * (value - 1)))} %`;
  const span = t`${{ low: fold(low) }} to ${{ high: fold(high) }} times as many, nine times in ten`;
  if (before.counts < FEWEST_COUNTS || after.counts < FEWEST_COUNTS)
    return t`One count on a side says next to nothing: ${span}.`;
  if (high < 1)
    return t`Fewer: by about ${{ percent: percent(ratio) }}, and by at least ${{ leastPercent: percent(high) }} nineteen times in twenty.`;
  if (low > 1)
    return t`More: by about ${{ percent: percent(ratio) }}, and by at least ${{ leastPercent: percent(low) }} nineteen times in twenty.`;
  return t`No change that the counts can show: ${span}.`;
}

/** Whether it is half of what it was, as far as the counts can say. */
export function halfWords({ low, high, before, after }: RateRatio): string {
  if (before.counts < FEWEST_COUNTS || after.counts < FEWEST_COUNTS)
    return t`Too early to tell: two counts before and two since would do.`;
  if (high < HALF) return t`Yes, it's less than half.`;
  if (low > 1) return t`No, it's more than it was.`;
  if (low > HALF) return high < 1 ? t`Less, but not half.` : t`No, it isn't half.`;
  return high < 1
    ? t`It's less. Half is possible, but the counts can't show it yet.`
    : t`The counts can't tell yet.`;
}
const HALF = 0.5;

const fold = (value: number) => fixed(value, value < 10 ? 1 : 0);
