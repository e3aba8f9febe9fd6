import { countLogLikelihood, likelihoodsAt, type Count, type GridLikelihood } from '../checks';
import { normalLogDensity, type Moments } from './kalman';

/**
 * How measurements that may be wrong enter a filter. One in twenty is taken to be off altogether (a mistyped length, a strand of
 * somebody else): its error is then five times as large. Working assumptions, held to account by docs/model.md's table.
 */
export const OFF = { share: 0.05, errorFactor: 5 } as const;
/** Of a reading whose strands stand in for each other: all of them rarely go astray the same way. */
const OFF_TOGETHER_SHARE = 0.01;

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
  return asOneValue(
    before,
    posteriorMoments(before, (levels) => {
      for (let index = 0; index < levels.length; index++) {
        meantAt[index] = meant(levels[index]!);
        wildAt[index] = wild(levels[index]!);
      }
    }),
  );
}

/**
 * What has a likelihood of its own enters the same way. Errors so many times as large flatten it as they would a Gaussian: its
 * logarithm is divided by their square.
 * @param sd of the likelihood where it has one, for its weight among hypotheses
 */
export function judgedLikelihood(
  before: Moments,
  likelihood: GridLikelihood,
  sd: number,
  errorFactor: number,
  isOfMany: boolean,
): Judged {
  const wildFactor = errorFactor * OFF.errorFactor;
  const [constant, wildConstant] = [errorFactor, wildFactor].map(
    (factor) => -Math.log(Math.sqrt(2 * Math.PI) * sd * factor),
  ) as [number, number];
  const [share, wildShare] = [1 / errorFactor ** 2, 1 / wildFactor ** 2];
  return asOneValue(
    before,
    posteriorMoments(
      before,
      (levels) => {
        likelihoodsAt(likelihood, levels, meantAt);
        for (let index = 0; index < levels.length; index++) {
          const log = meantAt[index]!;
          meantAt[index] = constant + share * log;
          wildAt[index] = wildConstant + wildShare * log;
        }
      },
      isOfMany ? OFF_TOGETHER_SHARE : OFF.share,
    ),
  );
}

/** The one measurement with a Gaussian error that would have led there. */
function asOneValue(before: Moments, moments: ReturnType<typeof posteriorMoments>): Judged {
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
const levelAt = new Float64Array(POINTS.length);
const meantAt = new Float64Array(POINTS.length);
const wildAt = new Float64Array(POINTS.length);

/** @param fill writes the log-likelihood at each of these levels, as meant and if it is off, into `meantAt` and `wildAt` */
function posteriorMoments(
  { mean, variance }: Moments,
  fill: (levels: Float64Array) => void,
  offShare: number = OFF.share,
) {
  const sd = Math.sqrt(variance);
  for (let index = 0; index < POINTS.length; index++) levelAt[index] = mean + sd * POINTS[index]!;
  fill(levelAt);
  const [logMeant, logOff] = [Math.log(1 - offShare), Math.log(offShare)];
  let greatest = -Infinity;
  for (let index = 0; index < POINTS.length; index++) {
    const z = POINTS[index]!;
    meantAt[index] = logMeant + meantAt[index]! - (z * z) / 2;
    wildAt[index] = logOff + wildAt[index]! - (z * z) / 2;
    greatest = Math.max(greatest, meantAt[index]!, wildAt[index]!);
  }
  let [total, totalOff, first, second] = [0, 0, 0, 0];
  for (let index = 0; index < POINTS.length; index++) {
    const z = POINTS[index]!;
    const ofOff = Math.exp(wildAt[index]! - greatest);
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
