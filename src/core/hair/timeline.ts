import { classifyVersion, doseOf, type PorosityGuess, type School } from '../classification';
import type { CalendarDay } from '../measures';
import { measurementsOf, type EventKind, type HeadEvent, type Reading, type SignalId } from '../readings';
import { type Larder, type RecipeVersion } from '../recipes';
import type { PatchTest } from '../safety';
import type { Session } from '../sessions';
import type { DatedMeasurement } from './hairState';
import { EVENT_EFFECTS, priorEffect, SIGNALS } from './signals';
import type { Prior } from './kalman';

/** One thing that can push the level: a recipe or a kind of event. */
export interface EffectSource {
  readonly key: string;
  readonly recipeId: string | null;
  readonly prior: Record<SignalId, Prior>;
}

export type Step =
  | {
      readonly day: CalendarDay;
      readonly order: number;
      readonly what: 'push';
      readonly effect: number;
      readonly dose: number;
    }
  | {
      readonly day: CalendarDay;
      readonly order: number;
      readonly what: 'measure';
      readonly measurement: DatedMeasurement;
    };

/** Order within one day: events, readings before, sessions, readings after; a dry reading comes last. */
const ORDER = { event: 0, before: 1, session: 2, after: 3, dry: 4 } as const;

/** The effect a recipe is expected to have before it has been tried, from its newest version. */
export function recipePrior(version: RecipeVersion, school: School, larder: Larder): Record<SignalId, Prior> {
  const verdict = classifyVersion(version, school, larder);
  const mean = priorEffect(verdict.ok ? verdict.value.push : { firm: 0, soft: 0, oil: 0 });
  return withSd((signal) => mean[signal]);
}

function withSd(meanOf: (signal: SignalId) => number): Record<SignalId, Prior> {
  return {
    firmness: { mean: meanOf('firmness'), sd: SIGNALS.firmness.effectSd },
    breakage: { mean: meanOf('breakage'), sd: SIGNALS.breakage.effectSd },
    porosity: { mean: meanOf('porosity'), sd: SIGNALS.porosity.effectSd },
  };
}

export function eventPrior(kind: EventKind): Record<SignalId, Prior> {
  return withSd((signal) => EVENT_EFFECTS[kind][signal]);
}

export interface HeadHistory {
  /** All versions of all recipes. */
  readonly recipes: readonly RecipeVersion[];
  /** What the recipes are made of. */
  readonly larder: Larder;
  readonly patchTests: readonly PatchTest[];
  readonly readings: readonly Reading[];
  readonly sessions: readonly Session[];
  readonly events: readonly HeadEvent[];
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
    ...newest.map((version) => ({
      key: `recipe:${version.recipeId}`,
      recipeId: version.recipeId,
      prior: recipePrior(version, school, larder),
    })),
    ...kinds.map((kind) => ({ key: `event:${kind}`, recipeId: null, prior: eventPrior(kind) })),
  ];
}

/** Everything that happened to one head up to a day, in the order in which it happened. */
export function timelineOf(
  history: HeadHistory,
  sources: readonly EffectSource[],
  upTo: CalendarDay,
  porosity: PorosityGuess,
): Step[] {
  const indexOf = new Map(sources.map((source, index) => [source.key, index]));
  const steps: Step[] = [];
  for (const event of history.events) {
    const effect = indexOf.get(`event:${event.what}`);
    if (effect !== undefined)
      steps.push({ day: event.day, order: ORDER.event, what: 'push', effect, dose: 1 });
  }
  for (const session of history.sessions) {
    const effect = indexOf.get(`recipe:${session.recipeId}`);
    const dose = doseOf(session.contactMinutes, session.warmth, porosity);
    if (effect !== undefined)
      steps.push({ day: session.day, order: ORDER.session, what: 'push', effect, dose });
  }
  for (const reading of history.readings) {
    for (const measurement of measurementsOf(reading)) {
      steps.push({
        day: reading.day,
        order: ORDER[reading.moment],
        what: 'measure',
        measurement: { ...measurement, day: reading.day, readingId: reading.id },
      });
    }
  }
  return steps
    .filter((step) => step.day <= upTo)
    .sort((a, b) => (a.day === b.day ? a.order - b.order : a.day < b.day ? -1 : 1));
}
