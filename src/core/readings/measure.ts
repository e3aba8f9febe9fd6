import { clamp, mean, rounded } from '../measures';
import { logRate } from './logCount';
import { FEEL, MIST, SHED_REFERRAL_PER_DAY, STRETCH, TALLY } from './protocols';
import type { Reading, Strand } from './reading';

export const SIGNAL_IDS = ['firmness', 'breakage', 'porosity'] as const;
export type SignalId = (typeof SIGNAL_IDS)[number];

/** One signal as one test saw it. */
export interface Measurement {
  readonly signal: SignalId;
  readonly test: 'stretch' | 'feel' | 'tally' | 'mist';
  /** On the signal's own scale. */
  readonly value: number;
  /** One standard deviation of the test, same scale. */
  readonly sd: number;
  /** The arithmetic in words. */
  readonly why: string;
}

export interface StrandFigures {
  readonly stretchPercent: number;
  /** Null for a strand that snapped. */
  readonly returnPercent: number | null;
  readonly firmness: number;
}

/** stretch % = (stretched − rest)/rest; return % = (stretched − released)/(stretched − rest). */
export function strandFigures(strand: Strand): StrandFigures {
  const percentOver = (lengthMm: number) => (100 * (lengthMm - strand.restMm)) / strand.restMm;
  const shortness = (stretchPercent: number) =>
    (STRETCH.comfortablePercent - stretchPercent) / STRETCH.stretchPerFirmness;
  const bounded = (firmness: number) => clamp(firmness, -STRETCH.mostFirmness, STRETCH.mostFirmness);

  if (strand.outcome === 'snapped') {
    const stretchPercent =
      strand.snappedMm === null ? STRETCH.unseenSnapPercent : percentOver(strand.snappedMm);
    return {
      stretchPercent,
      returnPercent: null,
      firmness: bounded(shortness(stretchPercent) + STRETCH.snapFirmness),
    };
  }
  const { stretchedMm, releasedMm, restMm } = strand;
  const stretchPercent = percentOver(stretchedMm);
  // A strand that does not stretch at all has nothing to return from; it counts as fully returned.
  const returnPercent =
    stretchedMm === restMm ? 100 : clamp((100 * (stretchedMm - releasedMm)) / (stretchedMm - restMm), 0, 110);
  const lost = Math.max(0, STRETCH.comfortableReturnPercent - returnPercent) / STRETCH.returnPerFirmness;
  return { stretchPercent, returnPercent, firmness: bounded(shortness(stretchPercent) - lost) };
}

function stretchMeasurement(strands: readonly Strand[]): Measurement {
  const figures = strands.map(strandFigures);
  const value = mean(figures.map((figure) => figure.firmness));
  // The ruler's error on a typical strand: on the stretch, and on the return through the length that was stretched.
  const restMm = mean(strands.map((strand) => strand.restMm));
  const stretchedByMm = (restMm * STRETCH.comfortablePercent) / 100;
  const ofStretch = (100 * STRETCH.lengthErrorMm) / restMm / STRETCH.stretchPerFirmness;
  const ofReturn = (100 * Math.SQRT2 * STRETCH.lengthErrorMm) / stretchedByMm / STRETCH.returnPerFirmness;
  const sd = Math.sqrt((STRETCH.strandSpread ** 2 + ofStretch ** 2 + ofReturn ** 2) / strands.length);
  const snapped = figures.filter((figure) => figure.returnPercent === null).length;
  const returns = figures.flatMap((figure) => figure.returnPercent ?? []);
  const parts = [
    `${strands.length} ${strands.length === 1 ? 'strand' : 'strands'}`,
    `stretch ${rounded(mean(figures.map((figure) => figure.stretchPercent)))} %`,
    ...(returns.length > 0 ? [`return ${rounded(mean(returns))} %`] : []),
    ...(snapped > 0 ? [`${snapped} snapped`] : []),
  ];
  return { signal: 'firmness', test: 'stretch', value, sd, why: parts.join(', ') };
}

/** What one reading says about the three signals; a test that was not taken says nothing. */
export function measurementsOf(
  reading: Pick<Reading, 'strands' | 'tally' | 'mistSoakSeconds' | 'feel'>,
): Measurement[] {
  const found: Measurement[] = [];
  if (reading.strands.length > 0) found.push(stretchMeasurement(reading.strands));
  if (reading.feel !== null) {
    found.push({
      signal: 'firmness',
      test: 'feel',
      value: reading.feel * FEEL.firmnessPerStep,
      sd: FEEL.sd,
      why: 'how it feels, seven steps from gummy to straw',
    });
  }
  if (reading.tally) {
    const { broken, days } = reading.tally;
    const rate = logRate(broken, days);
    found.push({
      signal: 'breakage',
      test: 'tally',
      value: rate.mean,
      sd: Math.sqrt(rate.variance + TALLY.overdispersion),
      why: `${broken} broken ${broken === 1 ? 'piece' : 'pieces'} in ${days} ${days === 1 ? 'day' : 'days'}`,
    });
  }
  if (reading.mistSoakSeconds !== null) {
    found.push({
      signal: 'porosity',
      test: 'mist',
      value: (Math.log(MIST.middleSeconds) - Math.log(reading.mistSoakSeconds)) / MIST.logSecondsPerUnit,
      sd: MIST.sd,
      why: `mist soaked in after ${rounded(reading.mistSoakSeconds)} s`,
    });
  }
  return found;
}

/** Whether this much shedding is a doctor's matter, not a mask's. */
export function callsForDoctor(reading: Pick<Reading, 'tally'>): boolean {
  return reading.tally !== null && reading.tally.shed / reading.tally.days > SHED_REFERRAL_PER_DAY;
}
