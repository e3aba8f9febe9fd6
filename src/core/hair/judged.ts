import { countLogLikelihood, type Count } from '../readings';
import { normalLogDensity, type Moments } from './kalman';

/**
 * How measurements that may be wrong enter a filter. One in twenty is taken to be off altogether (a mistyped length, a strand of
 * somebody else): its error is then five times as large. Working assumptions, held to account by docs/model.md's table.
 */
export const OFF = { share: 0.05, errorFactor: 5 } as const;

/** A measurement as a filter may take it in, judged by what was expected before it. */
export interface Judged {
  readonly value: number;
  readonly errorVariance: number;
  readonly logLikelihood: number;
  /** 0 to 1: how probably this measurement is off, by what was expected before it. */
  readonly off: number;
}

/** A value with a Gaussian error: the further from what was expected, the less it counts. */
export function judgedValue(level: Moments, value: number, errorVariance: number): Judged {
  const surprise = value - level.mean;
  const wide = errorVariance * OFF.errorFactor ** 2;
  const asMeant = Math.log(1 - OFF.share) + normalLogDensity(surprise, level.variance + errorVariance);
  const asOff = Math.log(OFF.share) + normalLogDensity(surprise, level.variance + wide);
  const off = 1 / (1 + Math.exp(asMeant - asOff));
  const precision = (1 - off) / errorVariance + off / wide;
  return {
    value,
    errorVariance: 1 / precision,
    logLikelihood: logSum(asMeant, asOff),
    off,
  };
}

/**
 * A count: the level's Gaussian times the count's likelihood, brought back to the Gaussian of the same mean and
 * variance (assumed density filtering), as the one measurement that would have led there.
 */
export function judgedCount(before: Moments, count: Count, overdispersion: number): Judged {
  const meant = countLogLikelihood(count, overdispersion);
  const wild = countLogLikelihood(count, overdispersion * OFF.errorFactor ** 2);
  const moments = posteriorMoments(before, (level) => ({
    meant: Math.log(1 - OFF.share) + meant(level),
    off: Math.log(OFF.share) + wild(level),
  }));
  // A count so odd that it would leave the level less certain than before is not taken in.
  const precision = Math.max(1 / moments.variance - 1 / before.variance, 1e-9);
  const value = before.mean + (moments.mean - before.mean) * (1 + 1 / (precision * before.variance));
  return {
    value,
    errorVariance: 1 / precision,
    logLikelihood: moments.logLikelihood,
    off: moments.off,
  };
}

/** Points of the trapezoid rule, and how many standard deviations of the prior they span to each side. */
const GRID = { points: 61, span: 6 } as const;

function posteriorMoments(
  { mean, variance }: Moments,
  logLikelihood: (level: number) => { meant: number; off: number },
) {
  const sd = Math.sqrt(variance);
  const step = (2 * GRID.span) / (GRID.points - 1);
  const levels = Array.from({ length: GRID.points }, (_, index) => -GRID.span + index * step);
  const at = levels.map((z) => logLikelihood(mean + sd * z));
  const greatest = Math.max(
    ...at.map(({ meant, off }, index) => Math.max(meant, off) - levels[index]! ** 2 / 2),
  );
  let total = 0;
  let totalOff = 0;
  let first = 0;
  let second = 0;
  at.forEach(({ meant, off }, index) => {
    const z = levels[index]!;
    const ofOff = Math.exp(off - z ** 2 / 2 - greatest);
    const weight = Math.exp(meant - z ** 2 / 2 - greatest) + ofOff;
    total += weight;
    totalOff += ofOff;
    first += weight * z;
    second += weight * z * z;
  });
  const z = first / total;
  return {
    mean: mean + sd * z,
    variance: variance * Math.max(second / total - z * z, 1e-6),
    logLikelihood: greatest + Math.log((total * step) / Math.sqrt(2 * Math.PI)),
    off: totalOff / total,
  };
}

function logSum(a: number, b: number): number {
  const greatest = Math.max(a, b);
  return greatest + Math.log(Math.exp(a - greatest) + Math.exp(b - greatest));
}
