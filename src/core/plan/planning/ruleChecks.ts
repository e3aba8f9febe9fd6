import { addDays, daysBetween, sum, type CalendarDay } from '../../base/measures';
import { zoneProbabilities } from '../../hair/state';
import { isChild } from '../../recipe/safety';
import { PLAIN_WASH_ID, PLAN_RULES } from '../agenda';
import { gapAfter, weekShare } from './doses';
import { isFreeEvening } from './draft';
import { forecastOn } from './forecast';
import type { HeadProblem, Standing, Treatment } from './plan';

/** A treatment of a finished plan, with the treatment that it is and its day counted from the plan's first. */
export interface Put {
  readonly at: number;
  readonly assignment: Standing;
  readonly treatment: Treatment;
}

/** All that was done and is planned on one head, laid out over the days. */
export interface Course {
  readonly head: HeadProblem;
  readonly from: CalendarDay;
  readonly puts: readonly Put[];
  readonly mains: readonly Put[];
  readonly prePoos: readonly Put[];
  readonly followUps: readonly Put[];
}

/** Where a rule is broken, and by how much where that can be said. */
interface Hit {
  readonly at: number;
  readonly by?: number;
}
type Check = (course: Course) => readonly Hit[];

const WEEK = 7;
/** Hours of soaking from which on something has to be begun the evening before. */
const OVERNIGHT_HOURS = 4;

const hits = (puts: readonly Put[], isBroken: (put: Put) => boolean): Hit[] =>
  puts.filter(isBroken).map(({ at }) => ({ at }));

/** A day on which something was done or is planned, and how much of a whole dose it was. */
interface Done {
  readonly at: number;
  readonly share: number;
}

const doneBy = ({ at, treatment }: Put): Done => ({ at, share: treatment.doseShare });

/** Uses of this sort, past and planned; a planned one may be left out. */
function usesOf(
  { head, from, puts }: Course,
  past: (use: HeadProblem['past'][number]) => boolean,
  planned: (put: Put) => boolean,
  except?: Put,
): Done[] {
  return [
    ...head.past.filter(past).map(({ day, doseShare }) => ({ at: daysBetween(from, day), share: doseShare })),
    ...puts.filter((put) => put !== except && planned(put)).map(doneBy),
  ];
}

/**
 * Each of these that has another of its sort nearer than so many days.
 * @param wanted days after an earlier one, by how much of a dose it was
 */
function tooClose(
  course: Course,
  gap: number | null,
  these: readonly Put[],
  past: (use: HeadProblem['past'][number]) => boolean,
  planned: (put: Put) => boolean,
  wanted: (gap: number, share: number) => number = (whole) => whole,
): Hit[] {
  if (gap === null) return [];
  return these.flatMap((put) => {
    const missing = usesOf(course, past, planned, put).map(({ at, share }) =>
      at <= put.at
        ? wanted(gap, share) - (put.at - at)
        : wanted(gap, put.treatment.doseShare) - (at - put.at),
    );
    const by = Math.max(...missing, -Infinity);
    return by > 0 ? [{ at: put.at, by }] : [];
  });
}

/** Each of these that lies in seven days in a row that hold more than so many. @param all of their sort, past and planned */
function tooManyAWeek(most: number | null, these: readonly number[], all: readonly Done[]): Hit[] {
  if (most === null) return [];
  return these.flatMap((at) => {
    for (let first = at - WEEK + 1; first <= at; first++) {
      const within = all.filter((other) => other.at >= first && other.at < first + WEEK);
      if (sum(within.map(({ share }) => weekShare(share))) > most + 1e-9) return [{ at }];
    }
    return [];
  });
}

function firstUsesIn({ mains }: Course): Put[] {
  const first = new Map<string, Put>();
  for (const put of mains) {
    const known = first.get(put.treatment.recipeId);
    if (put.treatment.isNew && (!known || put.at < known.at)) first.set(put.treatment.recipeId, put);
  }
  return [...first.values()];
}

function beforeEvent({ head, from }: Course, days: number | null, puts: readonly Put[]): Hit[] {
  if (days === null) return [];
  const events = head.occasions
    .filter(({ what }) => what === 'look-good')
    .map((event) => daysBetween(from, event.from));
  return hits(puts, ({ at }) => events.some((event) => at <= event && event - at < days));
}

/** Firming although the hair may be too firm when the day begins. */
function onFirmHair(course: Course): Hit[] {
  const { head, from, mains, prePoos, followUps } = course;
  const { firmHold } = head.rules;
  if (firmHold === null) return [];
  return hits([...mains, ...prePoos], ({ at, treatment }) => {
    if (!treatment.firms) return false;
    const before = [...mains, ...prePoos, ...followUps]
      .filter((other) => other.at < at)
      .map((other) => ({ day: other.assignment.day, treatment: other.treatment }));
    const level = forecastOn(head, 'firmness', before, addDays(from, at));
    return zoneProbabilities(level, head.signals.firmness.comfortZone).above > firmHold + 1e-9;
  });
}

/** On what has to be begun the evening before: that evening is to come, and hers. */
function eveningMissing({ head, from, mains, prePoos }: Course): Hit[] {
  const isHers = (at: number) => at >= 0 && isFreeEvening(head, addDays(from, at));
  const soaks = ({ assignment, treatment }: Put) =>
    assignment.batchId === null && treatment.leadTasks.some(({ leadHours }) => leadHours > OVERNIGHT_HOURS);
  return [
    ...hits(mains, (put) => soaks(put) && !isHers(put.at - 1)),
    ...hits(prePoos, ({ at, assignment }) => assignment.overnight && !isHers(at)),
  ];
}

/** The day of the wash that a pre-poo goes before. */
const washAt = ({ at, assignment }: Put) => (assignment.overnight ? at + 1 : at);

function within(course: Course, what: 'no-wash' | 'style', puts: readonly Put[]): Hit[] {
  // On the day a style goes in and on the day it comes out she may wash.
  const margin = what === 'style' ? 1 : 0;
  return hits(puts, ({ at }) =>
    course.head.occasions.some(
      (span) =>
        span.what === what &&
        daysBetween(course.from, span.from) + margin <= at &&
        at <= daysBetween(course.from, span.to) - margin,
    ),
  );
}

/**
 * The hard rules of one head, one by one, each over the whole course of its days. Written apart from what the planners go by:
 * they ask treatment by treatment what may be put where, this asks rule by rule whether it was kept.
 */
export const RULE_CHECKS: Readonly<Record<string, Check>> = {
  'not-a-mask': ({ mains, followUps }) => [
    ...hits(mains, ({ treatment }) => !treatment.uses.includes('mask')),
    ...hits(
      followUps,
      ({ treatment: { uses, moistens, firms } }) => !uses.includes('mask') || !moistens || firms,
    ),
  ],
  'not-a-pre-poo': ({ prePoos }) => hits(prePoos, ({ treatment }) => !treatment.uses.includes('pre-poo')),
  'no-wash': (course) => within(course, 'no-wash', course.mains),
  style: (course) => within(course, 'style', [...course.mains, ...course.prePoos]),
  [PLAN_RULES.washGap.id]: (course) => [
    ...tooClose(
      course,
      course.head.rules.washGap,
      course.mains,
      ({ use }) => use === 'mask',
      ({ assignment }) => assignment.slot === 'main',
      gapAfter,
    ),
    // Two on one day are two too near, whatever the rule says.
    ...hits(course.mains, (put) => course.mains.some((other) => other !== put && other.at === put.at)),
  ],
  [PLAN_RULES.lightProteinGap.id]: (course) =>
    tooClose(
      course,
      course.head.rules.lightProteinGap,
      [...course.mains, ...course.prePoos].filter(({ treatment }) => treatment.firms),
      ({ firms }) => firms,
      ({ treatment }) => treatment.firms,
      gapAfter,
    ),
  [PLAN_RULES.strongProteinGap.id]: (course) => [
    ...tooClose(
      course,
      course.head.rules.strongProteinGap,
      course.mains.filter(({ treatment }) => treatment.strong),
      ({ strong }) => strong,
      ({ treatment }) => treatment.strong,
    ),
    ...hits(course.prePoos, ({ treatment }) => treatment.strong),
  ],
  'no-strong-protein': ({ head: { head }, mains }) =>
    isChild(head) || head.proteinSensitive ? hits(mains, ({ treatment }) => treatment.strong) : [],
  [PLAN_RULES.patchTest.id]: ({ puts, from }) =>
    puts.flatMap(({ at, treatment }) => {
      const by = daysBetween(from, treatment.allowedFrom) - at;
      return by > 0 ? [{ at, by }] : [];
    }),
  [PLAN_RULES.firmHold.id]: onFirmHair,
  [PLAN_RULES.mainsPerWeek.id]: (course) =>
    tooManyAWeek(
      course.head.rules.mainsPerWeek,
      course.mains.map(({ at }) => at),
      usesOf(
        course,
        ({ use }) => use === 'mask',
        ({ assignment }) => assignment.slot === 'main',
      ),
    ),
  [PLAN_RULES.newPerWeek.id]: (course) => {
    const first = firstUsesIn(course).map(({ at }) => at);
    const before = course.head.firstUses.map((day) => daysBetween(course.from, day));
    const each = [...before, ...first].map((at) => ({ at, share: 1 }));
    return tooManyAWeek(course.head.rules.newPerWeek, first, each);
  },
  'moisture-after-protein': ({ head, mains, followUps }) =>
    hits(mains, ({ at, treatment: { firms, strong } }) => {
      const isWanted = strong || (firms && head.choices.afterProtein === 'always');
      return isWanted && !followUps.some((other) => other.at === at && other.treatment.moistens);
    }),
  [PLAN_RULES.newBeforeEvent.id]: (course) =>
    beforeEvent(
      course,
      course.head.rules.newBeforeEvent,
      course.mains.filter(({ treatment }) => treatment.isNew),
    ),
  [PLAN_RULES.strongBeforeEvent.id]: (course) =>
    beforeEvent(
      course,
      course.head.rules.strongBeforeEvent,
      course.mains.filter(({ treatment }) => treatment.strong),
    ),
  'evening-before': eveningMissing,
  'pre-poo-without-a-wash': ({ prePoos, mains }) =>
    hits(prePoos, (put) => !mains.some(({ at }) => at === washAt(put))),
  'two-pre-poos': ({ prePoos }) =>
    hits(prePoos, (put) => prePoos.some((other) => other !== put && washAt(other) === washAt(put))),
  'oil-only': ({ head, prePoos }) =>
    head.choices.prePoo === 'oil-only' ? hits(prePoos, ({ treatment }) => treatment.firms) : [],
  'overnight-only-oil': ({ prePoos }) =>
    hits(prePoos, ({ assignment, treatment }) => assignment.overnight && treatment.kind !== 'oil'),
  'follow-up-without-protein': ({ mains, followUps }) =>
    hits(followUps, ({ at }) => !mains.some((main) => main.at === at && main.treatment.firms)),
  locked: ({ head, from, puts }) =>
    head.decisions.flatMap(({ day, slot, what, recipeId, overnight }) => {
      const stands = puts.some(
        ({ assignment }) =>
          assignment.day === day &&
          assignment.slot === slot &&
          (recipeId === null || assignment.recipeId === recipeId) &&
          (overnight !== true || assignment.overnight),
      );
      return stands === (what === 'avoid') ? [{ at: daysBetween(from, day) }] : [];
    }),
  /** While a trial runs, only its washes, in their order, with their days between. */
  trial: ({ head: { trial }, from, mains }) => {
    if (!trial) return [];
    const last = daysBetween(from, trial.endsBy);
    const washes = mains.filter(({ at }) => at <= last).sort((a, b) => a.at - b.at);
    let earliest = daysBetween(from, trial.from);
    return washes.slice(0, trial.recipeIds.length).flatMap(({ at, treatment }, round) => {
      const isRight = treatment.recipeId === (trial.recipeIds[round] ?? PLAIN_WASH_ID) && at >= earliest;
      earliest = at + trial.washoutDays;
      return isRight ? [] : [{ at }];
    });
  },
};
