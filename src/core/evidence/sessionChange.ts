import { hairMassGrams, Z90, type Estimate, type Head } from '../hair';
import { daysBetween } from '../measures';
import { measurementsOf, type Measurement, type Reading, type SignalId } from '../readings';
import type { Session } from '../sessions';

/** Hair is read dry one or two days after; later something else may have moved it. */
const READ_AGAIN_WITHIN_DAYS = 2;

/** The count that tells of a treatment is the next one, if it is not too long ago. */
const COUNT_WITHIN_DAYS = 14;

export interface SessionChange {
  readonly before: Estimate;
  readonly after: Estimate;
  /** After less before. */
  readonly change: Estimate;
  readonly afterMoment: Reading['moment'];
}

function joined(measurements: readonly Measurement[]): Estimate | null {
  if (measurements.length === 0) return null;
  const precision = measurements.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  const mean = measurements.reduce((sum, { value, sd }) => sum + value / sd ** 2, 0) / precision;
  return { mean, sd: 1 / Math.sqrt(precision) };
}

/** What all tests of one reading say of a signal; null where none does. */
export function readingOn(reading: Reading, signal: SignalId, head: Head): Estimate | null {
  const found = measurementsOf(reading, { hairGrams: hairMassGrams(head) });
  return joined(found.filter((measurement) => measurement.signal === signal));
}

/**
 * The readings around one treatment day: the last one before it on that day, and the dry one of the next two days or, failing that, the wet
 * one after it. Breakage is counted over days, so its two are that day's count and the next. No model, only two readings and their errors.
 * @returns null where one of the two is missing
 */
export function sessionChange(
  day: Session['day'],
  signal: SignalId,
  readings: readonly Reading[],
  head: Head,
): SessionChange | null {
  const telling = readings.filter((reading) => readingOn(reading, signal, head) !== null);
  const before = telling.filter((reading) => reading.day === day && reading.moment === 'before').at(-1);
  const after = signal === 'breakage' ? nextCount(telling, day) : readAgain(telling, day);
  const [from, to] = [before, after].map((reading) => reading && readingOn(reading, signal, head));
  if (!from || !to || !after) return null;
  return {
    before: from,
    after: to,
    change: { mean: to.mean - from.mean, sd: Math.hypot(from.sd, to.sd) },
    afterMoment: after.moment,
  };
}

function readAgain(readings: readonly Reading[], day: Session['day']): Reading | undefined {
  const dry = readings.filter((reading) => {
    const since = daysBetween(day, reading.day);
    return reading.moment === 'dry' && since >= 1 && since <= READ_AGAIN_WITHIN_DAYS;
  });
  return dry.at(-1) ?? readings.filter((reading) => reading.day === day && reading.moment === 'after').at(-1);
}

function nextCount(readings: readonly Reading[], day: Session['day']): Reading | undefined {
  return readings
    .filter((reading) => reading.day > day && daysBetween(day, reading.day) <= COUNT_WITHIN_DAYS)
    .sort((one, other) => (one.day < other.day ? -1 : 1))[0];
}

/** What is shown as 0.0 is no change. */
const UNCHANGED = 0.05;

const WAYS: Record<Exclude<SignalId, 'breakage'>, readonly [string, string]> = {
  firmness: ['softer', 'firmer'],
  porosity: ['less porous', 'more porous'],
};

/** "softer by 0.8, more than the error of the two readings (±0.6)" */
export function changeWords(signal: SignalId, { mean, sd }: Estimate): string {
  const half = Z90 * sd;
  const isBeyond = Math.abs(mean) > half;
  const judged = isBeyond ? 'more than the error of the two' : 'within the error of the two';
  if (signal === 'breakage') {
    const [ratio, low, high] = [mean, mean - half, mean + half].map((value) => Math.exp(value).toFixed(1));
    return `${ratio} times as many pieces a day, ${judged} counts (${low} to ${high})`;
  }
  if (Math.abs(mean) < UNCHANGED) return `unchanged, with an error of ±${half.toFixed(1)}`;
  const way = WAYS[signal][mean > 0 ? 1 : 0];
  return `${way} by ${Math.abs(mean).toFixed(1)}, ${judged} readings (±${half.toFixed(1)})`;
}
