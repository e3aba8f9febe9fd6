import fc from 'fast-check';
import { SINKS, SLIDES, type PorosityTests } from '../../records/shapes';
import { porosityIndex } from './porosityIndex';

const hair = { hairGrams: 75 };
const NONE: PorosityTests = { mistSoakSeconds: null, dryMinutes: null, slide: null, sink: null };
const index = (tests: Partial<PorosityTests>) => porosityIndex({ ...NONE, ...tests }, hair);

describe('the porosity index', () => {
  it('trusts the sink test least and says so', () => {
    const alone = index({ sink: 'sinks' });
    expect(alone.sd).toBeGreaterThan(2 * index({ mistSoakSeconds: 45 }).sd);
    expect(alone.why).toContain('counts little');
  });

  it('finds hair that dries fast porous, against what is usual for its mass', () => {
    const thick = { hairGrams: 300 };
    expect(index({ dryMinutes: 60 }).value).toBeGreaterThan(0.9);
    expect(porosityIndex({ ...NONE, dryMinutes: 120 }, thick).value).toBeGreaterThan(
      index({ dryMinutes: 120 }).value,
    );
  });

  it('is surer from tests that agree than from any of them', () => {
    const both = index({ mistSoakSeconds: 17, slide: 'catches' });
    expect(both.disagree).toBe(false);
    expect(both.sd).toBeLessThan(index({ mistSoakSeconds: 17 }).sd);
  });

  it('widens its error where tests contradict each other', () => {
    const torn = index({ mistSoakSeconds: 5, dryMinutes: 600, slide: 'smooth' });
    expect(torn.disagree).toBe(true);
    expect(torn.why).toContain('do not agree');
    expect(torn.sd).toBeGreaterThan(index({ mistSoakSeconds: 45, dryMinutes: 120, slide: 'ridges' }).sd);
  });

  it('lies between its parts and is never less sure than the surest would allow by more than they differ', () => {
    const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null });
    fc.assert(
      fc.property(
        fc.record({
          mistSoakSeconds: maybe(fc.integer({ min: 1, max: 3600 })),
          dryMinutes: maybe(fc.integer({ min: 5, max: 1440 })),
          slide: maybe(fc.constantFrom(...SLIDES)),
          sink: fc.constantFrom(...SINKS),
        }),
        (tests) => {
          const { value, sd, parts } = porosityIndex(tests, hair);
          const values = parts.map((part) => part.value);
          expect(value).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
          expect(value).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
          expect(sd).toBeGreaterThan(0);
        },
      ),
    );
  });
});
