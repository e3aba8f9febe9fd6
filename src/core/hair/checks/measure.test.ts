import { testStrand, testTally } from '../../lab/testing';
import { NO_MARKS, NOTHING_MEASURED, type Measured } from '../../records/shapes';
import { countLogLikelihood, logRate } from './counts';
import { measurementsOf } from './measure';

const hair = { hairGrams: 75 };
const measured = (part: Partial<Measured>) => measurementsOf({ ...NOTHING_MEASURED, ...part }, hair);
const porosity = (seconds: number) => ({
  mistSoakSeconds: seconds,
  dryMinutes: null,
  slide: null,
  sink: null,
});

describe('the tests of one reading', () => {
  it('say nothing when they were not taken', () => {
    expect(measured({})).toEqual([]);
  });

  it.each([
    [-3, -1.5, 'gummy'],
    [0, 0, 'springy'],
    [3, 1.5, 'straw'],
  ])('feel step %d is firmness %d, %s', (feel, value, word) => {
    expect(measured({ feel })).toMatchObject([
      { signal: 'firmness', test: 'feel', value, why: expect.stringContaining(word) },
    ]);
  });

  it('find hair that drinks at once porous and hair that refuses not', () => {
    const porosityAt = (seconds: number) => measured({ porosity: porosity(seconds) })[0]?.value ?? NaN;
    expect(porosityAt(8)).toBeGreaterThan(1);
    expect(porosityAt(45)).toBe(0);
    expect(porosityAt(200)).toBeLessThan(-1);
  });

  it('know breakage better from more pieces, whichever section they fell in', () => {
    const sdOf = (broken: number) => measured({ tally: testTally(broken, 0, 3) })[0]?.sd ?? NaN;
    expect(sdOf(40)).toBeLessThan(sdOf(4));
    expect(Number.isFinite(sdOf(0))).toBe(true);
    const sections = [
      { broken: 3, shed: 10 },
      { broken: 8, shed: 20 },
    ];
    expect(measured({ tally: { sections, days: 4 } })[0]).toMatchObject({
      count: { pieces: 11, days: 4 },
      why: '11 broken pieces in 4 days',
    });
  });

  it('take tangles without slip or shine for firm, slippery clumping hair for soft, and are not sure of either', () => {
    const rough = measured({ marks: { ...NO_MARKS, tangles: 4, slip: 0, shine: 0 } })[0];
    const limp = measured({ marks: { ...NO_MARKS, tangles: 0, slip: 4 } })[0];
    expect(rough).toMatchObject({ signal: 'firmness', test: 'signs' });
    expect(rough?.value).toBeGreaterThan(0.5);
    expect(limp?.value).toBeLessThan(-0.5);
    expect(rough?.sd).toBeGreaterThan(measured({ feel: 0 })[0]!.sd);
  });

  it('hear nothing of firmness in residue alone', () => {
    expect(measured({ marks: { ...NO_MARKS, residue: 4 } })).toEqual([]);
  });

  it('are put beside each other in one reading', () => {
    const all = measured({
      strands: [testStrand(60, 78, 61)],
      tally: testTally(3, 90, 2),
      porosity: porosity(30),
      feel: 1,
      marks: { ...NO_MARKS, shine: 2 },
    });
    expect(all.map(({ test }) => test)).toEqual(['stretch', 'feel', 'signs', 'tally', 'porosity']);
  });
});

describe('counts', () => {
  it('agree with the log-gamma posterior summed by brute force', () => {
    const [count, days] = [11, 4];
    const shape = count + 0.5;
    const step = 0.0005;
    let mass = 0;
    let first = 0;
    let second = 0;
    for (let log = -6; log < 6; log += step) {
      const density = Math.exp(shape * log - Math.exp(log) * days) * step;
      mass += density;
      first += density * log;
      second += density * log * log;
    }
    const mean = first / mass;
    const { mean: m, variance } = logRate(count, days);
    expect(m).toBeCloseTo(mean, 6);
    expect(variance).toBeCloseTo(second / mass - mean ** 2, 6);
  });

  it('say little about a fall from 8 to 4 in a day', () => {
    const [eight, four] = [logRate(8, 1), logRate(4, 1)];
    const difference = eight.mean - four.mean;
    expect(difference / Math.sqrt(eight.variance + four.variance)).toBeLessThan(1.645);
  });

  it.each([0.03, 0.1, 0.4])(
    'of one rate add up to one, with their mean and an over-dispersion of %d',
    (dispersion) => {
      const perDay = 3;
      const days = 4;
      const rows = Array.from({ length: 400 }, (_, pieces) => ({
        pieces,
        p: Math.exp(countLogLikelihood({ pieces, days }, dispersion)(Math.log(perDay))),
      }));
      const total = rows.reduce((sum, { p }) => sum + p, 0);
      const mean = rows.reduce((sum, { p, pieces }) => sum + p * pieces, 0);
      const variance = rows.reduce((sum, { p, pieces }) => sum + p * (pieces - mean) ** 2, 0);
      expect(total).toBeCloseTo(1, 8);
      expect(mean).toBeCloseTo(12, 6);
      // Negative binomial: the mean, and the over-dispersion times its square.
      expect(variance).toBeCloseTo(12 + dispersion * 144, 5);
    },
  );
});
