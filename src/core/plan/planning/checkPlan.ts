import { addDays, daysBetween, sum, type CalendarDay } from '../../base/measures';
import { isSmall } from '../agenda';
import { treatmentIn } from './doses';
import { freeMinutesOn, minutesOf, sharedMinutesOn, waitingMinutesOf, type PlanDraft } from './draft';
import type { Breach, HeadProblem, Plan, PlanProblem, Standing, Treatment } from './plan';
import { RULE_CHECKS, type Course, type Put } from './ruleChecks';

/**
 * Holds finished plans of the heads that share one person's hours against the hard rules. Written apart from any planner,
 * from the plans' beats alone, so that it can catch a planner's mistake.
 */
export function checkPlan(problem: PlanProblem, plans: readonly Pick<Plan, 'headId' | 'days'>[]): Breach[] {
  return checkBeats(
    problem,
    new Map(plans.map(({ headId, days }) => [headId, days.flatMap(({ beats }) => beats)])),
  );
}

/** @param beatsOf by head id */
export function checkBeats(
  problem: PlanProblem,
  beatsOf: ReadonlyMap<string, readonly Standing[]>,
): Breach[] {
  const courses = problem.heads.map((head) => courseOf(problem, head, beatsOf.get(head.head.headId) ?? []));
  return [
    ...courses.flatMap(({ course, unknown }) => [...unknown, ...headBreaches(course)]),
    ...hourBreaches(
      problem,
      courses.map(({ course }) => course),
    ),
    ...jarBreaches(
      problem,
      courses.map(({ course }) => course),
    ),
  ];
}

interface Laid {
  readonly course: Course;
  readonly unknown: readonly Breach[];
}

function courseOf({ from }: PlanProblem, head: HeadProblem, beats: readonly Standing[]): Laid {
  const puts = beats.flatMap((beat): Put[] => {
    const treatment = treatmentIn(head, beat);
    return treatment ? [{ at: daysBetween(from, beat.day), beat, treatment }] : [];
  });
  const inSlot = (slot: Standing['slot']) => puts.filter(({ beat }) => beat.slot === slot);
  return {
    course: {
      head,
      from,
      puts,
      mains: inSlot('main'),
      prePoos: inSlot('pre-poo'),
      followUps: inSlot('follow-up'),
    },
    unknown: beats
      .filter((beat) => treatmentIn(head, beat) === undefined)
      .map(({ day }) => ({ rule: 'unknown-recipe', headId: head.head.headId, day })),
  };
}

function headBreaches(course: Course): Breach[] {
  const { headId } = course.head.head;
  return Object.entries(RULE_CHECKS).flatMap(([rule, check]) =>
    check(course).map(({ at, by }): Breach => ({
      rule,
      headId,
      day: addDays(course.from, at),
      ...(by === undefined ? {} : { by }),
    })),
  );
}

/** Minutes of what stands on one day of one head. */
function minutesOn({ head, puts }: Course, at: number, of: typeof minutesOf): number {
  return sum(
    puts
      .filter((put) => put.at === at && !isSmall(put.beat))
      .map(({ beat, treatment }) => of(head, { ...beat, treatment } satisfies Omit<PlanDraft, 'day'>)),
  );
}

/** A head has its minutes; and several heads have one pair of hands: they wait side by side, and a recipe for two is made once. */
function hourBreaches(problem: PlanProblem, courses: readonly Course[]): Breach[] {
  const days = [...new Set(courses.flatMap(({ puts }) => puts.map(({ at }) => at)))];
  return days.flatMap((at): Breach[] => {
    const day = addDays(problem.from, at);
    const own = courses.flatMap((course) => {
      const over = minutesOn(course, at, minutesOf) - freeMinutesOn(course.head, day);
      return over > 0 ? [{ rule: 'free-time', headId: course.head.head.headId, day, by: over }] : [];
    });
    return [...own, ...sharedBreach(problem, courses, at, day)];
  });
}

function sharedBreach(
  problem: PlanProblem,
  courses: readonly Course[],
  at: number,
  day: CalendarDay,
): Breach[] {
  const [first] = problem.heads;
  if (!first || problem.heads.length < 2) return [];
  const all = courses.map((course) => minutesOn(course, at, minutesOf));
  const waits = courses.map((course) => minutesOn(course, at, waitingMinutesOf));
  const over =
    sum(all) - sum(waits) + Math.max(0, ...waits) - madeTwice(courses, at) - sharedMinutesOn(problem, day);
  return over > 0 ? [{ rule: 'free-time', headId: first.head.headId, day, by: over }] : [];
}

/** Minutes of making that one bowl for several heads saves. */
function madeTwice(courses: readonly Course[], at: number): number {
  const bowls = new Map<string, Treatment[]>();
  for (const { puts } of courses) {
    const own = new Set<string>();
    for (const { at: on, beat, treatment } of puts) {
      const key = `${beat.slot}/${beat.recipeId}`;
      if (on !== at || beat.batchId !== null || own.has(key)) continue;
      own.add(key);
      bowls.set(key, [...(bowls.get(key) ?? []), treatment]);
    }
  }
  return sum([...bowls.values()].flatMap(([, ...others]) => others.map(({ makeMinutes }) => makeMinutes)));
}

/** The shelf is everybody's: a portion goes on one head, while it is good, and is of its own recipe. */
function jarBreaches({ heads, from }: PlanProblem, courses: readonly Course[]): Breach[] {
  const [first] = heads;
  const jars = new Map(
    heads.flatMap(({ treatments }) =>
      treatments.flatMap(({ batches, recipeId }) =>
        batches.map((batch) => [batch.batchId, { ...batch, recipeId }] as const),
      ),
    ),
  );
  const beats = courses.flatMap(({ puts }) => puts.map(({ beat }) => beat));
  return [...jars].flatMap(([batchId, { portions, useBy, recipeId }]): Breach[] => {
    const uses = beats.filter((beat) => beat.batchId === batchId);
    const isRight =
      uses.length <= portions && uses.every((use) => use.day <= useBy && use.recipeId === recipeId);
    return isRight || !first ? [] : [{ rule: 'batch', headId: first.head.headId, day: from }];
  });
}
