import { countLogLikelihood, type Count } from '../checks';
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
  const moments = posteriorMoments(
    before,
    countLogLikelihood(count, overdispersion),
    countLogLikelihood(count, overdispersion * OFF.errorFactor ** 2),
  );
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

/**
 * The trapezoid rule over the prior: points three tenths of a standard deviation apart, out to six of them on each side. On a Gaussian times a smooth likelihood
 * its error is far below that of the likelihood itself; judged.test.ts holds it to a sum of fourteen thousand points.
 */
const STEP = 0.3;
const POINTS = Float64Array.from({ length: 41 }, (_, index) => (index - 20) * STEP);
const meantAt = new Float64Array(POINTS.length);
const offAt = new Float64Array(POINTS.length);

type LogLikelihood = (level: number) => number;

function posteriorMoments({ mean, variance }: Moments, meant: LogLikelihood, wild: LogLikelihood) {
  const sd = Math.sqrt(variance);
  const [logMeant, logOff] = [Math.log(1 - OFF.share), Math.log(OFF.share)];
  let greatest = -Infinity;
  for (let index = 0; index < POINTS.length; index++) {
    const z = POINTS[index]!;
    const level = mean + sd * z;
    meantAt[index] = logMeant + meant(level) - (z * z) / 2;
    offAt[index] = logOff + wild(level) - (z * z) / 2;
    greatest = Math.max(greatest, meantAt[index]!, offAt[index]!);
  }
  let [total, totalOff, first, second] = [0, 0, 0, 0];
  for (let index = 0; index < POINTS.length; index++) {
    const z = POINTS[index]!;
    const ofOff = Math.exp(offAt[index]! - greatest);
    const weight = Math.exp(meantAt[index]! - greatest) + ofOff;
    total += weight;
    totalOff += ofOff;
    first += weight * z;
    second += weight * z * z;
  }
  const z = first / total;
  return {
    mean: mean + sd * z,
    variance: variance * Math.max(second / total - z * z, 1e-6),
    logLikelihood: greatest + Math.log((total * STEP) / Math.sqrt(2 * Math.PI)),
    off: totalOff / total,
  };
}

function logSum(a: number, b: number): number {
  const greatest = Math.max(a, b);
  return greatest + Math.log(Math.exp(a - greatest) + Math.exp(b - greatest));
}
