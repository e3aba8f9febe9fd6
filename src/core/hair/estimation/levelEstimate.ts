import type { Estimate } from '../state';
import { FilterRun, type LevelModel, type LevelStep } from './filterRun';
import { weighedRuns, type WeighedRun } from './hypotheses';
import {
  covarianceOf,
  effectOf,
  levelOf,
  loosenRest,
  meanOf,
  partOf,
  passDay,
  push,
  type Moments,
} from './kalman';
import { smoothedLevels } from './smoother';

/**
 * The past is looked back on under the likeliest hypotheses: as many as hold this share, and not more than so many. After more than a
 * year few are left that matter, and each costs more.
 */
const LOOK_BACK = { share: 0.95, hypotheses: 12, afterAYear: 3 } as const;
/** Days that are looked back on one by one; what lies longer ago, week by week. Of very many effects each day costs much more. */
const DAILY_FOR_DAYS = 366;
const DAILY_WITH_MANY = { effects: 120, days: 90 } as const;

/** An effect that the model does not have. */
const NOTHING: Estimate = { mean: 0, sd: 1 };

/** Share of the half-life's probability between the two ends that are told. */
const RANGE_TAIL = 0.05;

export interface LevelEstimate {
  readonly now: Estimate;
  /** From day 0 to the last, each known from everything before and after it; one a day of the last year, one a week before. */
  readonly past: readonly (Estimate & { readonly day: number })[];
  /** If nothing is done: one a day from the day after the last. */
  readonly ahead: readonly Estimate[];
  readonly effects: readonly Estimate[];
  /** −1 to 1 between two effects. */
  readonly correlation: (effect: number, other: number) => number;
  readonly retentionPerDay: number;
  readonly halfLife: { readonly mean: number; readonly low: number; readonly high: number };
  /** Errors of this head's measurements as a multiple of the usual ones. */
  readonly errorFactor: number;
  /** Indices of steps whose measurement was probably off and counted little. */
  readonly off: ReadonlySet<number>;
}

/**
 * A level and every effect on it, from all that happened up to `lastDay`, averaged over half-lives and errors.
 * @param steps in the order in which they happened
 * @param lastDay counted from day 0, on which the level starts at its prior
 */
export function estimateLevel(
  model: LevelModel,
  steps: readonly LevelStep[],
  lastDay: number,
  daysAhead: number,
): LevelEstimate {
  const order = orderOfUse(model.effects.length, steps);
  const placeOf = new Map(order.map((effect, place) => [effect, place]));
  const place = (effect: number) => placeOf.get(effect) ?? effect;
  const { effects, correlation, ...estimate } = estimateInOrder(
    {
      ...model,
      effects: order.map((effect) => model.effects[effect]!),
      lasting: model.lasting.map((each) => ({ ...each, effect: place(each.effect) })),
    },
    steps.map((step) => (step.what === 'push' ? { ...step, effect: place(step.effect) } : step)),
    lastDay,
    daysAhead,
  );
  return {
    ...estimate,
    effects: model.effects.map((_, effect) => effects[place(effect)]!),
    correlation: (effect, other) => correlation(place(effect), place(other)),
  };
}

/** Effects by when they were first used: those that are not used yet lie together at the end, and cost nothing. */
function orderOfUse(count: number, steps: readonly LevelStep[]): number[] {
  const used = new Set(steps.flatMap((step) => (step.what === 'push' ? [step.effect] : [])));
  return [
    ...used,
    ...Array.from({ length: count }, (_, effect) => effect).filter((effect) => !used.has(effect)),
  ];
}

/** As {@link estimateLevel}, of effects in the order of their first use. */
function estimateInOrder(
  model: LevelModel,
  steps: readonly LevelStep[],
  lastDay: number,
  daysAhead: number,
): LevelEstimate {
  const daily = model.effects.length > DAILY_WITH_MANY.effects ? DAILY_WITH_MANY.days : DAILY_FOR_DAYS;
  const isMarked = (day: number) => lastDay - day <= daily || day % 7 === 0;
  const runs = weighedRuns(model, steps, lastDay);
  const markedDays = Array.from({ length: lastDay + 1 }, (_, day) => day).filter(isMarked);
  const weights = runs.map(({ weight }) => weight);
  const mix = (momentsOf: (run: WeighedRun['run']) => Moments) =>
    mixed(
      runs.map(({ run }) => momentsOf(run)),
      weights,
    );
  const weighted = (valueOf: (run: WeighedRun['run']) => number) =>
    runs.reduce((total, { run, weight }) => total + weight * valueOf(run), 0);
  const effects = model.effects.map((_, effect) => mix((run) => effectOf(run.state, effect)));
  const best = runs.reduce((a, b) => (b.weight > a.weight ? b : a));
  return {
    now: mix((run) => levelOf(run.state)),
    past: lookedBack(runs, model, steps, lastDay, isMarked).map((level, index) => ({
      day: markedDays[index] ?? lastDay,
      ...level,
    })),
    ahead: lookedAhead(runs, weights, model, lastDay, daysAhead),
    effects,
    correlation: (effect, other) => {
      const [one, two] = [effects[effect] ?? NOTHING, effects[other] ?? NOTHING];
      const shared = weighted(
        ({ state }) =>
          covarianceOf(state, effect, other) +
          (meanOf(state, effect) - one.mean) * (meanOf(state, other) - two.mean),
      );
      return shared / (one.sd * two.sd);
    },
    retentionPerDay: weighted((run) => run.retention),
    halfLife: halfLifeOf(runs),
    errorFactor: weighted((run) => run.hypothesis.errorFactor),
    off: new Set(best.run.off),
  };
}

/** Runs the likeliest hypotheses once more, keeping what is needed to go back over them. */
function lookedBack(
  runs: readonly WeighedRun[],
  model: LevelModel,
  steps: readonly LevelStep[],
  lastDay: number,
  isMarked: (day: number) => boolean,
): Estimate[] {
  const sorted = [...runs].sort((a, b) => b.weight - a.weight);
  const most = lastDay > DAILY_FOR_DAYS ? LOOK_BACK.afterAYear : LOOK_BACK.hypotheses;
  let held = 0;
  const likely = sorted.filter(({ weight }, index) => {
    const isWanted = index === 0 || (held < LOOK_BACK.share && index < most);
    held += weight;
    return isWanted;
  });
  const total = likely.reduce((sum, { weight }) => sum + weight, 0);
  const paths = likely.map(({ run }) => {
    const recorder = { tape: [], isMarked };
    new FilterRun(run.hypothesis, model, steps, recorder).runTo(lastDay);
    return smoothedLevels(recorder.tape, run.state.size);
  });
  const weights = likely.map(({ weight }) => weight / total);
  // The marks are the same under every hypothesis.
  return (paths[0] ?? []).map((_, day) =>
    mixed(
      paths.map((levels) => levels[day]!),
      weights,
    ),
  );
}

function lookedAhead(
  runs: readonly WeighedRun[],
  weights: readonly number[],
  { dailySd, restDailySd, lasting }: LevelModel,
  lastDay: number,
  days: number,
): Estimate[] {
  const states = runs.map(({ run }) => ({
    state: partOf(
      run.state,
      lasting.map(({ effect }) => effect),
    ),
    retention: run.retention,
    sd: dailySd * run.hypothesis.dailyFactor,
  }));
  return Array.from({ length: days }, (_, ahead) => {
    const doses = lasting.map((each) => each.doses[lastDay + 1 + ahead] ?? 0);
    for (const { state, retention, sd } of states) {
      passDay(state, retention, sd);
      loosenRest(state, restDailySd);
      doses.forEach((dose, effect) => push(state, effect, (1 - retention) * dose));
    }
    return mixed(
      states.map(({ state }) => levelOf(state)),
      weights,
    );
  });
}

/** Mean and sd of a mixture of Gaussians whose weights add to 1. */
function mixed(parts: readonly Moments[], weights: readonly number[]): Estimate {
  let mean = 0;
  for (let index = 0; index < parts.length; index++) mean += weights[index]! * parts[index]!.mean;
  let variance = 0;
  for (let index = 0; index < parts.length; index++) {
    const part = parts[index]!;
    variance += weights[index]! * (part.variance + (part.mean - mean) ** 2);
  }
  return { mean, sd: Math.sqrt(Math.max(0, variance)) };
}

function halfLifeOf(runs: readonly WeighedRun[]): LevelEstimate['halfLife'] {
  const byHalfLife = new Map<number, number>();
  for (const { run, weight } of runs) {
    const { halfLifeDays } = run.hypothesis;
    byHalfLife.set(halfLifeDays, (byHalfLife.get(halfLifeDays) ?? 0) + weight);
  }
  const sorted = [...byHalfLife].sort(([a], [b]) => a - b);
  const endOf = (rows: typeof sorted) => {
    let held = 0;
    for (const [days, weight] of rows) {
      held += weight;
      if (held > RANGE_TAIL) return days;
    }
    return rows.at(-1)?.[0] ?? 0;
  };
  return {
    mean: sorted.reduce((total, [days, weight]) => total + days * weight, 0),
    low: endOf(sorted),
    high: endOf([...sorted].reverse()),
  };
}
