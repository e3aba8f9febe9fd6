import { addDays, dayRange, daysBetween, type CalendarDay } from '../measures';
import { callsForDoctor, SIGNAL_IDS, type SignalId } from '../readings';
import { newestVersions } from '../recipes';
import type { Head } from './head';
import type { DatedEstimate, HairState, SignalState } from './hairState';
import {
  effectOf,
  levelAndRest,
  levelOf,
  observe,
  passDay,
  push,
  startState,
  type KalmanState,
} from './kalman';
import { laneProbabilities, needOf } from './need';
import { HALF_LIFE_GRID_DAYS, SIGNALS, startingLevel } from './signals';
import { effectSources, timelineOf, type EffectSource, type HeadHistory, type Step } from './timeline';

/** Days ahead that the fan is drawn and planned for. */
export const HORIZON_DAYS = 84;
/** History before this many days has faded from the level; its effects are kept by starting there all the same. */
const LONGEST_HISTORY_DAYS = 3650;

/**
 * The state of one head on a day: three signals, each by an exact Kalman filter that learns the level and every
 * treatment's effect together, averaged over half-lives by their marginal likelihood.
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
  const steps = timelineOf(history, sources, today, head.porosityGuess);
  const signals = Object.fromEntries(
    SIGNAL_IDS.map((signal) => [
      signal,
      withUnused(estimateSignal(signal, head, steps, sources, today), unused),
    ]),
  ) as Record<SignalId, SignalState>;
  const referral = history.readings.some((reading) => reading.day <= today && callsForDoctor(reading));
  return {
    headId: head.headId,
    asOf: today,
    signals,
    need: needOf(signals, head, referral),
    readingCount: history.readings.filter((reading) => reading.day <= today).length,
  };
}

function withUnused(state: SignalState, unused: readonly EffectSource[]): SignalState {
  const expected = unused.flatMap(({ recipeId, prior }) =>
    recipeId === null ? [] : [{ recipeId, ...prior[state.signal], uses: 0 }],
  );
  return { ...state, responses: [...state.responses, ...expected] };
}

interface FilterRun {
  readonly retention: number;
  readonly halfLifeDays: number;
  readonly logLikelihood: number;
  readonly path: readonly { mean: number; variance: number }[];
  readonly end: KalmanState;
}

function estimateSignal(
  signal: SignalId,
  head: Head,
  allSteps: readonly Step[],
  sources: readonly EffectSource[],
  today: CalendarDay,
): SignalState {
  const steps = allSteps.filter((step) => step.what === 'push' || step.measurement.signal === signal);
  const firstDay = firstDayOf(steps, today);
  const runs = HALF_LIFE_GRID_DAYS.map((halfLife) =>
    filterRun(signal, head, steps, sources, firstDay, today, halfLife),
  );
  const weights = likelihoodWeights(runs.map((run) => run.logLikelihood));
  const days = dayRange(firstDay, daysBetween(firstDay, today) + 1);
  const path = days.map((day, index) =>
    mixed(
      day,
      runs.map((run) => run.path[index] ?? levelOf(run.end)),
      weights,
    ),
  );
  const now = mixed(
    today,
    runs.map((run) => levelOf(run.end)),
    weights,
  );
  return {
    signal,
    mean: now.mean,
    sd: now.sd,
    probabilities: laneProbabilities(now, SIGNALS[signal].lane),
    path,
    ahead: aheadOf(signal, runs, weights, today),
    measurements: steps.flatMap((step) => (step.what === 'measure' ? [step.measurement] : [])),
    responses: sources.flatMap((source, index) => {
      if (source.recipeId === null) return [];
      const { mean, sd } = mixed(
        today,
        runs.map((run) => effectOf(run.end, index)),
        weights,
      );
      const uses = steps.filter((step) => step.what === 'push' && step.effect === index).length;
      return [{ recipeId: source.recipeId, mean, sd, uses }];
    }),
    retentionPerDay: weighted(
      runs.map((run) => run.retention),
      weights,
    ),
    halfLifeDays: weighted(
      runs.map((run) => run.halfLifeDays),
      weights,
    ),
  };
}

function firstDayOf(steps: readonly Step[], today: CalendarDay): CalendarDay {
  const first = steps[0]?.day ?? today;
  const earliest = addDays(today, -LONGEST_HISTORY_DAYS);
  return first < earliest ? earliest : first;
}

function filterRun(
  signal: SignalId,
  head: Head,
  steps: readonly Step[],
  sources: readonly EffectSource[],
  firstDay: CalendarDay,
  today: CalendarDay,
  halfLifeDays: number,
): FilterRun {
  const model = SIGNALS[signal];
  const retention = 2 ** (-1 / halfLifeDays);
  const level = startingLevel(head)[signal];
  const state = startState(
    { mean: level, sd: model.startSd },
    { mean: level / 2, sd: model.restSd },
    sources.map((source) => source.prior[signal]),
  );
  const path: { mean: number; variance: number }[] = [];
  let logLikelihood = 0;
  let next = 0;
  for (let day = firstDay; day <= today; day = addDays(day, 1)) {
    if (day !== firstDay) passDay(state, retention, model.dailySd);
    for (let step = steps[next]; step !== undefined && step.day <= day; step = steps[++next]) {
      if (step.what === 'push') push(state, step.effect, step.dose);
      else logLikelihood += observe(state, step.measurement.value, step.measurement.sd);
    }
    path.push(levelOf(state));
  }
  return { retention, halfLifeDays, logLikelihood, path, end: state };
}

function likelihoodWeights(logLikelihoods: readonly number[]): number[] {
  const greatest = Math.max(...logLikelihoods);
  const raw = logLikelihoods.map((value) => Math.exp(value - greatest));
  const total = raw.reduce((sum, value) => sum + value, 0);
  return raw.map((value) => value / total);
}

function weighted(values: readonly number[], weights: readonly number[]): number {
  return values.reduce((total, value, index) => total + value * (weights[index] ?? 0), 0);
}

/** Mean and sd of a mixture of Gaussians. */
function mixed(
  day: CalendarDay,
  parts: readonly { mean: number; variance: number }[],
  weights: readonly number[],
): DatedEstimate {
  const mean = weighted(
    parts.map((part) => part.mean),
    weights,
  );
  const variance = weighted(
    parts.map((part) => part.variance + (part.mean - mean) ** 2),
    weights,
  );
  return { day, mean, sd: Math.sqrt(Math.max(0, variance)) };
}

function aheadOf(
  signal: SignalId,
  runs: readonly FilterRun[],
  weights: readonly number[],
  today: CalendarDay,
): DatedEstimate[] {
  const states = runs.map((run) => levelAndRest(run.end));
  return dayRange(addDays(today, 1), HORIZON_DAYS).map((day) => {
    states.forEach((state, index) => passDay(state, runs[index]?.retention ?? 0, SIGNALS[signal].dailySd));
    return mixed(day, states.map(levelOf), weights);
  });
}
