import { addDays, daysBetween, sum, type CalendarDay } from '../../base/measures';
import { isSmall } from '../agenda';
import { treatmentIn } from './doses';
import { freeMinutesOn, minutesOf, sharedMinutesOn, waitingMinutesOf, type PlanDraft } from './draft';
import type { Breach, HeadProblem, Plan, PlanProblem, Standing, Treatment } from './plan';
import { RULE_CHECKS, type Course, type Put } from './ruleChecks';

/**
 * Holds finished plans of the heads that share one person's hours against the hard rules. Written apart from any planner,
 * from the plans' treatments alone, so that it can catch a planner's mistake.
 */
export function checkPlan(problem: PlanProblem, plans: readonly Pick<Plan, 'headId' | 'days'>[]): Breach[] {
  return checkAssignments(
    problem,
    new Map(plans.map(({ headId, days }) => [headId, days.flatMap(({ assignments }) => assignments)])),
  );
}

/** @param beatsOf by head id */
export function checkAssignments(
  problem: PlanProblem,
  assignmentsOf: ReadonlyMap<string, readonly Standing[]>,
): Breach[] {
  const courses = problem.heads.map((head) =>
    courseOf(problem, head, assignmentsOf.get(head.head.headId) ?? []),
  );
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

function courseOf({ from }: PlanProblem, head: HeadProblem, assignments: readonly Standing[]): Laid {
  const puts = assignments.flatMap((assignment): Put[] => {
    const treatment = treatmentIn(head, assignment);
    return treatment ? [{ at: daysBetween(from, assignment.day), assignment, treatment }] : [];
  });
  const inSlot = (slot: Standing['slot']) => puts.filter(({ assignment }) => assignment.slot === slot);
  return {
    course: {
      head,
      from,
      puts,
      mains: inSlot('main'),
      prePoos: inSlot('pre-poo'),
      followUps: inSlot('follow-up'),
    },
    unknown: assignments
      .filter((assignment) => treatmentIn(head, assignment) === undefined)
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
      .filter((put) => put.at === at && !isSmall(put.assignment))
      .map(({ assignment, treatment }) =>
        of(head, { ...assignment, treatment } satisfies Omit<PlanDraft, 'day'>),
      ),
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
    for (const { at: on, assignment, treatment } of puts) {
      const key = `${assignment.slot}/${assignment.recipeId}`;
      if (on !== at || assignment.batchId !== null || own.has(key)) continue;
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
  const assignments = courses.flatMap(({ puts }) => puts.map(({ assignment }) => assignment));
  return [...jars].flatMap(([batchId, { portions, useBy, recipeId }]): Breach[] => {
    const uses = assignments.filter((assignment) => assignment.batchId === batchId);
    const isRight =
      uses.length <= portions && uses.every((use) => use.day <= useBy && use.recipeId === recipeId);
    return isRight || !first ? [] : [{ rule: 'batch', headId: first.head.headId, day: from }];
  });
}
