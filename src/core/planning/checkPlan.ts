import { daysBetween, sum, weekdayOf, type CalendarDay } from '../measures';
import type { Beat, PastUse, Plan, PlanProblem, Treatment } from './plan';
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
  const beats = plan.days.flatMap((day) => day.beats);
  const mains = beats.filter((beat) => beat.slot === 'main');
  return [
    ...mains.flatMap((beat) => brokenByBeat(problem, beats, beat).map((rule) => ({ rule, day: beat.day }))),
    ...plan.days.flatMap(({ day, beats: own }) =>
      fitsDay(problem, day, own) ? [] : [{ rule: 'free-time', day }],
    ),
    ...brokenByWeek(problem, plan, mains),
  ];
}

function brokenByBeat(problem: PlanProblem, beats: readonly Beat[], beat: Beat): string[] {
  const treatment = treatmentOf(problem, beat.recipeId);
  if (!treatment || treatment.use !== 'mask') return ['not-a-mask'];
  const { firms, strong, isNew, isTested } = treatment;
  const { head } = problem;
  const planned = beats
    .filter((other) => other !== beat && other.slot === 'main')
    .flatMap(({ day, recipeId }) => {
      const used = treatmentOf(problem, recipeId);
      return used ? [{ ...used, day }] : [];
    });
  const others: readonly PastUse[] = [...problem.past, ...planned];
  const tooSoon = (is: (use: PastUse) => boolean, gap: number) =>
    others.some((use) => {
      const days = daysBetween(use.day, beat.day);
      return is(use) && days >= 0 && days < gap;
    });
  const followed = beats.some(
    (other) =>
      other.day === beat.day &&
      other.slot === 'follow-up' &&
      treatmentOf(problem, other.recipeId)?.moistens === true,
  );
  const broken: readonly (readonly [rule: string, isBroken: boolean])[] = [
    [RULES.washGap.id, tooSoon(({ use }) => use === 'mask', RULES.washGap.value)],
    [RULES.lightProteinGap.id, firms && tooSoon((other) => other.firms, RULES.lightProteinGap.value)],
    [RULES.strongProteinGap.id, strong && tooSoon((other) => other.strong, RULES.strongProteinGap.value)],
    ['no-strong-protein', strong && (head.child || head.proteinSensitive)],
    [RULES.patchTest.id, isNew && !isTested && daysBetween(problem.from, beat.day) < RULES.patchTest.value],
    ['moisture-after-protein', strong && !followed],
  ];
  return broken.filter(([, isBroken]) => isBroken).map(([rule]) => rule);
}

function treatmentOf(problem: PlanProblem, recipeId: string): Treatment | undefined {
  return problem.treatments.find((known) => known.recipeId === recipeId);
}

/** Refreshes take three minutes and ask for no free day; a pre-poo put on the evening before asks for that evening. */
function fitsDay(problem: PlanProblem, day: CalendarDay, beats: readonly Beat[]): boolean {
  const minutes = sum(beats.filter((beat) => beat.slot !== 'refresh').map((beat) => beat.minutes));
  return minutes <= (problem.head.freeMinutes[weekdayOf(day)] ?? 0);
}

function brokenByWeek(problem: PlanProblem, plan: Plan, mains: readonly Beat[]): Breach[] {
  const weekOf = (day: CalendarDay) => Math.floor(daysBetween(plan.from, day) / 7);
  return Array.from({ length: plan.weeks }, (_, week) =>
    mains.filter((beat) => weekOf(beat.day) === week),
  ).flatMap((inWeek) => {
    const day = inWeek[0]?.day ?? plan.from;
    const newOnes = new Set(
      inWeek.map((beat) => beat.recipeId).filter((id) => treatmentOf(problem, id)?.isNew === true),
    );
    return [
      ...(inWeek.length > RULES.mainsPerWeek.value ? [{ rule: RULES.mainsPerWeek.id, day }] : []),
      ...(newOnes.size > RULES.newPerWeek.value ? [{ rule: RULES.newPerWeek.id, day }] : []),
    ];
  });
}
