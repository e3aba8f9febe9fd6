import { daysBetween, expectedExcess, type CalendarDay } from '../../base/measures';
import type { Estimate, ComfortZone } from '../../hair/state';
import type { SignalId } from '../../records/shapes';
import type { HeadProblem, Treatment } from './plan';

/** A treatment put on a day; all that the forecast needs of a treatment. */
export interface Placed {
  readonly day: CalendarDay;
  readonly treatment: Treatment;
}

/** What would be on this day if nothing were done from `asOf` on. */
export function untreated(
  problem: Pick<HeadProblem, 'signals' | 'asOf'>,
  signal: SignalId,
  day: CalendarDay,
): Estimate {
  const state = problem.signals[signal];
  const ahead = daysBetween(problem.asOf, day);
  if (ahead <= 0) return state;
  return state.ahead[Math.min(ahead, state.ahead.length) - 1] ?? state;
}

/**
 * The signal at the end of a day. Effects add, and fade by the retention of the signal; their errors are taken as
 * independent of the level's.
 */
export function forecastOn(
  problem: Pick<HeadProblem, 'signals' | 'asOf'>,
  signal: SignalId,
  placed: readonly Placed[],
  day: CalendarDay,
): Estimate {
  const base = untreated(problem, signal, day);
  const { retentionPerDay } = problem.signals[signal];
  let mean = base.mean;
  let variance = base.sd ** 2;
  for (const { day: on, treatment } of placed) {
    const age = daysBetween(on, day);
    if (age < 0) continue;
    const left = retentionPerDay ** age;
    mean += left * treatment.effect[signal].mean;
    variance += (left * treatment.effect[signal].sd) ** 2;
  }
  return { mean, sd: Math.sqrt(variance) };
}

/** Expected distance outside the comfort zone, both sides apart, in the signal's units. */
export function outOfLane(
  { low, high }: ComfortZone,
  { mean, sd }: Estimate,
): { below: number; above: number } {
  return {
    below: low === null ? 0 : expectedExcess(-mean, sd, -low),
    above: high === null ? 0 : expectedExcess(mean, sd, high),
  };
}
