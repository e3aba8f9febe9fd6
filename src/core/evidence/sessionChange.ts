import { hairMassGrams, Z90, type Estimate, type Head } from '../hair';
import { daysBetween } from '../measures';
import { measurementsOf, type Measurement, type Reading, type SignalId } from '../readings';
import type { Session } from '../sessions';

/** Hair is read dry one or two days after; later something else may have moved it. */
const READ_AGAIN_WITHIN_DAYS = 2;

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
 * one after it. No model, only two readings and their errors.
 * @returns null where one of the two is missing
 */
export function sessionChange(
  day: Session['day'],
  signal: SignalId,
  readings: readonly Reading[],
  head: Head,
): SessionChange | null {
  const last = (wanted: (reading: Reading) => boolean) => {
    const of = readings.filter((reading) => wanted(reading) && readingOn(reading, signal, head) !== null);
    return of.at(-1);
  };
  const before = last((reading) => reading.day === day && reading.moment === 'before');
  const dry = last((reading) => {
    const since = daysBetween(day, reading.day);
    return reading.moment === 'dry' && since >= 1 && since <= READ_AGAIN_WITHIN_DAYS;
  });
  const after = dry ?? last((reading) => reading.day === day && reading.moment === 'after');
  const [from, to] = [before, after].map((reading) => reading && readingOn(reading, signal, head));
  if (!from || !to || !after) return null;
  return {
    before: from,
    after: to,
    change: { mean: to.mean - from.mean, sd: Math.hypot(from.sd, to.sd) },
    afterMoment: after.moment,
  };
}

/** What is shown as 0.0 is no change. */
const UNCHANGED = 0.05;

/** "softer by 0.8, more than the error of the two readings (±0.6)" */
export function changeWords(signal: SignalId, { mean, sd }: Estimate): string {
  const WAYS: Record<SignalId, readonly [string, string]> = {
    firmness: ['softer', 'firmer'],
    breakage: ['breaking less', 'breaking more'],
    porosity: ['less porous', 'more porous'],
  };
  if (Math.abs(mean) < UNCHANGED) return `unchanged, with an error of ±${(Z90 * sd).toFixed(1)}`;
  const way = WAYS[signal][mean > 0 ? 1 : 0];
  const size = Math.abs(mean).toFixed(1);
  const error = (Z90 * sd).toFixed(1);
  return Math.abs(mean) > Z90 * sd
    ? `${way} by ${size}, more than the error of the two readings (±${error})`
    : `${way} by ${size}, within the error of the two readings (±${error})`;
}
