import { expectedExcess, normalCdf } from '../../base/measures';
import { zoneProbabilities } from './comfortZone';
import { SIGNALS } from './signals';

describe('the normal distribution', () => {
  it('has the tabled values', () => {
    expect(normalCdf(0)).toBeCloseTo(0.5, 7);
    expect(normalCdf(1.959964)).toBeCloseTo(0.975, 6);
    expect(normalCdf(-1.644854)).toBeCloseTo(0.05, 6);
  });

  it('gives the expected excess beyond an edge', () => {
    // E[max(0, Z)] = 1/√(2π)
    expect(expectedExcess(0, 1, 0)).toBeCloseTo(1 / Math.sqrt(2 * Math.PI), 6);
    expect(expectedExcess(2, 0, 0.5)).toBe(1.5);
  });

  it('splits into the comfort zone and its two sides', () => {
    const { below, within, above } = zoneProbabilities({ mean: 0, sd: 0.5 }, SIGNALS.firmness.comfortZone);
    expect(below).toBeCloseTo(0.1587, 3);
    expect(below + within + above).toBeCloseTo(1, 9);
  });
});
