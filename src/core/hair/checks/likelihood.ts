/**
 * What a measurement says of firmness where one value and one error would say it wrongly: near the ends a strand snaps and a
 * scale of seven steps stops, so that the truth may lie anywhere beyond.
 */

/** Levels of firmness on which a likelihood is kept: from −4 to 4 in tenths; beyond them no head is. */
export const FIRMNESS_GRID = { from: -4, step: 0.1, points: 81 } as const;

/** Natural logarithm of the likelihood at each level of the grid, 0 at its greatest. */
export type GridLikelihood = readonly number[];

export function gridLevel(index: number): number {
  return FIRMNESS_GRID.from + FIRMNESS_GRID.step * index;
}

export function nearestOnGrid(level: number): number {
  const index = Math.round((level - FIRMNESS_GRID.from) / FIRMNESS_GRID.step);
  return Math.min(Math.max(index, 0), FIRMNESS_GRID.points - 1);
}

/** @returns one value a level of the grid */
export function overGrid(valueAt: (level: number) => number): Float64Array {
  return Float64Array.from({ length: FIRMNESS_GRID.points }, (_, index) => valueAt(gridLevel(index)));
}

/** So that the greatest is 0. */
export function asGridLikelihood(logs: ArrayLike<number>): GridLikelihood {
  const values = Array.from(logs);
  const greatest = Math.max(...values);
  return values.map((value) => value - greatest);
}

/**
 * Between two levels of the grid in a straight line; beyond its ends as at them.
 * @param found as long as `levels`; written over
 */
export function likelihoodsAt(grid: GridLikelihood, levels: Float64Array, found: Float64Array): void {
  const { from, step, points } = FIRMNESS_GRID;
  for (let index = 0; index < levels.length; index++) {
    const place = Math.min(Math.max((levels[index]! - from) / step, 0), points - 1);
    const below = Math.min(Math.floor(place), points - 2);
    const low = grid[below]!;
    found[index] = low + (place - below) * (grid[below + 1]! - low);
  }
}

/** Where a likelihood is no lower than this at an end of the grid, a tenth of its greatest, it tells a bound and no value. */
const OPEN_AT_END = Math.log(0.1);

export interface Summary {
  readonly mean: number;
  readonly sd: number;
  /** The truth may be any firmer, or any softer, than this. */
  readonly open: 'firmer' | 'softer' | null;
}

/** What is less likely than this, against the likeliest, is the floor that strays leave and tells nothing of spread. */
const FLOOR = -4;

/** How far heads lie from the middle, 1 sd: what decides where a reading tells a bound and no value (working assumption). */
const HEADS_SD = 1.5;

/** Mean and spread of a likelihood as if every level of the grid were as probable beforehand; of a bound, with what heads are like. */
export function summaryOf(grid: GridLikelihood): Summary {
  const open = grid.at(-1)! > OPEN_AT_END ? 'firmer' : grid[0]! > OPEN_AT_END ? 'softer' : null;
  let [total, first, second] = [0, 0, 0];
  grid.forEach((log, index) => {
    if (log < FLOOR) return;
    const level = gridLevel(index);
    const weight = Math.exp(log - (open ? level ** 2 / (2 * HEADS_SD ** 2) : 0));
    total += weight;
    first += weight * level;
    second += weight * level * level;
  });
  const mean = first / total;
  return {
    mean,
    sd: Math.sqrt(Math.max(second / total - mean * mean, 0)),
    open,
  };
}
