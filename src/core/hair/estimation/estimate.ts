import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import { newestVersions } from '../../recipe/larder';
import { SIGNAL_IDS, type Head, type SignalId } from '../../records/shapes';
import { referralFrom, stylesWorn, TALLY } from '../checks';
import type { HeadHistory } from '../history';
import {
  EVENT_STAYS,
  comfortZoneOf,
  zoneProbabilities,
  SIGNALS,
  startingLevel,
  type DatedMeasurement,
  type Estimate,
  type HairState,
  type SignalState,
} from '../state';
import { entangledPairs, type Uses } from './entangled';
import type { Lasting, LevelStep } from './filterRun';
import { forecastsHeld } from './forecastsHeld';
import { estimateLevel } from './levelEstimate';
import { needOf } from './need';
import { nextReadings } from './nextReading';
import {
  effectSources,
  eventsInHair,
  lengthOn,
  timelineOf,
  withoutDoubles,
  type EffectSource,
  type Step,
} from './timeline';

/** Days ahead that the fan is drawn and planned for. */
export const HORIZON_DAYS = 84;
/** History before this many days has faded from the level; its effects are kept by starting there all the same. */
const LONGEST_HISTORY_DAYS = 3650;

/**
 * The state of one head on a day: three signals, each by a Kalman filter that learns the level and every treatment's effect
 * together, averaged over half-lives and errors of measurement by their marginal likelihood, with the past smoothed.
 * Records of other heads in `history` must be left out by the caller.
 */
export function estimateHair(head: Head, history: HeadHistory, today: CalendarDay): HairState {
  const newest = newestVersions(history.recipes);
  const used = new Set(history.sessions.map((session) => session.recipeId));
  // Also one that has been taken out since: what it did to the hair, it did.
  const sources = effectSources(
    [...used].flatMap((recipeId) => history.larder.lastVersion(recipeId) ?? []),
    history.events,
    head.school,
    history.larder,
  );
  // A recipe that was never used is as it was expected: it needs no place in the filter.
  const unused = effectSources(
    newest.filter(({ recipeId }) => !used.has(recipeId)),
    [],
    head.school,
    history.larder,
  );
  const steps = timelineOf(history, sources, today, head);
  const forecasts = forecastsHeld(
    history.forecasts.filter(({ day }) => day <= today),
    history.readings,
    head,
  );
  const signals = Object.fromEntries(
    SIGNAL_IDS.map((signal) => [
      signal,
      widened(
        withUnused(estimateSignal(signal, head, history, steps, sources, today), unused),
        forecasts.widenedBy,
      ),
    ]),
  ) as Record<SignalId, SignalState>;
  return {
    headId: head.headId,
    asOf: today,
    signals,
    need: needOf(
      signals,
      head,
      history,
      referralFrom(history.readings, today, stylesWorn(history.occasions, history.events)),
    ),
    nextReadings: nextReadings(signals),
    forecasts,
    readingCount: withoutDoubles(history.readings).filter((reading) => reading.day <= today).length,
  };
}

/** The level now and ahead, so many times as uncertain: too few of her forecasts held. */
function widened(state: SignalState, by: number): SignalState {
  if (by === 1) return state;
  const wide = <Known extends Estimate>(estimate: Known): Known => ({ ...estimate, sd: by * estimate.sd });
  return {
    ...wide(state),
    probabilities: zoneProbabilities(wide(state), state.comfortZone),
    ahead: state.ahead.map(wide),
  };
}

function withUnused(state: SignalState, unused: readonly EffectSource[]): SignalState {
  const expected = unused.flatMap((source) => {
    const prior = source.prior[state.signal];
    return source.what === 'recipe'
      ? [{ recipeId: source.recipeId, ...prior, expected: prior, uses: 0 }]
      : [];
  });
  return { ...state, responses: [...state.responses, ...expected] };
}

function estimateSignal(
  signal: SignalId,
  head: Head,
  history: HeadHistory,
  allSteps: readonly Step[],
  sources: readonly EffectSource[],
  today: CalendarDay,
): SignalState {
  const steps = allSteps.filter((step) => step.what === 'push' || step.measurement.signal === signal);
  const firstDay = firstDayOf(steps, today);
  const lastDay = daysBetween(firstDay, today);
  const model = SIGNALS[signal];
  const level = startingLevel(head)[signal];
  const estimate = estimateLevel(
    {
      level: { mean: level, sd: model.startSd },
      // Without a cause nothing moves: it rests where it is thought to be.
      rest: { mean: level, sd: model.restSd },
      effects: sources.map((source) => source.prior[signal]),
      dailySd: model.dailySd,
      restDailySd: model.restDailySd,
      lasting: lastingEffects(head, history, sources, firstDay, lastDay + HORIZON_DAYS),
      halfLifeGridDays: model.halfLifeGridDays,
      overdispersion: TALLY.overdispersion,
    },
    steps.map((step): LevelStep => ({ ...step, day: Math.max(0, daysBetween(firstDay, step.day)) })),
    lastDay,
    HORIZON_DAYS,
  );
  const uses = usesOf(sources.length, steps, firstDay);
  const learned = sources.map((source, index) => ({
    source,
    learned: {
      mean: estimate.effects[index]?.mean ?? 0,
      sd: estimate.effects[index]?.sd ?? 0,
      uses: uses[index]!.count,
      expected: source.prior[signal],
    },
  }));
  const comfortZone = comfortZoneOf(head, signal);
  return {
    signal,
    comfortZone,
    ...estimate.now,
    probabilities: zoneProbabilities(estimate.now, comfortZone),
    path: estimate.past.map(({ day, ...level }) => ({ day: addDays(firstDay, day), ...level })),
    ahead: estimate.ahead.map((ahead, index) => ({ day: addDays(today, index + 1), ...ahead })),
    measurements: steps.flatMap((step, index) =>
      step.what === 'measure' ? [shown(step.measurement, estimate.off.has(index))] : [],
    ),
    responses: learned.flatMap(({ source, learned: response }) =>
      source.what === 'recipe' ? [{ recipeId: source.recipeId, ...response }] : [],
    ),
    eventResponses: learned.flatMap(({ source, learned: response }) =>
      source.what === 'event'
        ? [{ event: source.event, stays: EVENT_STAYS[source.event] ?? 0, ...response }]
        : [],
    ),
    entangled: entangledPairs(sources, estimate, model.effectSd, uses),
    retentionPerDay: estimate.retentionPerDay,
    halfLifeDays: estimate.halfLife.mean,
    halfLifeRange: { low: estimate.halfLife.low, high: estimate.halfLife.high },
    errorFactor: estimate.errorFactor,
  };
}

function usesOf(effects: number, steps: readonly Step[], firstDay: CalendarDay): Uses[] {
  const found = Array.from({ length: effects }, () => ({ share: 0, days: [] as number[] }));
  for (const step of steps) {
    if (step.what !== 'push') continue;
    found[step.effect]!.share += step.share;
    found[step.effect]!.days.push(daysBetween(firstDay, step.day));
  }
  return found.map(({ share, days }) => ({ count: Math.round(share), days }));
}

/** A measurement without what only the filter needs. */
function shown(
  { likelihood: _, isOfMany: __, ...measurement }: DatedMeasurement,
  off: boolean,
): DatedMeasurement {
  return { ...measurement, off };
}

/** What was done to the hair for good, and how much of it is in the hair of each day. */
function lastingEffects(
  head: Head,
  history: HeadHistory,
  sources: readonly EffectSource[],
  firstDay: CalendarDay,
  days: number,
): Lasting[] {
  const lengthCm = lengthOn(history, head);
  return sources.flatMap((source, effect): Lasting[] => {
    const stays = source.what === 'event' ? (EVENT_STAYS[source.event] ?? 0) : 0;
    if (source.what !== 'event' || stays === 0) return [];
    const inHair = eventsInHair(source.event, history, lengthCm);
    const doses = Float64Array.from({ length: days + 1 }, (_, day) => stays * inHair(addDays(firstDay, day)));
    return [{ effect, doses }];
  });
}

function firstDayOf(steps: readonly Step[], today: CalendarDay): CalendarDay {
  const first = steps[0]?.day ?? today;
  const earliest = addDays(today, -LONGEST_HISTORY_DAYS);
  return first < earliest ? earliest : first;
}
