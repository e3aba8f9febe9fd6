import {
  FIRST_EFFECT,
  LEVEL,
  NO_WEIGHT,
  levelOf,
  REST,
  type KalmanState,
  type Moments,
  type Observation,
} from './kalman';

/** What a filter did, in order; enough to look back on it. */
export type TapeEntry =
  | { readonly what: 'day'; readonly retention: number }
  | { readonly what: 'push'; readonly effect: number; readonly dose: number }
  | ({ readonly what: 'observe' } & Observation)
  | { readonly what: 'mark'; readonly level: Moments; readonly levelRow: Float64Array };

/** A place on the tape whose level is wanted: the end of a day, the moment before a measurement. */
export function markOf(state: KalmanState): Extract<TapeEntry, { what: 'mark' }> {
  return { what: 'mark', level: levelOf(state), levelRow: state.covariance.slice(0, state.used) };
}

/**
 * The level at every mark, known from everything before and after it: the backward recursion of
 * Durbin & Koopman, Time Series Analysis by State Space Methods (2nd ed.), section 4.4, for one measurement at a time.
 * r gathers what later measurements say of the state, N how surely; noise does not enter. Cost: size² a measurement.
 * @returns moments in the order of the marks
 */
export function smoothedLevels(tape: readonly TapeEntry[], size: number): Moments[] {
  const r = new Float64Array(size);
  const N = new Float64Array(size * size);
  const found: Moments[] = [];
  for (let index = tape.length - 1; index >= 0; index--) {
    const entry = tape[index]!;
    if (entry.what === 'mark') found.push(lookedAt(entry, r, N));
    else if (entry.what === 'observe') backOverObservation(entry, r, N);
    else if (entry.what === 'day') backOverMove(entry.retention, REST, 1 - entry.retention, r, N);
    else backOverMove(1, FIRST_EFFECT + entry.effect, entry.dose, r, N);
  }
  return found.reverse();
}

function lookedAt(
  { level, levelRow }: Extract<TapeEntry, { what: 'mark' }>,
  r: Float64Array,
  N: Float64Array,
): Moments {
  const size = r.length;
  const used = levelRow.length;
  const least = NO_WEIGHT * level.variance;
  let { mean, variance } = level;
  for (let row = 0; row < used; row++) {
    const weight = levelRow[row]!;
    if (weight < least && weight > -least) continue;
    mean += weight * r[row]!;
    // N is symmetric: what lies beyond the diagonal counts twice.
    const start = row * size;
    let beyond = 0;
    for (let column = row + 1; column < used; column++) beyond += N[start + column]! * levelRow[column]!;
    variance -= weight * (N[start + row]! * weight + 2 * beyond);
  }
  return { mean, variance: Math.max(variance, 0) };
}

/** r ← Lᵀr + v/F on the level, N ← LᵀNL + 1/F on the level, with L = I − gain·(level row). */
function backOverObservation(
  { surprise, variance, gain }: Observation,
  r: Float64Array,
  N: Float64Array,
): void {
  const size = r.length;
  const used = gain.length;
  const along = new Float64Array(size);
  let through = 0;
  let pulled = 0;
  for (let row = 0; row < size; row++) {
    let sum = 0;
    for (let column = 0; column < used; column++) sum += N[row * size + column]! * gain[column]!;
    along[row] = sum;
    if (row >= used) continue;
    through += gain[row]! * sum;
    pulled += gain[row]! * r[row]!;
  }
  r[LEVEL] = r[LEVEL]! - pulled + surprise / variance;
  const corner = N[0]! - 2 * along[0]! + through + 1 / variance;
  for (let column = 1; column < size; column++) setBoth(N, size, column, N[column]! - along[column]!);
  N[0] = corner;
}

/** r ← Tᵀr, N ← TᵀNT where T replaces the level by keep·level + weight·other. */
function backOverMove(keep: number, other: number, weight: number, r: Float64Array, N: Float64Array): void {
  const size = r.length;
  r[other] = r[other]! + weight * r[LEVEL]!;
  r[LEVEL] = keep * r[LEVEL]!;
  const levelRow = N.slice(0, size);
  const corner = levelRow[0]!;
  const crossed = N[other]!;
  for (let column = 1; column < size; column++) {
    if (column !== other)
      setBothOf(N, size, other, column, N[other * size + column]! + weight * levelRow[column]!);
    setBoth(N, size, column, keep * levelRow[column]!);
  }
  N[other * size + other] = N[other * size + other]! + 2 * weight * crossed + weight * weight * corner;
  setBoth(N, size, other, keep * (crossed + weight * corner));
  N[0] = keep * keep * corner;
}

function setBoth(matrix: Float64Array, size: number, column: number, value: number): void {
  matrix[column] = value;
  matrix[column * size] = value;
}

function setBothOf(matrix: Float64Array, size: number, row: number, column: number, value: number): void {
  matrix[row * size + column] = value;
  matrix[column * size + row] = value;
}
