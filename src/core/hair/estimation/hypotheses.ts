import { FilterRun, type Hypothesis, type LevelModel, type LevelStep } from './filterRun';

/**
 * How much larger or smaller than usual the errors of this head's measurements may be, with what is believed of each beforehand:
 * most people measure about as the protocol supposes.
 */
const ERROR_FACTORS = [
  { factor: 0.75, weight: 0.2 },
  { factor: 1, weight: 0.42 },
  { factor: 1.4, weight: 0.26 },
  { factor: 2, weight: 0.12 },
] as const;

/** How much more than usual this head may change from day to day. */
const DAILY_FACTORS = [
  { factor: 1, weight: 0.7 },
  { factor: 1.6, weight: 0.3 },
] as const;

/** Days between two looks at which hypotheses are still worth running. */
const LOOK_EVERY_DAYS = 30;
/** A hypothesis this much behind the best, natural logarithm, is given up: its weight is under 1 in 400. */
const GIVE_UP = 6;

export interface WeighedRun {
  readonly run: FilterRun;
  /** They add to 1. */
  readonly weight: number;
}

function gridOf(
  halfLives: readonly number[],
): { readonly hypothesis: Hypothesis; readonly logWeight: number }[] {
  return halfLives.flatMap((halfLifeDays) =>
    ERROR_FACTORS.flatMap((error) =>
      DAILY_FACTORS.map((daily) => ({
        hypothesis: { halfLifeDays, errorFactor: error.factor, dailyFactor: daily.factor },
        logWeight: Math.log((error.weight * daily.weight) / halfLives.length),
      })),
    ),
  );
}

/** All hypotheses that the steps up to `lastDay` leave standing, weighed by their marginal likelihood. */
export function weighedRuns(model: LevelModel, steps: readonly LevelStep[], lastDay: number): WeighedRun[] {
  let runs = gridOf(model.halfLifeGridDays).map(({ hypothesis, logWeight }) => ({
    logWeight,
    run: new FilterRun(hypothesis, model, steps),
  }));
  for (let day = Math.min(LOOK_EVERY_DAYS, lastDay); ; day = Math.min(day + LOOK_EVERY_DAYS, lastDay)) {
    for (const { run } of runs) run.runTo(day);
    const best = Math.max(...runs.map(({ run, logWeight }) => run.logLikelihood + logWeight));
    runs = runs.filter(({ run, logWeight }) => run.logLikelihood + logWeight > best - GIVE_UP);
    if (day === lastDay) return normalised(runs, best);
  }
}

function normalised(
  runs: readonly { readonly run: FilterRun; readonly logWeight: number }[],
  best: number,
): WeighedRun[] {
  const raw = runs.map(({ run, logWeight }) => Math.exp(run.logLikelihood + logWeight - best));
  const total = raw.reduce((sum, value) => sum + value, 0);
  return runs.map(({ run }, index) => ({ run, weight: (raw[index] ?? 0) / total }));
}
