import { sum, dayRange, addDays, type CalendarDay } from '../measures';
import { forecastOn, outOfLane } from './forecast';
import {
  daysSinceMoisture,
  daysSinceWash,
  forbiddenBy,
  freeMinutesOn,
  minutesOf,
  type Draft,
} from './hardRules';
import type { Plan, Planner, PlanProblem, Treatment } from './plan';
import { explained } from './explain';
import { RULES, WEIGHTS } from './rules';

/** Days after the week whose lane still counts, so that a week does not spend what the next one needs. */
const LOOK_BEYOND_DAYS = 4;

/** With more masks than this, only the most promising ones are combined: pairs grow with the square. */
const MOST_COMBINED = 12;

/**
 * Plans week by week: within a week every allowed choice of main treatments and days is tried and the cheapest is
 * kept, with the pre-poo and the follow-up that each one brings. Exact for one week with up to MOST_COMBINED masks,
 * greedy from week to week.
 */
export const weekSearch: Planner = (problem: PlanProblem): Plan => {
  let drafts: Draft[] = [];
  for (let week = 0; week < problem.weeks; week++) {
    const start = addDays(problem.from, 7 * week);
    drafts = [...drafts, ...bestWeek(problem, drafts, start)];
  }
  const masks = problem.treatments.filter((treatment) => treatment.use === 'mask').length;
  const isExact = problem.weeks === 1 && masks <= MOST_COMBINED;
  return explained(problem, [...drafts, ...refreshes(problem, drafts)], isExact);
};

function bestWeek(problem: PlanProblem, earlier: readonly Draft[], start: CalendarDay): Draft[] {
  const days = dayRange(start, 7);
  const weekCost = (added: readonly Draft[]) => costOf(problem, [...earlier, ...added], start);
  const candidates = mostPromising(problem, earlier, days, weekCost);
  let best: readonly Draft[] = [];
  let bestCost = weekCost([]);
  const consider = (added: readonly Draft[]) => {
    const cost = weekCost(added);
    // A hair's breadth is no reason to prefer the later choice: the order of trying decides ties.
    if (cost < bestCost - 1e-9) {
      best = added;
      bestCost = cost;
    }
  };
  const extend = (added: readonly Draft[], fromDay: number, mains: number) => {
    if (mains >= RULES.mainsPerWeek.value) return;
    for (let index = fromDay; index < days.length; index++) {
      const day = days[index] as CalendarDay;
      for (const treatment of candidates) {
        const beats = washDay(problem, [...earlier, ...added], day, treatment);
        if (!beats) continue;
        const more = [...added, ...beats];
        consider(more);
        extend(more, index + 1, mains + 1);
      }
    }
  };
  extend([], 0, 0);
  return [...best];
}

/** All masks, or of very many those that do best on their own on their best day. */
function mostPromising(
  problem: PlanProblem,
  earlier: readonly Draft[],
  days: readonly CalendarDay[],
  weekCost: (added: readonly Draft[]) => number,
): Treatment[] {
  const masks = problem.treatments.filter((treatment) => treatment.use === 'mask');
  if (masks.length <= MOST_COMBINED) return masks;
  const best = (treatment: Treatment) =>
    Math.min(
      ...days.map((day) => {
        const beats = washDay(problem, earlier, day, treatment);
        return beats ? weekCost(beats) : Infinity;
      }),
    );
  return masks
    .map((treatment) => ({ treatment, cost: best(treatment) }))
    .sort((a, b) => a.cost - b.cost)
    .slice(0, MOST_COMBINED)
    .map(({ treatment }) => treatment);
}

/** A main treatment with what belongs to it, or undefined when a hard rule or the day's minutes forbid it. */
export function washDay(
  problem: PlanProblem,
  earlier: readonly Draft[],
  day: CalendarDay,
  treatment: Treatment,
): Draft[] | undefined {
  if (forbiddenBy(problem, earlier, day, treatment)) return undefined;
  const main: Draft = { day, treatment, slot: 'main', overnight: false };
  const followUp = treatment.strong ? moistureAfter(problem) : undefined;
  if (treatment.strong && !followUp) return undefined;
  const beats: Draft[] = followUp
    ? [main, { day, treatment: followUp, slot: 'follow-up', overnight: false }]
    : [main];
  const needed = sum(beats.map(minutesOf));
  const free = freeMinutesOn(problem, day);
  if (needed > free) return undefined;
  const prePoo = prePooFor(problem, earlier, day, free - needed);
  return prePoo ? [prePoo, ...beats] : beats;
}

/** The moisture that follows a strong protein the same day: the strongest one that is known to this head. */
function moistureAfter(problem: PlanProblem): Treatment | undefined {
  return problem.treatments
    .filter((treatment) => treatment.use === 'mask' && treatment.kind === 'moisture' && !treatment.isNew)
    .reduce<Treatment | undefined>(
      (best, next) => (best && best.strength >= next.strength ? best : next),
      undefined,
    );
}

/** Before each shampoo: the evening before for plain oils, otherwise on the day while there is time left. */
function prePooFor(
  problem: PlanProblem,
  earlier: readonly Draft[],
  day: CalendarDay,
  minutesLeft: number,
): Draft | undefined {
  const treatment = problem.treatments.find(({ use, isNew }) => use === 'pre-poo' && !isNew);
  if (!treatment) return undefined;
  const eve = addDays(day, -1);
  const eveIsFree =
    eve >= problem.from &&
    treatment.kind === 'oil' &&
    freeMinutesOn(problem, eve) >= RULES.prePooMinutes.value &&
    !earlier.some((draft) => draft.day === eve);
  if (eveIsFree) return { day: eve, treatment, slot: 'pre-poo', overnight: true };
  const onTheDay: Draft = { day, treatment, slot: 'pre-poo', overnight: false };
  return minutesOf(onTheDay) <= minutesLeft ? onTheDay : undefined;
}

/** The objective for one week and a little beyond; smaller is better. See WEIGHTS for the units. */
export function costOf(problem: PlanProblem, drafts: readonly Draft[], start: CalendarDay): number {
  const days = dayRange(start, 7 + LOOK_BEYOND_DAYS);
  const last = addDays(start, 6);
  const lane = sum(
    days.map((day) => {
      const firmness = outOfLane('firmness', forecastOn(problem, 'firmness', drafts, day));
      const breakage = outOfLane('breakage', forecastOn(problem, 'breakage', drafts, day));
      return (
        WEIGHTS.outOfLane * (firmness.below + firmness.above) +
        WEIGHTS.overload * firmness.above +
        WEIGHTS.breakage * breakage.above
      );
    }),
  );
  const inWeek = drafts.filter((draft) => draft.day >= start && draft.day <= last);
  const overdue = (since: number, within: number) => Math.min(7, Math.max(0, since - within));
  const mains = inWeek.filter((draft) => draft.slot === 'main').map((draft) => draft.treatment.recipeId);
  return (
    lane +
    (WEIGHTS.hour * sum(inWeek.map(minutesOf))) / 60 +
    WEIGHTS.moistureOverdue * overdue(daysSinceMoisture(problem, drafts, last), RULES.moistureWithin.value) +
    WEIGHTS.mainMissing * Math.max(0, RULES.mainsPerWeekLeast.value - mains.length) +
    WEIGHTS.sameAgain * (mains.length - new Set(mains).size)
  );
}

/** Mists in the longer gaps between wash days; they are too small to move the forecast. */
function refreshes(problem: PlanProblem, drafts: readonly Draft[]): Draft[] {
  const treatment = problem.treatments.find(({ use, isNew }) => use === 'rinse' && !isNew);
  if (!treatment) return [];
  const isWash = (day: CalendarDay) => drafts.some((draft) => draft.day === day);
  const found: Draft[] = [];
  let sinceCare = Math.min(RULES.refreshEvery.value, daysSinceWash(problem, [], problem.from));
  for (const day of dayRange(problem.from, 7 * problem.weeks)) {
    if (isWash(day)) sinceCare = 0;
    else if (sinceCare >= RULES.refreshEvery.value && !isWash(addDays(day, 1))) {
      found.push({ day, treatment, slot: 'refresh', overnight: false });
      sinceCare = 0;
    }
    sinceCare++;
  }
  return found;
}
