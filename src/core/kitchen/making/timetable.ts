import { invariant } from '../../base/measures';
import type { MakingStep } from './steps';

export interface TimedStep extends MakingStep {
  /** Minutes from the start of the making. */
  readonly startMinute: number;
  readonly endMinute: number;
}

export interface Timetable {
  /** In the order of their start. */
  readonly steps: readonly TimedStep[];
  readonly totalMinutes: number;
  /** Minutes that take her hands; the rest is waiting. */
  readonly handsMinutes: number;
}

/**
 * When each step starts, for one pair of hands: what waits (soaking, cooling) runs beside other steps. List scheduling
 * with the longest remaining path first; the earliest start is taken, so nothing waits that could run.
 */
export function timetableOf(steps: readonly MakingStep[]): Timetable {
  const tails = longestTails(steps);
  const ends = new Map<string, number>();
  const timed: TimedStep[] = [];
  const waiting = new Set(steps);
  let handsFree = 0;
  while (waiting.size > 0) {
    const ready = [...waiting].filter((step) => step.after.every((id) => ends.has(id)));
    invariant(ready.length > 0, 'a step of a making waits for one that is not there');
    const startOf = (step: MakingStep) =>
      Math.max(step.hands > 0 ? handsFree : 0, ...step.after.map((id) => ends.get(id) ?? 0));
    const next = ready.reduce((best, step) => {
      const [a, b] = [startOf(step), startOf(best)];
      return a < b || (a === b && (tails.get(step.id) ?? 0) > (tails.get(best.id) ?? 0)) ? step : best;
    });
    const startMinute = startOf(next);
    const endMinute = startMinute + next.minutes;
    ends.set(next.id, endMinute);
    if (next.hands > 0) handsFree = startMinute + next.hands;
    timed.push({ ...next, startMinute, endMinute });
    waiting.delete(next);
  }
  const placed = fromNow(justInTime(timed, Math.max(0, ...timed.map((step) => step.endMinute))));
  return {
    steps: placed,
    totalMinutes: Math.max(0, ...placed.map((step) => step.endMinute)),
    handsMinutes: timed.reduce((total, step) => total + step.hands, 0),
  };
}

/**
 * Moves every step as late as what hangs on it and her hands allow, so that honey is not weighed twelve hours before the
 * seeds have soaked. Going from the last step to the first, a step can always stay where it was: what was moved before
 * it began after it and only became later.
 */
function justInTime(timed: readonly TimedStep[], totalMinutes: number): TimedStep[] {
  const placed = new Map<string, TimedStep>();
  const lastFirst = [...timed].sort((a, b) => b.startMinute - a.startMinute || b.endMinute - a.endMinute);
  for (const step of lastFirst) {
    const followers = timed.filter((other) => other.after.includes(step.id));
    const latestEnd = Math.min(
      totalMinutes,
      ...followers.map(({ id, startMinute }) => placed.get(id)?.startMinute ?? startMinute),
    );
    const startMinute = latestStart(step, latestEnd - step.minutes, [...placed.values()]);
    placed.set(step.id, { ...step, startMinute, endMinute: startMinute + step.minutes });
  }
  return [...placed.values()].sort((a, b) => a.startMinute - b.startMinute || a.endMinute - b.endMinute);
}

/** Counted from the first step: where every step could move later, the making is begun later. */
function fromNow(steps: readonly TimedStep[]): TimedStep[] {
  const first = Math.min(...steps.map(({ startMinute }) => startMinute));
  return steps.map((step) => ({
    ...step,
    startMinute: step.startMinute - first,
    endMinute: step.endMinute - first,
  }));
}

/** The latest start at or before `latest`, and not before its earliest one, at which her hands are free. */
function latestStart(step: TimedStep, latest: number, placed: readonly TimedStep[]): number {
  if (step.hands === 0) return Math.max(step.startMinute, latest);
  let start = latest;
  const busy = placed.filter(({ hands }) => hands > 0).sort((a, b) => b.startMinute - a.startMinute);
  for (const other of busy) {
    const overlaps = start < other.startMinute + other.hands && other.startMinute < start + step.hands;
    if (overlaps) start = other.startMinute - step.hands;
  }
  return Math.max(step.startMinute, start);
}

/** Minutes from the start of each step to the end of the longest way that hangs on it. */
function longestTails(steps: readonly MakingStep[]): ReadonlyMap<string, number> {
  const followers = new Map<string, MakingStep[]>();
  for (const step of steps) {
    for (const id of step.after) followers.set(id, [...(followers.get(id) ?? []), step]);
  }
  const tails = new Map<string, number>();
  const open = new Set<string>();
  const tailOf = (step: MakingStep): number => {
    const known = tails.get(step.id);
    if (known !== undefined) return known;
    invariant(!open.has(step.id), 'the steps of a making wait for one another in a circle');
    open.add(step.id);
    const tail = step.minutes + Math.max(0, ...(followers.get(step.id) ?? []).map(tailOf));
    tails.set(step.id, tail);
    return tail;
  };
  steps.forEach(tailOf);
  return tails;
}
