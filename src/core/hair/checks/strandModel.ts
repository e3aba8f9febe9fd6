import { normalCdf, normalDensity } from '../../base/measures';
import type { Strand } from '../../records/shapes';
import { FIRMNESS_GRID, gridLevel } from './likelihood';
import { STRETCH } from './protocols';

/** What a strand does, as shares of its length at rest: how far it can be drawn out, and how much of that stays. */
export interface StrandShape {
  readonly stretch: number;
  readonly stays: number;
}

/**
 * A strand of this firmness. A firm one stretches less; a soft one stretches further and returns less, and how its softness is
 * shared out between the two differs from head to head.
 * @param ofStretch 0 to 1: the share of softness that shows in the stretch, the rest in the return
 */
export function strandShape(firmness: number, ofStretch: number): StrandShape {
  const { comfortablePercent, comfortableReturnPercent, stretchPerFirmness, returnPerFirmness } = STRETCH;
  const soft = Math.max(0, -firmness);
  const stretchPercent = comfortablePercent - stretchPerFirmness * (Math.max(0, firmness) - soft * ofStretch);
  const stretch = Math.max(stretchPercent, STRETCH.leastPercent) / 100;
  const returned = Math.max(comfortableReturnPercent - returnPerFirmness * soft * (1 - ofStretch), 0) / 100;
  return { stretch, stays: stretch * (1 - returned) };
}

/** How probably a strand of this firmness snaps before it stops giving. */
export function snapsAt(firmness: number): number {
  return normalCdf((firmness - STRETCH.snapsFrom) / STRETCH.snapsSpread);
}

/** Strands of one head lie around it: levels of theirs reach so many steps of the grid beyond it on each side. */
const BEYOND = 10;
const STRAND_LEVELS = Float64Array.from({ length: FIRMNESS_GRID.points + 2 * BEYOND }, (_, index) =>
  gridLevel(index - BEYOND),
);

/** Of the softness that shows in the stretch; half is likeliest (working assumption). */
const SPLITS = [
  { ofStretch: 0, weight: 0.05 },
  { ofStretch: 0.25, weight: 0.2 },
  { ofStretch: 0.5, weight: 0.5 },
  { ofStretch: 0.75, weight: 0.2 },
  { ofStretch: 1, weight: 0.05 },
] as const;

/** A firm strand that did not snap is rare, not impossible. */
const LEAST_HELD = 1e-3;
const SNAPS = STRAND_LEVELS.map(snapsAt);
const HELD = SNAPS.map((snaps) => Math.max(1 - snaps, LEAST_HELD));

/** What the stretched and the released length are at each level, as multiples of the true length at rest, split by split. */
const MULTIPLES = SPLITS.map(({ ofStretch, weight }) => {
  const shapes = Array.from(STRAND_LEVELS, (level) => strandShape(level, ofStretch));
  const stretched = Float64Array.from(shapes, ({ stretch }) => 1 + stretch);
  const released = Float64Array.from(shapes, ({ stays }) => 1 + stays);
  const square = stretched.map((each, index) => 1 + each ** 2 + released[index]! ** 2);
  return { stretched, released, square, weights: square.map((each) => weight / Math.sqrt(each)) };
});

/** Far below the likeliest nothing adds to the sum. */
const NEGLIGIBLE = 20;
const missed = MULTIPLES.map(() => new Float64Array(STRAND_LEVELS.length));

/**
 * Likelihood of three lengths, each read with the ruler's error, at each level that this one strand may have: of a length at rest
 * that nobody knows, each is a known multiple.
 */
function heldLikelihood({
  restMm,
  stretchedMm,
  releasedMm,
}: Extract<Strand, { outcome: 'returned' }>): Float64Array {
  const own = restMm ** 2 + stretchedMm ** 2 + releasedMm ** 2;
  const scale = 1 / (2 * STRETCH.lengthErrorMm ** 2);
  let least = Infinity;
  MULTIPLES.forEach(({ stretched, released, square }, split) => {
    const here = missed[split]!;
    for (let index = 0; index < here.length; index++) {
      const along = restMm + stretchedMm * stretched[index]! + releasedMm * released[index]!;
      here[index] = (own - along ** 2 / square[index]!) * scale;
      if (here[index]! < least) least = here[index]!;
    }
  });
  const found = new Float64Array(STRAND_LEVELS.length);
  MULTIPLES.forEach(({ weights }, split) => {
    const here = missed[split]!;
    for (let index = 0; index < here.length; index++) {
      // Against the likeliest, so that what no strand can be still stands at an end.
      const behind = here[index]! - least;
      if (behind < NEGLIGIBLE)
        found[index] = found[index]! + weights[index]! * HELD[index]! * Math.exp(-behind);
    }
  });
  return found;
}

/** Likelihood of a strand's raw lengths at each level that this one strand may have, up to a factor. */
function ofOneStrand(strand: Strand): Float64Array {
  if (strand.outcome === 'returned') return heldLikelihood(strand);
  const { restMm, snappedMm } = strand;
  if (snappedMm === null) return SNAPS;
  const atLeast = (STRETCH.comfortablePercent - 100 * (snappedMm / restMm - 1)) / STRETCH.stretchPerFirmness;
  const error = (100 * STRETCH.lengthErrorMm * Math.SQRT2) / restMm / STRETCH.stretchPerFirmness;
  // It would have given further: it is at least as firm as what it gave, and nobody knows how much firmer.
  return SNAPS.map((snaps, index) => snaps * normalCdf((STRAND_LEVELS[index]! - atLeast) / error));
}

/** Density of one strand's firmness around the head's, for each distance on the grid. */
const SPREAD = Float64Array.from(
  { length: FIRMNESS_GRID.points + BEYOND },
  (_, distance) =>
    (normalDensity((distance * FIRMNESS_GRID.step) / STRETCH.strandSpread) / STRETCH.strandSpread) *
    FIRMNESS_GRID.step,
);

export interface StrandLikelihood {
  /** For each firmness of the head on the grid; of a strand that snapped a probability, else a density of its firmness. */
  readonly at: Float64Array;
  /** What of it is owed to the chance that the strand is mistyped or of somebody else: the same at each firmness. */
  readonly stray: number;
}

/**
 * Likelihood of one strand's lengths for each firmness of the head: strands of one head differ.
 * @param strayShare 0 to 1: how probably it tells nothing of this head
 */
export function strandLikelihood(strand: Strand, strayShare: number): StrandLikelihood {
  const own = ofOneStrand(strand);
  const isMeasured = strand.outcome === 'returned';
  const total = isMeasured ? own.reduce((sum, value) => sum + value, 0) * FIRMNESS_GRID.step : 1;
  const stray = strayShare * (isMeasured ? 1 / (FIRMNESS_GRID.step * FIRMNESS_GRID.points) : 0.5);
  const scale = (1 - strayShare) / total;
  const at = new Float64Array(FIRMNESS_GRID.points);
  const first = own.findIndex((value) => value > 0);
  const last = own.findLastIndex((value) => value > 0);
  for (let head = 0; head < at.length; head++) {
    let here = 0;
    for (let each = first; each <= last; each++) here += own[each]! * SPREAD[Math.abs(each - BEYOND - head)]!;
    at[head] = here * scale + stray;
  }
  return { at, stray };
}
