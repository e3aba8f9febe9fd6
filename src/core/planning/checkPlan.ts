import { daysBetween, sum, weekdayOf, type CalendarDay } from '../measures';
import type { Beat, Plan, PlanProblem } from './plan';
import { RULES } from './rules';

/** A hard rule that a plan breaks. */
export interface Breach {
  readonly rule: string;
  readonly day: CalendarDay;
}

/**
 * Holds a finished plan against the hard rules. Written apart from any planner, from the plan's beats alone, so that
 * it can catch a planner's mistake.
 */
export function checkPlan(problem: PlanProblem, plan: Plan): Breach[] {
  const breaches: Breach[] = [];
  const breach = (rule: string, day: CalendarDay) => breaches.push({ rule, day });
  const treatment = (recipeId: string) => problem.treatments.find((known) => known.recipeId === recipeId);
  const beats = plan.days.flatMap((day) => day.beats);
  const mains = beats.filter((beat) => beat.slot === 'main');
  const before = (beat: Beat, is: (recipeId: string) => boolean) =>
    [...problem.past, ...mains.filter((other) => other !== beat)]
      .filter((use) => use.day <= beat.day && is(use.recipeId))
      .map((use) => daysBetween(use.day, beat.day));
  const tooSoon = (beat: Beat, is: (recipeId: string) => boolean, gap: number) =>
    before(beat, is).some((days) => days < gap);

  for (const beat of mains) {
    const own = treatment(beat.recipeId);
    if (!own || own.use !== 'mask') breach('not-a-mask', beat.day);
    if (!own) continue;
    if (tooSoon(beat, (id) => treatment(id)?.use === 'mask', RULES.washGap.value))
      breach(RULES.washGap.id, beat.day);
    if (own.firms && tooSoon(beat, (id) => treatment(id)?.firms ?? false, RULES.lightProteinGap.value)) {
      breach(RULES.lightProteinGap.id, beat.day);
    }
    if (own.strong && tooSoon(beat, (id) => treatment(id)?.strong ?? false, RULES.strongProteinGap.value)) {
      breach(RULES.strongProteinGap.id, beat.day);
    }
    if (own.strong && (problem.head.child || problem.head.proteinSensitive))
      breach('no-strong-protein', beat.day);
    if (own.isNew && daysBetween(problem.from, beat.day) < RULES.patchTest.value)
      breach(RULES.patchTest.id, beat.day);
    const followed = beats.some(
      (other) => other.day === beat.day && other.slot === 'follow-up' && treatment(other.recipeId)?.moistens,
    );
    if (own.strong && !followed) breach('moisture-after-protein', beat.day);
  }
  for (const day of plan.days) {
    const minutes = sum(day.beats.filter((beat) => beat.slot !== 'refresh').map((beat) => beat.minutes));
    if (minutes > (problem.head.freeMinutes[weekdayOf(day.day)] ?? 0)) breach('free-time', day.day);
    const week = mains.filter(
      (beat) =>
        Math.floor(daysBetween(plan.from, beat.day) / 7) === Math.floor(daysBetween(plan.from, day.day) / 7),
    );
    if (week.length > RULES.mainsPerWeek.value) breach(RULES.mainsPerWeek.id, day.day);
    const newOnes = new Set(week.map((beat) => beat.recipeId).filter((id) => treatment(id)?.isNew));
    if (newOnes.size > RULES.newPerWeek.value) breach(RULES.newPerWeek.id, day.day);
  }
  return breaches;
}
