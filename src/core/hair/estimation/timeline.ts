import { addDays, calendarDaySchema, daysBetween, mean, sum, type CalendarDay } from '../../base/measures';
import { classifyVersion } from '../../recipe/classification';
import type { Larder } from '../../recipe/larder';
import type {
  EventKind,
  Head,
  HeadEvent,
  Reading,
  RecipeVersion,
  School,
  SignalId,
} from '../../records/shapes';
import { measurementsOf, type HairFacts } from '../checks';
import type { HeadHistory } from '../history';
import {
  EVENT_EFFECTS,
  EVENT_SPREAD,
  hairMassGrams,
  meanLengthCm,
  oldHairShare,
  priorEffect,
  sessionDose,
  SIGNALS,
  type DatedMeasurement,
} from '../state';
import type { Prior } from './kalman';

/** One thing that can push the level: a recipe or a kind of event. */
export type EffectSource = { readonly key: string; readonly prior: Record<SignalId, Prior> } & (
  | { readonly what: 'recipe'; readonly recipeId: string; readonly isOil: boolean }
  | { readonly what: 'event'; readonly event: EventKind }
);

export type Step =
  | {
      readonly day: CalendarDay;
      readonly order: number;
      readonly what: 'push';
      readonly effect: number;
      readonly dose: number;
      /** Of a treatment that is told from memory this is a part, on one of the days on which it may have been. */
      readonly share: number;
      readonly isUnsure: boolean;
    }
  | {
      readonly day: CalendarDay;
      readonly order: number;
      readonly what: 'measure';
      readonly measurement: DatedMeasurement;
    };

/**
 * Order within one day: events, readings before, sessions, readings after; a dry reading comes last, for it is of the hair that was
 * washed that day. One that was written down on the day before the wash was is of that morning, and stands before it.
 */
const ORDER = { event: 0, before: 1, session: 2, after: 3, dry: 4 } as const;

/** What a recipe is expected to do before it has been tried, from its newest version. */
function recipeSource(version: RecipeVersion, school: School, larder: Larder): EffectSource {
  const verdict = classifyVersion(version, school, larder);
  const mean = priorEffect(verdict.ok ? verdict.value.push : { firm: 0, soft: 0, oil: 0 });
  return {
    key: `recipe:${version.recipeId}`,
    what: 'recipe',
    recipeId: version.recipeId,
    isOil: verdict.ok && verdict.value.kind === 'oil',
    prior: withSd((signal) => mean[signal]),
  };
}

function contentOf({ id: _, recordedAt: __, corrects: ___, ...content }: Reading): string {
  return JSON.stringify(content);
}

/** A reading that was written down twice, word for word, is one reading. */
export function withoutDoubles(readings: readonly Reading[]): Reading[] {
  const seen = new Map<string, Reading[]>();
  return readings.filter((reading) => {
    const when = `${reading.day} ${reading.moment}`;
    const others = seen.get(when) ?? [];
    if (others.some((other) => contentOf(other) === contentOf(reading))) return false;
    seen.set(when, [...others, reading]);
    return true;
  });
}

/** @param spread how much it differs between heads, as a share of the effect */
function withSd(meanOf: (signal: SignalId) => number, spread = 0): Record<SignalId, Prior> {
  const prior = (signal: SignalId) => {
    const expected = meanOf(signal);
    return { mean: expected, sd: Math.hypot(SIGNALS[signal].effectSd, spread * expected) };
  };
  return { firmness: prior('firmness'), breakage: prior('breakage'), porosity: prior('porosity') };
}

function eventPrior(kind: EventKind): Record<SignalId, Prior> {
  return withSd((signal) => EVENT_EFFECTS[kind][signal], EVENT_SPREAD);
}

/** What can push this head's level: every recipe it may get and every kind of event it has had. */
export function effectSources(
  newest: readonly RecipeVersion[],
  events: readonly HeadEvent[],
  school: School,
  larder: Larder,
): EffectSource[] {
  const kinds = [...new Set(events.map((event) => event.what))].sort();
  return [
    ...newest.map((version) => recipeSource(version, school, larder)),
    ...kinds.map((kind) => ({
      key: `event:${kind}`,
      what: 'event' as const,
      event: kind,
      prior: eventPrior(kind),
    })),
  ];
}

/** A day that is told from memory is off by about a third of the time since, 1 sd, and by some days at least (working assumption). */
const ABOUT = { share: 0.3, leastDays: 2 } as const;

/** The day of a treatment; of one that is told from memory, days around it as far apart as memory errs. */
function daysItMayHaveBeen({ day, about, recordedAt }: HeadHistory['sessions'][number]): CalendarDay[] {
  if (!about) return [day];
  const told = calendarDaySchema.parse(recordedAt.slice(0, 10));
  const off = Math.max(ABOUT.leastDays, Math.round(ABOUT.share * daysBetween(day, told)));
  const latest = told > day ? told : day;
  return [-off, 0, off].map((away) => addDays(day, away)).map((each) => (each > latest ? latest : each));
}

function isOfTheMorning({ day, moment, recordedAt }: Reading, sessions: HeadHistory['sessions']): boolean {
  if (moment !== 'dry') return false;
  const writtenOn = recordedAt.slice(0, 10);
  // What was corrected or told later says nothing of the hour.
  return sessions.some(
    (session) =>
      session.day === day &&
      session.corrects === undefined &&
      session.recordedAt > recordedAt &&
      session.recordedAt.slice(0, 10) === writtenOn,
  );
}

/** How long the hair was on a day, cm: the mean of the last lengths that were measured by then, else what is said of the head. */
export function lengthOn(history: HeadHistory, head: Head): (day: CalendarDay) => number {
  const measured = history.readings
    .filter(({ lengths }) => lengths.length > 0)
    .map(({ day, lengths }) => ({ day, cm: mean(lengths.map(({ cm }) => cm)) }))
    .sort((a, b) => (a.day < b.day ? -1 : 1));
  const told = meanLengthCm(head);
  return (day) => measured.findLast((each) => each.day <= day)?.cm ?? told;
}

/** Of the hair of a day: how many of these events it still has in it. */
export function eventsInHair(
  kind: EventKind,
  history: HeadHistory,
  lengthCm: (day: CalendarDay) => number,
): (day: CalendarDay) => number {
  const days = history.events.filter(({ what }) => what === kind).map(({ day }) => day);
  return (day) => {
    const cm = lengthCm(day);
    return sum(days.map((since) => (since > day ? 0 : oldHairShare(cm, daysBetween(since, day)))));
  };
}

/** Everything that happened to one head up to a day, in the order in which it happened. */
export function timelineOf(
  history: HeadHistory,
  sources: readonly EffectSource[],
  upTo: CalendarDay,
  head: Head,
): Step[] {
  const indexOf = new Map(sources.map((source, index) => [source.key, index]));
  const isOil = new Map(
    sources.flatMap((source) => (source.what === 'recipe' ? [[source.recipeId, source.isOil] as const] : [])),
  );
  const steps: Step[] = [];
  for (const event of history.events) {
    const effect = indexOf.get(`event:${event.what}`);
    if (effect !== undefined)
      steps.push({
        day: event.day,
        order: ORDER.event,
        what: 'push',
        effect,
        dose: 1,
        share: 1,
        isUnsure: false,
      });
  }
  for (const session of history.sessions) {
    const effect = indexOf.get(`recipe:${session.recipeId}`);
    const dose = sessionDose(session, head, isOil.get(session.recipeId) ? 'oil' : 'mask');
    if (effect === undefined) continue;
    const days = daysItMayHaveBeen(session);
    for (const day of days)
      steps.push({
        day,
        order: ORDER.session,
        what: 'push',
        effect,
        dose: dose / days.length,
        share: 1 / days.length,
        isUnsure: session.about === true,
      });
  }
  const hair: HairFacts = { hairGrams: hairMassGrams(head) };
  for (const reading of withoutDoubles(history.readings)) {
    const order = isOfTheMorning(reading, history.sessions) ? ORDER.before : ORDER[reading.moment];
    for (const measurement of measurementsOf(reading, hair)) {
      steps.push({
        day: reading.day,
        order,
        what: 'measure',
        measurement: { ...measurement, day: reading.day, readingId: reading.id, off: false },
      });
    }
  }
  return steps
    .filter((step) => step.day <= upTo)
    .sort((a, b) => (a.day === b.day ? a.order - b.order : a.day < b.day ? -1 : 1));
}
