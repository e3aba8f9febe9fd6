import { SIGNAL_IDS, type SignalId, type Strand } from '../../records/shapes';
import { FEEL, POROSITY_TESTS, SIGNS, strandsTogether, TALLY, type TestId } from '../checks';
import {
  zoneProbabilities,
  type Estimate,
  type ZoneProbabilities,
  type NextReading,
  type SignalState,
} from '../state';
import { needProbabilities } from './need';

/** Five springy strands of 80 mm. */
const FIVE_STRANDS: Strand[] = Array.from({ length: 5 }, () => ({
  outcome: 'returned',
  region: null,
  restMm: 80,
  stretchedMm: 104,
  releasedMm: 82,
}));

let sdOfFive: number | null = null;
const fiveStrandsSd = () => (sdOfFive ??= strandsTogether(FIVE_STRANDS).sd);

/** A usual reading of each test: what it measures and how well. */
function usualErrors(breakage: Estimate): Record<TestId, { signal: SignalId; sd: number }> {
  const days = 4;
  return {
    stretch: { signal: 'firmness', sd: fiveStrandsSd() },
    feel: { signal: 'firmness', sd: FEEL.sd },
    signs: { signal: 'firmness', sd: SIGNS.sd },
    // A Poisson count of the pieces to be expected, on the logarithm, with its over-dispersion.
    tally: { signal: 'breakage', sd: Math.sqrt(1 / (days * Math.exp(breakage.mean)) + TALLY.overdispersion) },
    porosity: { signal: 'porosity', sd: POROSITY_TESTS.mist.sd },
  };
}

/** Five-point Gauss–Hermite rule for a standard normal (Abramowitz & Stegun 25.4.46). */
const NODES = [
  { z: 0, weight: 8 / 15 },
  ...[-1, 1].flatMap((side) => [
    { z: side * Math.sqrt(5 - Math.sqrt(10)), weight: (7 + 2 * Math.sqrt(10)) / 60 },
    { z: side * Math.sqrt(5 + Math.sqrt(10)), weight: (7 - 2 * Math.sqrt(10)) / 60 },
  ]),
];

/** Shannon's entropy, bits. */
function doubt(probabilities: readonly number[]): number {
  return probabilities.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}

/**
 * Expected information of each test: the doubt about the need now, less the doubt that would be left on the average over what the
 * test may find.
 */
export function nextReadings(
  signals: Readonly<Record<SignalId, Estimate & Pick<SignalState, 'comfortZone'>>>,
): NextReading[] {
  const now = Object.fromEntries(
    SIGNAL_IDS.map((signal) => [signal, zoneProbabilities(signals[signal], signals[signal].comfortZone)]),
  ) as Record<SignalId, ZoneProbabilities>;
  const doubtWith = (comfortZones: Record<SignalId, ZoneProbabilities>) =>
    doubt(
      Object.values(needProbabilities(comfortZones.firmness, comfortZones.breakage, comfortZones.porosity)),
    );
  const ofBits = doubtWith(now);
  const tests = Object.entries(usualErrors(signals.breakage)) as [TestId, { signal: SignalId; sd: number }][];
  return tests
    .map(([test, { signal, sd }]) => {
      const { mean, sd: before, comfortZone } = signals[signal];
      const after = 1 / Math.sqrt(1 / before ** 2 + 1 / sd ** 2);
      const spread = Math.sqrt(before ** 2 - after ** 2);
      const left = NODES.reduce((sum, { z, weight }) => {
        const found = zoneProbabilities({ mean: mean + spread * z, sd: after }, comfortZone);
        return sum + weight * doubtWith({ ...now, [signal]: found });
      }, 0);
      return { test, signal, ofBits, bits: Math.max(0, ofBits - left) };
    })
    .sort((a, b) => b.bits - a.bits);
}
