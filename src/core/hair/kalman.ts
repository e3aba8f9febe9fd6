import { invariant } from '../measures';

/**
 * A level that returns to its resting place, with static effects learned beside it, as one linear Gaussian state:
 *   state = [level x, resting level μ, effect θ₁ … θ_K]
 *   x(t+1) = μ + ρ (x(t) − μ) + noise,   x after a push = x + Σ dose_k θ_k,   y = x + measurement error.
 * Because μ and θ do not move, only the level's row and column change in time, and both steps stay exact and cheap.
 */
export interface KalmanState {
  readonly mean: number[];
  /** Symmetric, one row per state. */
  readonly covariance: number[][];
}

const LEVEL = 0;
const REST = 1;
const FIRST_EFFECT = 2;

export interface Prior {
  readonly mean: number;
  readonly sd: number;
}

export function startState(level: Prior, rest: Prior, effects: readonly Prior[]): KalmanState {
  const priors = [level, rest, ...effects];
  return {
    mean: priors.map((prior) => prior.mean),
    covariance: priors.map((prior, row) => priors.map((_, column) => (row === column ? prior.sd ** 2 : 0))),
  };
}

/** Replaces the level by a weighted sum of states, in place: mean and the level's row and column of the covariance. */
function moveLevel(
  state: KalmanState,
  weights: readonly (readonly [index: number, weight: number])[],
  noise: number,
) {
  const { mean, covariance } = state;
  const combined = mean.map((_, column) =>
    weights.reduce((total, [index, weight]) => total + weight * at(covariance, index, column), 0),
  );
  const variance =
    weights.reduce((total, [index, weight]) => total + weight * (combined[index] ?? 0), 0) + noise;
  mean[LEVEL] = weights.reduce((total, [index, weight]) => total + weight * (mean[index] ?? 0), 0);
  combined.forEach((value, index) => {
    setAt(covariance, LEVEL, index, value);
    setAt(covariance, index, LEVEL, value);
  });
  setAt(covariance, LEVEL, LEVEL, variance);
}

/** One day passes. @param retention ρ, 0 to 1, what is left of a departure after a day */
export function passDay(state: KalmanState, retention: number, dailySd: number): void {
  moveLevel(
    state,
    [
      [LEVEL, retention],
      [REST, 1 - retention],
    ],
    dailySd ** 2,
  );
}

/** A treatment or an event happens. @param effect which θ, counted from 0 */
export function push(state: KalmanState, effect: number, dose: number): void {
  moveLevel(
    state,
    [
      [LEVEL, 1],
      [FIRST_EFFECT + effect, dose],
    ],
    0,
  );
}

/** The level is measured. @returns the log-likelihood of the value before it was known */
export function observe(state: KalmanState, value: number, sd: number): number {
  const { mean, covariance } = state;
  const variance = at(covariance, LEVEL, LEVEL) + sd ** 2;
  const surprise = value - (mean[LEVEL] ?? 0);
  const gain = mean.map((_, index) => at(covariance, index, LEVEL) / variance);
  gain.forEach((weight, index) => {
    mean[index] = (mean[index] ?? 0) + weight * surprise;
  });
  const levelRow = [...(covariance[LEVEL] ?? [])];
  gain.forEach((weight, row) => {
    levelRow.forEach((value2, column) => {
      setAt(covariance, row, column, at(covariance, row, column) - weight * value2);
    });
  });
  return -0.5 * (Math.log(2 * Math.PI * variance) + surprise ** 2 / variance);
}

export function levelOf(state: KalmanState): { mean: number; variance: number } {
  return { mean: state.mean[LEVEL] ?? 0, variance: at(state.covariance, LEVEL, LEVEL) };
}

export function effectOf(state: KalmanState, effect: number): { mean: number; variance: number } {
  const index = FIRST_EFFECT + effect;
  return { mean: state.mean[index] ?? 0, variance: at(state.covariance, index, index) };
}

/** The part of a state that the passing of days moves, as a state of its own: all that a forecast without pushes needs. */
export function levelAndRest({ mean, covariance }: KalmanState): KalmanState {
  return {
    mean: mean.slice(0, FIRST_EFFECT),
    covariance: covariance.slice(0, FIRST_EFFECT).map((row) => row.slice(0, FIRST_EFFECT)),
  };
}

function at(matrix: readonly number[][], row: number, column: number): number {
  const value = matrix[row]?.[column];
  invariant(value !== undefined, 'a covariance index lies outside the matrix');
  return value;
}

function setAt(matrix: number[][], row: number, column: number, value: number): void {
  const line = matrix[row];
  invariant(line, 'a covariance row lies outside the matrix');
  line[column] = value;
}
