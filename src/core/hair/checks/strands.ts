import { plural, t } from '@lingui/core/macro';
import { clamp, mean, rounded } from '../../base/measures';
import type { Strand } from '../../records/shapes';
import { STRETCH } from './protocols';

export interface StrandFigures {
  readonly stretchPercent: number;
  /** Null for a strand that snapped. */
  readonly returnPercent: number | null;
  readonly firmness: number;
}

/** stretch % = (stretched − rest)/rest */
export function stretchPercentOf(restMm: number, stretchedMm: number): number {
  return (100 * (stretchedMm - restMm)) / restMm;
}

/** return % = (stretched − released)/(stretched − rest); a strand that does not stretch counts as fully returned. */
export function returnPercentOf(restMm: number, stretchedMm: number, releasedMm: number): number {
  if (stretchedMm === restMm) return 100;
  return clamp((100 * (stretchedMm - releasedMm)) / (stretchedMm - restMm), 0, 110);
}

export function strandFigures(strand: Strand): StrandFigures {
  const shortness = (stretchPercent: number) =>
    (STRETCH.comfortablePercent - stretchPercent) / STRETCH.stretchPerFirmness;
  const bounded = (firmness: number) => clamp(firmness, -STRETCH.mostFirmness, STRETCH.mostFirmness);

  if (strand.outcome === 'snapped') {
    const stretchPercent =
      strand.snappedMm === null
        ? STRETCH.unseenSnapPercent
        : stretchPercentOf(strand.restMm, strand.snappedMm);
    return {
      stretchPercent,
      returnPercent: null,
      firmness: bounded(shortness(stretchPercent) + STRETCH.snapFirmness),
    };
  }
  const { stretchedMm, releasedMm, restMm } = strand;
  const stretchPercent = stretchPercentOf(restMm, stretchedMm);
  const returnPercent = returnPercentOf(restMm, stretchedMm, releasedMm);
  const lost = Math.max(0, STRETCH.comfortableReturnPercent - returnPercent) / STRETCH.returnPerFirmness;
  return { stretchPercent, returnPercent, firmness: bounded(shortness(stretchPercent) - lost) };
}

/**
 * Error of one strand's firmness: how strands of one head differ, and the ruler's error on the stretch and, through the length that
 * was stretched, on the return.
 */
export function strandErrorSd(restMm: number): number {
  const stretchedByMm = (restMm * STRETCH.comfortablePercent) / 100;
  const ofStretch = (100 * STRETCH.lengthErrorMm) / restMm / STRETCH.stretchPerFirmness;
  const ofReturn = (100 * Math.SQRT2 * STRETCH.lengthErrorMm) / stretchedByMm / STRETCH.returnPerFirmness;
  return Math.hypot(STRETCH.strandSpread, ofStretch, ofReturn);
}

export interface StrandsTogether {
  readonly firmness: number;
  readonly sd: number;
  /** How many stand apart from the rest and count less: perhaps mistyped, perhaps of somebody else. */
  readonly apart: number;
  readonly why: string;
}

/** Several strands of one reading as one firmness. From three strands on, one that stands apart counts less. */
export function strandsTogether(strands: readonly Strand[]): StrandsTogether {
  const figures = strands.map(strandFigures);
  const values = figures.map(({ firmness }) => firmness);
  const errorSd = strandErrorSd(mean(strands.map(({ restMm }) => restMm)));
  const middle = medianOf(values);
  const weights = values.map((value) =>
    strands.length < 3 ? 1 : Math.min(1, (STRETCH.apartErrors * errorSd) / Math.abs(value - middle)),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const apart = weights.filter((weight) => weight < 0.8).length;
  const snapped = figures.filter(({ returnPercent }) => returnPercent === null).length;
  const returns = figures.flatMap(({ returnPercent }) => returnPercent ?? []);
  const parts = [
    plural({ count: strands.length }, { one: '# strand', other: '# strands' }),
    t`stretch ${{ mean: rounded(mean(figures.map(({ stretchPercent }) => stretchPercent))) }} %`,
    ...(returns.length > 0 ? [t`return ${{ mean: rounded(mean(returns)) }} %`] : []),
    ...(snapped > 0 ? [plural(snapped, { one: '# snapped', other: '# snapped' })] : []),
    ...(apart > 0
      ? [plural(apart, { one: '# stands apart and counts less', other: '# stand apart and count less' })]
      : []),
  ];
  return {
    firmness: values.reduce((sum, value, index) => sum + value * (weights[index] ?? 0), 0) / total,
    sd: errorSd / Math.sqrt(total),
    apart,
    why: parts.join(', '),
  };
}

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[half] ?? 0) : mean(sorted.slice(half - 1, half + 1));
}

/** Strands beyond which one sitting gains nothing worth having. */
const MOST_USEFUL_STRANDS = 12;
/** One side of a lane's edge is settled at this many errors from it: nine times in ten on the right side. */
const SETTLED_ERRORS = 1.28;

/**
 * How many more strands would settle on which side of the lane's nearest edge this head stands, if the next ones are like those
 * so far.
 * @returns 0 when it is settled; null when it lies so near an edge that more strands will not help
 */
export function strandsToSettle(
  together: Pick<StrandsTogether, 'firmness' | 'sd'>,
  taken: number,
  edges: readonly number[],
): number | null {
  const distance = Math.min(...edges.map((edge) => Math.abs(together.firmness - edge)));
  const ofOne = together.sd * Math.sqrt(taken);
  const needed = Math.ceil(((SETTLED_ERRORS * ofOne) / distance) ** 2);
  if (needed <= taken) return 0;
  return needed > MOST_USEFUL_STRANDS ? null : needed - taken;
}
