import { randomLcg, randomNormal, randomUniform } from 'd3-random';
import { estimateLevel, type LevelModel, type LevelStep } from '../../hair/estimation';
import { SIGNALS, Z90 } from '../../hair/state';

/** What a made-up head is, and how it is lived and read. Units of the signal, where the lane is about ±0.5. */
export interface CalibrationSetting {
  readonly name: string;
  readonly recipes: number;
  readonly weeks: number;
  readonly effectSpread: number;
  readonly readingNoise: number;
  /** Of the reading errors: Gaussian, or Student's t with 3 degrees of freedom scaled to the same spread. */
  readonly errors: 'gaussian' | 'heavy';
  readonly dailyNoise: number;
  /** Days; drawn evenly between the two. */
  readonly halfLife: readonly [least: number, most: number];
  /** Share of readings that were not taken. */
  readonly missed: number;
  /** Share of readings that are off by 2 to 4 units to either side, as a mistyped length is. */
  readonly slips: number;
}

/** The heads that the estimator promises to be right about. */
export const AS_PROMISED: CalibrationSetting = {
  name: 'as the model supposes',
  recipes: 4,
  weeks: 12,
  effectSpread: 0.3,
  readingNoise: 0.35,
  errors: 'gaussian',
  dailyNoise: 0.25,
  halfLife: [5, 20],
  missed: 0,
  slips: 0,
};

/** Heads that differ from what it supposes. */
export const AS_FEARED: readonly CalibrationSetting[] = [
  { ...AS_PROMISED, name: 'half-life 2 days, below the grid', halfLife: [2, 2] },
  { ...AS_PROMISED, name: 'half-life 60 days, above the grid', halfLife: [60, 60] },
  { ...AS_PROMISED, name: 'readings twice as noisy', readingNoise: 0.7 },
  { ...AS_PROMISED, name: 'heavy-tailed readings (Student t, 3)', errors: 'heavy', readingNoise: 0.5 },
  { ...AS_PROMISED, name: 'days half as noisy again', dailyNoise: 0.375 },
  { ...AS_PROMISED, name: 'four readings in ten missed', missed: 0.4 },
  { ...AS_PROMISED, name: 'one reading in ten mistyped', slips: 0.1 },
];

const PRIOR = { level: { mean: 0, sd: 0.7 }, rest: { mean: 0, sd: 0.4 } } as const;
const SUPPOSED = { readingNoise: AS_PROMISED.readingNoise, dailyNoise: AS_PROMISED.dailyNoise } as const;
/** Washes on the first and fourth day of each week, read before and after. */
const WASH_DAYS = [0, 3];
/** Priors of the recipes' effects: what four unlike recipes might read as. */
const EFFECT_PRIORS = [0.5, -0.4, 0.2, -0.15, 0.7, -0.6];

interface Lived {
  readonly effectErrors: readonly number[];
  readonly priorErrors: readonly number[];
  readonly effectsHeld: number;
  readonly levelHeld: boolean;
  readonly pastHeld: number;
  readonly pastDays: number;
}

/** Lives one seeded head and estimates it on its last day. */
function lived(setting: CalibrationSetting, seed: number): Lived {
  const random = randomLcg(seed * 7919 + 11);
  const normal = randomNormal.source(random)(0, 1);
  const between = ([least, most]: readonly [number, number]) => randomUniform.source(random)(least, most)();
  const error = () => {
    if (setting.errors === 'gaussian') return normal();
    const chiSquare = normal() ** 2 + normal() ** 2 + normal() ** 2;
    // A t of 3 degrees of freedom has variance 3.
    return normal() / Math.sqrt(chiSquare / 3) / Math.sqrt(3);
  };
  const retention = 2 ** (-1 / between(setting.halfLife));
  const priors = Array.from(
    { length: setting.recipes },
    (_, k) => EFFECT_PRIORS[k % EFFECT_PRIORS.length] ?? 0,
  );
  const effects = priors.map((mean) => mean + setting.effectSpread * normal());
  const rest = PRIOR.rest.mean + PRIOR.rest.sd * normal();
  let level = PRIOR.level.mean + PRIOR.level.sd * normal();
  const steps: LevelStep[] = [];
  const truth: number[] = [];
  const read = (day: number) => {
    if (random() < setting.missed) return;
    const slip = random() < setting.slips ? (random() < 0.5 ? -1 : 1) * between([2, 4]) : 0;
    const value = level + setting.readingNoise * error() + slip;
    steps.push({ day, what: 'measure', measurement: { value, sd: SUPPOSED.readingNoise } });
  };
  const lastDay = setting.weeks * 7 - 1;
  for (let day = 0; day <= lastDay; day++) {
    if (day > 0) level = rest + retention * (level - rest) + setting.dailyNoise * normal();
    if (WASH_DAYS.includes(day % 7)) {
      read(day);
      const effect = Math.floor(random() * setting.recipes);
      level += effects[effect] ?? 0;
      steps.push({ day, what: 'push', effect, dose: 1 });
      read(day);
    }
    truth.push(level);
  }
  const model: LevelModel = {
    ...PRIOR,
    effects: priors.map((mean) => ({ mean, sd: AS_PROMISED.effectSpread })),
    dailySd: SUPPOSED.dailyNoise,
    restDailySd: SIGNALS.firmness.restDailySd,
    lasting: [],
    halfLifeGridDays: SIGNALS.firmness.halfLifeGridDays,
    overdispersion: 0.1,
  };
  const estimate = estimateLevel(model, steps, lastDay, 1);
  const held = (value: number, { mean, sd }: { mean: number; sd: number }) =>
    Math.abs(value - mean) <= Z90 * sd;
  return {
    effectErrors: effects.map((effect, k) => effect - (estimate.effects[k]?.mean ?? 0)),
    priorErrors: effects.map((effect, k) => effect - (priors[k] ?? 0)),
    effectsHeld: effects.filter((effect, k) => held(effect, estimate.effects[k]!)).length,
    levelHeld: held(level, estimate.now),
    pastHeld: estimate.past.filter((past) => held(truth[past.day] ?? NaN, past)).length,
    pastDays: estimate.past.length,
  };
}

export interface CalibrationRow {
  readonly setting: CalibrationSetting;
  /** Shares of 90 % intervals that held the truth, 0 to 1. */
  readonly effects: number;
  readonly level: number;
  readonly past: number;
  /** Root mean square error of the effects, and as a share of what the recipes alone would give. */
  readonly effectRms: number;
  readonly ofPrior: number;
}

const rms = (errors: readonly number[]) =>
  Math.sqrt(errors.reduce((sum, error) => sum + error ** 2, 0) / errors.length);

/** How often the estimator's intervals hold, over so many seeded heads. */
export function calibrated(setting: CalibrationSetting, heads: number): CalibrationRow {
  const lives = Array.from({ length: heads }, (_, index) => lived(setting, index + 1));
  const total = (valueOf: (life: Lived) => number) => lives.reduce((sum, life) => sum + valueOf(life), 0);
  const effectRms = rms(lives.flatMap(({ effectErrors }) => effectErrors));
  return {
    setting,
    effects: total(({ effectsHeld }) => effectsHeld) / (heads * setting.recipes),
    level: total(({ levelHeld }) => Number(levelHeld)) / heads,
    past: total(({ pastHeld }) => pastHeld) / total(({ pastDays }) => pastDays),
    effectRms,
    ofPrior: effectRms / rms(lives.flatMap(({ priorErrors }) => priorErrors)),
  };
}
