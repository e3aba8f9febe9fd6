import fc from 'fast-check';
import { countLogLikelihood } from '../checks';
import { judgedCount, judgedValue } from './judged';

const level = { mean: 0, variance: 0.3 };

describe('a measurement, judged by what was expected', () => {
  it('counts as it is when it fits, and hardly when it cannot be', () => {
    const fits = judgedValue(level, 0.4, 0.12);
    const wild = judgedValue(level, 6, 0.12);
    expect(fits.off).toBeLessThan(0.05);
    expect(fits.errorVariance).toBeLessThan(0.13);
    expect(wild.off).toBeGreaterThan(0.99);
    expect(wild.errorVariance).toBeGreaterThan(1.5);
  });

  it('is the more probably off the further away it is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0.01, max: 3, noNaN: true }),
        (at, more) => {
          expect(judgedValue(level, at + more, 0.12).off).toBeGreaterThanOrEqual(
            judgedValue(level, at, 0.12).off,
          );
        },
      ),
    );
  });
});

describe('a count, judged by what was expected', () => {
  it('leads to the mean and variance of level times likelihood, summed by brute force', () => {
    const before = { mean: Math.log(6), variance: 0.5 };
    const count = { pieces: 11, days: 4 };
    const { value, errorVariance } = judgedCount(before, count, 0.1);
    const gain = before.variance / (before.variance + errorVariance);
    const after = {
      mean: before.mean + gain * (value - before.mean),
      variance: (1 - gain) * before.variance,
    };
    const [meant, wild] = [0.1, 2.5].map((dispersion) => countLogLikelihood(count, dispersion));
    let [mass, first, second] = [0, 0, 0];
    for (let x = -6; x < 8; x += 0.001) {
      const likelihood = 0.95 * Math.exp(meant!(x)) + 0.05 * Math.exp(wild!(x));
      const density = likelihood * Math.exp(-((x - before.mean) ** 2) / (2 * before.variance));
      mass += density;
      first += density * x;
      second += density * x * x;
    }
    expect(after.mean).toBeCloseTo(first / mass, 4);
    expect(after.variance).toBeCloseTo(second / mass - (first / mass) ** 2, 4);
  });

  it('of nothing in a day says that it is low, not that it is none', () => {
    const { value, errorVariance } = judgedCount(
      { mean: Math.log(6), variance: 0.5 },
      { pieces: 0, days: 1 },
      0.1,
    );
    expect(value).toBeLessThan(Math.log(3));
    expect(errorVariance).toBeGreaterThan(0.5);
  });

  it('with a digit too many is taken for a slip', () => {
    const expected = { mean: Math.log(4), variance: 0.1 };
    expect(judgedCount(expected, { pieces: 160, days: 4 }, 0.1).off).toBeGreaterThan(0.9);
    expect(judgedCount(expected, { pieces: 19, days: 4 }, 0.1).off).toBeLessThan(0.1);
  });
});
