import { laneProbabilities, SIGNALS } from '../hair';
import { addDays, daysBetween, weekdayOf, type CalendarDay } from '../measures';
import { forecastOn, type Placed } from './forecast';
import type { PlanProblem, Slot, Spacing, Treatment } from './plan';
import { RULES } from './rules';

/** A beat while planning: where it stands and what it is. */
export interface Draft extends Placed {
  readonly slot: Slot;
  readonly overnight: boolean;
}

export function freeMinutesOn(problem: PlanProblem, day: CalendarDay): number {
  return problem.head.freeMinutes[weekdayOf(day)] ?? 0;
}

/** Her minutes for a beat. What works overnight costs only its putting on. */
export function minutesOf({ slot, overnight, treatment }: Omit<Draft, 'day'>): number {
  switch (slot) {
    case 'main':
      return RULES.washMinutes.value + treatment.contactMinutes;
    case 'follow-up':
      return treatment.contactMinutes;
    case 'pre-poo':
      return overnight
        ? RULES.prePooMinutes.value
        : Math.max(RULES.prePooMinutes.value, treatment.contactMinutes);
    case 'refresh':
      return RULES.refreshMinutes.value;
  }
}

/** Days from the latest use before or on `day` that satisfies `is`; Infinity when there was none. */
function daysSince(
  problem: PlanProblem,
  drafts: readonly Draft[],
  day: CalendarDay,
  is: (treatment: Spacing) => boolean,
): number {
  let latest: CalendarDay | undefined;
  const see = (on: CalendarDay, treatment: Spacing) => {
    if (on <= day && (latest === undefined || on > latest) && is(treatment)) latest = on;
  };
  for (const use of problem.past) see(use.day, use);
  for (const draft of drafts) if (draft.slot !== 'refresh') see(draft.day, draft.treatment);
  return latest === undefined ? Infinity : daysBetween(latest, day);
}

export const daysSinceMoisture = (problem: PlanProblem, drafts: readonly Draft[], day: CalendarDay) =>
  daysSince(problem, drafts, day, (treatment) => treatment.moistens);

export const daysSinceProtein = (problem: PlanProblem, drafts: readonly Draft[], day: CalendarDay) =>
  daysSince(problem, drafts, day, (treatment) => treatment.firms);

const daysSinceStrongProtein = (problem: PlanProblem, drafts: readonly Draft[], day: CalendarDay) =>
  daysSince(problem, drafts, day, (treatment) => treatment.strong);

export const daysSinceWash = (problem: PlanProblem, drafts: readonly Draft[], day: CalendarDay) =>
  daysSince(problem, drafts, day, (treatment) => treatment.use === 'mask');

/** The chance that the hair is already too firm when this day begins. */
export function chanceTooFirm(problem: PlanProblem, drafts: readonly Draft[], day: CalendarDay): number {
  const before = drafts.filter((draft) => draft.day < day);
  return laneProbabilities(forecastOn(problem, 'firmness', before, day), SIGNALS.firmness.lane).above;
}

/**
 * The first hard rule that forbids this main treatment on this day, or undefined when it may stand.
 * @param earlier what is planned before that day
 */
export function forbiddenBy(
  problem: PlanProblem,
  earlier: readonly Draft[],
  day: CalendarDay,
  treatment: Treatment,
): string | undefined {
  if (treatment.use !== 'mask') return 'not-a-mask';
  if (treatment.strong && (problem.head.proteinSensitive || problem.head.child)) return 'no-strong-protein';
  if (daysSinceWash(problem, earlier, day) < RULES.washGap.value) return RULES.washGap.id;
  return (
    (treatment.firms ? tooMuchProtein(problem, earlier, day, treatment) : undefined) ??
    (treatment.isNew ? tooNew(problem, earlier, day, treatment) : undefined)
  );
}

function tooMuchProtein(
  problem: PlanProblem,
  earlier: readonly Draft[],
  day: CalendarDay,
  { strong }: Treatment,
): string | undefined {
  if (daysSinceProtein(problem, earlier, day) < RULES.lightProteinGap.value) return RULES.lightProteinGap.id;
  if (strong && daysSinceStrongProtein(problem, earlier, day) < RULES.strongProteinGap.value)
    return RULES.strongProteinGap.id;
  return chanceTooFirm(problem, earlier, day) > RULES.firmHold.value ? RULES.firmHold.id : undefined;
}

function tooNew(
  problem: PlanProblem,
  earlier: readonly Draft[],
  day: CalendarDay,
  treatment: Treatment,
): string | undefined {
  if (!treatment.isTested && day < addDays(problem.from, RULES.patchTest.value)) return RULES.patchTest.id;
  return newInWeekOf(earlier, day, treatment) ? RULES.newPerWeek.id : undefined;
}

function newInWeekOf(earlier: readonly Draft[], day: CalendarDay, treatment: Treatment): boolean {
  const others = new Set(
    earlier
      .filter((draft) => draft.treatment.isNew && daysBetween(draft.day, day) < 7)
      .map((draft) => draft.treatment.recipeId),
  );
  others.delete(treatment.recipeId);
  return others.size >= RULES.newPerWeek.value;
}
