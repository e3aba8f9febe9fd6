import fc from 'fast-check';
import { lastingDays } from './lasting';

const state = (halfLifeDays: number, low = 5, high = 12) =>
  ({ signal: 'firmness', halfLifeDays, halfLifeRange: { low, high } }) as const;

describe('how long an effect lasts', () => {
  it('is one half-life for twice what can just be noticed, two for four times', () => {
    expect(lastingDays(0.5, state(8))).toEqual({ days: 8, low: 5, high: 12 });
    expect(lastingDays(-1, state(8))?.days).toBeCloseTo(16, 9);
  });

  it('is not told of what cannot be noticed', () => {
    expect(lastingDays(0.2, state(8))).toBeNull();
    expect(lastingDays(0, state(8))).toBeNull();
  });

  it('grows with the effect and the half-life, and lies in its range', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.double({ min: 5, max: 12, noNaN: true }),
        (effect, more, halfLife) => {
          const less = lastingDays(effect, state(halfLife))!;
          expect(lastingDays(effect + more, state(halfLife))!.days).toBeGreaterThan(less.days);
          expect(less.low).toBeLessThanOrEqual(less.days);
          expect(less.high).toBeGreaterThanOrEqual(less.days);
        },
      ),
    );
  });
});
