import { invariant } from '../../base/measures';

/**
 * A level that returns to its resting place, with static effects learned beside it, as one linear Gaussian state:
 *   state = [level x, resting level μ, effect θ₁ … θ_K]
 *   x(t+1) = μ + ρ (x(t) − μ) + noise,   x after a push = x + Σ dose_k θ_k,   y = x + measurement error.
 * Because μ and θ do not move, only the level's row and column change in time, and both steps stay exact and cheap.
 */
export interface KalmanState {
  /** 2 + K. */
  readonly size: number;
  /** States from this place on have moved nothing yet and hang together with nothing: no step goes through them. */
  used: number;
  readonly mean: Float64Array;
  /** Symmetric, size × size, row by row; only the half on and above the diagonal is kept up. */
  readonly covariance: Float64Array;
}

export const LEVEL = 0;
export const REST = 1;
export const FIRST_EFFECT = 2;

export interface Prior {
  readonly mean: number;
  readonly sd: number;
}

export interface Moments {
  readonly mean: number;
  readonly variance: number;
}

export function startState(level: Prior, rest: Prior, effects: readonly Prior[]): KalmanState {
  const priors = [level, rest, ...effects];
  const size = priors.length;
  const covariance = new Float64Array(size * size);
  priors.forEach((prior, index) => {
    covariance[index * size + index] = prior.sd ** 2;
  });
  return { size, used: FIRST_EFFECT, mean: Float64Array.from(priors, (prior) => prior.mean), covariance };
}

/** Replaces the level by keep·level + weight·other, in place: its mean, and its row of the covariance. */
function moveLevel(state: KalmanState, keep: number, other: number, weight: number, noise: number): void {
  const { size, mean, covariance } = state;
  invariant(other > LEVEL && other < size, 'no such effect in the state');
  if (other >= state.used) state.used = other + 1;
  const { used } = state;
  mean[LEVEL] = keep * mean[LEVEL]! + weight * mean[other]!;
  const variance =
    keep * keep * covariance[0]! +
    2 * keep * weight * covariance[other]! +
    weight * weight * covariance[other * size + other]! +
    noise;
  for (let column = 1; column < other; column++)
    covariance[column] = keep * covariance[column]! + weight * covariance[column * size + other]!;
  for (let column = other; column < used; column++)
    covariance[column] = keep * covariance[column]! + weight * covariance[other * size + column]!;
  covariance[0] = variance;
}

/** One day passes. @param retention ρ, 0 to 1, what is left of a departure after a day */
export function passDay(state: KalmanState, retention: number, dailySd: number): void {
  moveLevel(state, retention, REST, 1 - retention, dailySd ** 2);
}

/** A treatment or an event happens. @param effect which θ, counted from 0 */
export function push(state: KalmanState, effect: number, dose: number): void {
  moveLevel(state, 1, FIRST_EFFECT + effect, dose, 0);
}

/** Something moved the level that nobody wrote down: it may be anywhere within this, more than was thought. */
export function loosen(state: KalmanState, sd: number): void {
  state.covariance[0] = state.covariance[0]! + sd ** 2;
}

/** A day moves where the level rests, a little. */
export function loosenRest(state: KalmanState, dailySd: number): void {
  const place = REST * state.size + REST;
  state.covariance[place] = state.covariance[place]! + dailySd ** 2;
}

/** Against the level's own: a weight or covariance that moves nothing that anybody could see. */
export const NO_WEIGHT = 1e-5;

/** What an observation did to a state; the smoother runs back over these. */
export interface Observation {
  /** Value less expected value. */
  readonly surprise: number;
  /** Of the surprise. */
  readonly variance: number;
  /** One weight a state that was used by then. */
  readonly gain: Float64Array;
}

/**
 * The level is measured, with an error of this variance.
 * @param gain room for one weight a used state; written over
 */
export function observe(
  state: KalmanState,
  value: number,
  errorVariance: number,
  gain: Float64Array = new Float64Array(state.used),
): Observation {
  const { size, used, mean, covariance } = state;
  const variance = covariance[0]! + errorVariance;
  const surprise = value - mean[LEVEL]!;
  for (let row = 0; row < used; row++) gain[row] = covariance[row]! / variance;
  const least = NO_WEIGHT * gain[LEVEL]!;
  for (let row = 0; row < used; row++) {
    const weight = gain[row]!;
    // What faded long ago hangs together with the level no more.
    if (weight < least && weight > -least) continue;
    mean[row] = mean[row]! + weight * surprise;
    // Less weight × the level's row, which is the gain times the variance.
    const taken = weight * variance;
    const start = row * size;
    for (let column = row; column < used; column++)
      covariance[start + column] = covariance[start + column]! - taken * gain[column]!;
  }
  return { surprise, variance, gain };
}

export function normalLogDensity(surprise: number, variance: number): number {
  return -0.5 * (Math.log(2 * Math.PI * variance) + surprise ** 2 / variance);
}

export function levelOf(state: KalmanState): Moments {
  return { mean: state.mean[LEVEL]!, variance: state.covariance[0]! };
}

export function effectOf(state: KalmanState, effect: number): Moments {
  return { mean: meanOf(state, effect), variance: covarianceOf(state, effect, effect) };
}

export function meanOf({ size, mean }: KalmanState, effect: number): number {
  invariant(effect >= 0 && FIRST_EFFECT + effect < size, 'no such effect in the state');
  return mean[FIRST_EFFECT + effect]!;
}

/** Covariance of two effects. */
export function covarianceOf({ size, covariance }: KalmanState, effect: number, other: number): number {
  const row = Math.min(effect, other) + FIRST_EFFECT;
  const column = Math.max(effect, other) + FIRST_EFFECT;
  invariant(row >= FIRST_EFFECT && column < size, 'no such effect in the state');
  return covariance[row * size + column]!;
}

/**
 * The part of a state that the passing of days moves, as a state of its own: all that a forecast without pushes needs.
 * @param effects that draw the level on; they are the first, second … of the new state
 */
export function partOf({ size, mean, covariance }: KalmanState, effects: readonly number[]): KalmanState {
  const kept = [LEVEL, REST, ...effects.map((effect) => FIRST_EFFECT + effect)];
  return {
    size: kept.length,
    used: kept.length,
    mean: Float64Array.from(kept, (index) => mean[index]!),
    covariance: Float64Array.from(
      kept.flatMap((row) =>
        kept.map((column) => covariance[Math.min(row, column) * size + Math.max(row, column)]!),
      ),
    ),
  };
}
