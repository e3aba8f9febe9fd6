import { t } from '@lingui/core/macro';
import { fixed, perLanguage } from '../../base/language';
import { daysBetween, joinedByPrecision, Z90 } from '../../base/measures';
import type { Head, Reading, Session, SignalId } from '../../records/shapes';
import { isDryReadingDay, measurementsOf } from '../checks';
import { hairMassGrams, SIGNALS, type Estimate } from '../state';

/** The count that tells of a treatment is the next one, if it is not too long ago. */
const COUNT_WITHIN_DAYS = 14;

export interface SessionChange {
  readonly before: Estimate;
  readonly after: Estimate;
  /** After less before. */
  readonly change: Estimate;
  readonly afterMoment: Reading['moment'];
}

interface Told {
  readonly reading: Reading;
  readonly estimate: Estimate;
}

/** Readings with what all their tests say of a signal; those that say nothing are left out. */
export function toldBy(readings: readonly Reading[], signal: SignalId, head: Head): Told[] {
  const hair = { hairGrams: hairMassGrams(head) };
  return readings.flatMap((reading) => {
    const parts = measurementsOf(reading, hair).filter((measurement) => measurement.signal === signal);
    return parts.length === 0 ? [] : [{ reading, estimate: joinedByPrecision(parts) }];
  });
}

/**
 * The readings around one treatment day: the last one before it on that day, and the dry one of the next two days or, failing that, the wet
 * one after it. Breakage is counted over days, so its two are that day's count and the next. No model of treatments, only two readings, their errors, and what days add by themselves.
 * @returns null where one of the two is missing
 */
export function sessionChange(
  day: Session['day'],
  signal: SignalId,
  readings: readonly Reading[],
  head: Head,
): SessionChange | null {
  // By day first: years of readings are not to be worked out for one treatment.
  const told = (wanted: (reading: Reading) => boolean) => toldBy(readings.filter(wanted), signal, head);
  const before = told((reading) => reading.day === day && reading.moment === 'before').at(-1);
  const after = signal === 'breakage' ? nextCount(told, day) : readAgain(told, day);
  if (!before || !after) return null;
  const [from, to] = [before.estimate, after.estimate];
  return {
    before: from,
    after: to,
    change: {
      mean: to.mean - from.mean,
      sd: Math.hypot(from.sd, to.sd, movedBetween(signal, before, after)),
    },
    afterMoment: after.reading.moment,
  };
}

/** 1 sd of what the days between two readings add by themselves; the errors of breakage hold the scatter of a day already. */
function movedBetween(signal: SignalId, before: Told, after: Told): number {
  const days = daysBetween(before.reading.day, after.reading.day);
  return SIGNALS[signal].dailySd * Math.sqrt(Math.max(0, days));
}

type Telling = (wanted: (reading: Reading) => boolean) => Told[];

function readAgain(told: Telling, day: Session['day']): Told | undefined {
  const dry = told((reading) => reading.moment === 'dry' && isDryReadingDay(day, reading.day));
  return dry.at(-1) ?? told((reading) => reading.day === day && reading.moment === 'after').at(-1);
}

function nextCount(told: Telling, day: Session['day']): Told | undefined {
  return told((reading) => reading.day > day && daysBetween(day, reading.day) <= COUNT_WITHIN_DAYS).sort(
    (one, other) => (one.reading.day < other.reading.day ? -1 : 1),
  )[0];
}

/** What is shown as 0.0 is no change. */
const UNCHANGED = 0.05;

/** Signals whose change is a difference; that of breakage is a ratio of counts. */
export type LevelSignal = Exclude<SignalId, 'breakage'>;

/** What less and more of a signal are called. */
export const ways = perLanguage((): Record<LevelSignal, readonly [string, string]> => ({
  firmness: [t`softer`, t`firmer`],
  porosity: [t`less porous`, t`more porous`],
}));

/** "softer by 0.8, more than the error of the two readings (±0.6)" */
export function changeWords(signal: SignalId, { mean, sd }: Estimate): string {
  const half = Z90 * sd;
  const isBeyond = Math.abs(mean) > half;
  const judged = isBeyond
    ? t`more than the error of the two and the days between`
    : t`within the error of the two and the days between`;
  if (signal === 'breakage') {
    const times = (value: number) => fixed(Math.exp(value), 1);
    return isBeyond
      ? t`${{ ratio: times(mean) }} times as many pieces a day, more than the error of the two counts and the days between (${{ low: times(mean - half) }} to ${{ high: times(mean + half) }})`
      : t`${{ ratio: times(mean) }} times as many pieces a day, within the error of the two counts and the days between (${{ low: times(mean - half) }} to ${{ high: times(mean + half) }})`;
  }
  if (Math.abs(mean) < UNCHANGED) return t`unchanged, with an error of ±${{ half: fixed(half, 1) }}`;
  const way = ways()[signal][mean > 0 ? 1 : 0];
  return t`${way} by ${{ mean: fixed(Math.abs(mean), 1) }}, ${judged} (±${{ half: fixed(half, 1) }})`;
}
