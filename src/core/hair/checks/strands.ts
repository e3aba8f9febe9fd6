import { plural, t } from '@lingui/core/macro';
import { clamp, mean, rounded } from '../../base/measures';
import type { Strand } from '../../records/shapes';
import { asGridLikelihood, FIRMNESS_GRID, nearestOnGrid, summaryOf, type GridLikelihood } from './likelihood';
import { STRETCH } from './protocols';
import { strandLikelihood } from './strandModel';

export interface StrandFigures {
  /** Null for a strand that snapped unseen. */
  readonly stretchPercent: number | null;
  /** Null for a strand that snapped. */
  readonly returnPercent: number | null;
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
  const { restMm } = strand;
  if (strand.outcome === 'snapped') {
    const stretchPercent = strand.snappedMm === null ? null : stretchPercentOf(restMm, strand.snappedMm);
    return { stretchPercent, returnPercent: null };
  }
  const { stretchedMm, releasedMm } = strand;
  return {
    stretchPercent: stretchPercentOf(restMm, stretchedMm),
    returnPercent: returnPercentOf(restMm, stretchedMm, releasedMm),
  };
}

export interface StrandsTogether {
  readonly firmness: number;
  readonly sd: number;
  /** How many stand apart from the rest and count less: perhaps mistyped, perhaps of somebody else. */
  readonly apart: number;
  readonly likelihood: GridLikelihood;
  readonly why: string;
}

/**
 * Several strands of one reading as one firmness: the likelihood of their raw lengths, with the ruler's error on each and the
 * difference between strands of one head, as its mean and spread. A strand that stands apart counts less.
 */
export function strandsTogether(strands: readonly Strand[]): StrandsTogether {
  // Of two nobody can say which one is wrong.
  const strayShare = strands.length < 3 ? 0 : STRETCH.strayShare;
  const each = strands.map((strand) => strandLikelihood(strand, strayShare));
  const likelihood = asGridLikelihood(
    Array.from({ length: FIRMNESS_GRID.points }, (_, index) => {
      let together = 0;
      for (const { at } of each) together += Math.log(Math.max(at[index]!, LEAST));
      return together;
    }),
  );
  const { mean: firmness, sd, open } = summaryOf(likelihood);
  const here = nearestOnGrid(firmness);
  // It rather is mistyped, or of somebody else, than what the others say.
  const apart = each.filter(({ at, stray }) => stray > at[here]! / 2).length;
  const figures = strands.map(strandFigures);
  const snapped = strands.filter(({ outcome }) => outcome === 'snapped').length;
  const stretches = figures.flatMap(({ stretchPercent }) => stretchPercent ?? []);
  const returns = figures.flatMap(({ returnPercent }) => returnPercent ?? []);
  const parts = [
    plural({ count: strands.length }, { one: '# strand', other: '# strands' }),
    ...(stretches.length > 0 ? [t`stretch ${{ mean: rounded(mean(stretches)) }} %`] : []),
    ...(returns.length > 0 ? [t`return ${{ mean: rounded(mean(returns)) }} %`] : []),
    ...(snapped > 0 ? [plural(snapped, { one: '# snapped', other: '# snapped' })] : []),
    ...(apart > 0
      ? [plural(apart, { one: '# stands apart and counts less', other: '# stand apart and count less' })]
      : []),
    ...(open === 'firmer' ? [t`at least this firm`] : []),
  ];
  return { firmness, sd, apart, likelihood, why: parts.join(', ') };
}

/** Nothing is impossible. */
const LEAST = 1e-30;

/** Strands beyond which one sitting gains nothing worth having. */
const MOST_USEFUL_STRANDS = 12;
/** One side of a comfort zone's edge is settled at this many errors from it: nine times in ten on the right side. */
const SETTLED_ERRORS = 1.28;

/**
 * How many more strands would settle on which side of the comfort zone's nearest edge this head stands, if the next ones are like those
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
