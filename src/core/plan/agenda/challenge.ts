import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import type { Challenge } from '../../records/shapes';

export interface ChallengeWeek {
  readonly from: CalendarDay;
  readonly done: number;
  /** "open": it has not ended, and the count is not full yet. */
  readonly state: 'kept' | 'missed' | 'open' | 'ahead';
}

export interface ChallengeState {
  readonly challenge: Challenge;
  readonly weeks: readonly ChallengeWeek[];
  readonly kept: number;
  readonly missed: number;
  /** Weeks kept in a row up to now; a missed week ends it, and no later effort fills it up. */
  readonly streak: number;
  readonly longest: number;
  readonly over: boolean;
  /** Still wanted in the week that runs, 0 when none runs. */
  readonly wanted: number;
  /** The first day of the week that runs; null when none does. */
  readonly weekFrom: CalendarDay | null;
}

/**
 * Where a challenge stands. A week counts from the challenge's own first day; a treatment counts on the day on which it was
 * done, however many there are on it, and never for another week.
 * @param doneOn days on which what it counts was done
 */
export function challengeState(
  challenge: Challenge,
  doneOn: readonly CalendarDay[],
  today: CalendarDay,
): ChallengeState {
  const { startsOn, weeks: count, perWeek, givenUpOn } = challenge;
  const lastDay = givenUpOn !== null && givenUpOn < today ? givenUpOn : today;
  const days = [...new Set(doneOn)].filter((day) => day <= lastDay);
  const weeks = Array.from({ length: count }, (_, week): ChallengeWeek => {
    const from = addDays(startsOn, 7 * week);
    const done = days.filter((day) => daysBetween(from, day) >= 0 && daysBetween(from, day) < 7).length;
    const ended = daysBetween(from, lastDay) >= 7;
    const begun = from <= lastDay;
    const state = done >= perWeek ? 'kept' : ended ? 'missed' : begun ? 'open' : 'ahead';
    return { from, done, state };
  });
  const settled = weeks.filter(({ state }) => state === 'kept' || state === 'missed');
  const runs = runsOf(settled);
  const running = givenUpOn === null ? weeks.find(({ from }) => inWeek(from, today)) : undefined;
  return {
    challenge,
    weeks,
    kept: settled.filter(({ state }) => state === 'kept').length,
    missed: settled.filter(({ state }) => state === 'missed').length,
    streak: settled.at(-1)?.state === 'kept' ? (runs.at(-1) ?? 0) : 0,
    longest: Math.max(0, ...runs),
    over: givenUpOn !== null || daysBetween(startsOn, today) >= 7 * count,
    wanted: running ? Math.max(0, perWeek - running.done) : 0,
    weekFrom: running?.from ?? null,
  };
}

function inWeek(from: CalendarDay, day: CalendarDay): boolean {
  const days = daysBetween(from, day);
  return days >= 0 && days < 7;
}

/** Lengths of the runs of kept weeks, in order. */
function runsOf(weeks: readonly ChallengeWeek[]): number[] {
  const runs: number[] = [];
  let run = 0;
  for (const { state } of weeks) {
    run = state === 'kept' ? run + 1 : 0;
    if (run === 1) runs.push(1);
    else if (run > 1) runs[runs.length - 1] = run;
  }
  return runs;
}
