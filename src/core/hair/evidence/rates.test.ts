import { randomGamma, randomLcg, randomNormal, randomPoisson } from 'd3-random';
import fc from 'fast-check';
import { addDays, calendarDay } from '../../base/measures';
import { rateOf, rateRatio, rateRatioWords } from './rates';

const counts = (...pieces: number[]) => pieces.map((count) => ({ pieces: count, days: 3 }));

describe('a rate from counts', () => {
  it('of eleven pieces in four days is known to about a factor of two', () => {
    const rate = rateOf([{ pieces: 11, days: 4 }]);
    expect(rate.perDay).toBeCloseTo(11.5 / 4, 6);
    expect([rate.low, rate.high].map((value) => Number(value.toFixed(1)))).toEqual([1.2, 5.1]);
  });

  it('holds its rate nine times in ten or more, and is surer from more counts', () => {
    const one = rateOf(counts(12));
    const five = rateOf(counts(12, 11, 13, 12, 12));
    expect(five.high - five.low).toBeLessThan(one.high - one.low);
  });

  it('of nothing is low, and not none', () => {
    const { low, perDay, high } = rateOf(counts(0));
    expect(low).toBeGreaterThanOrEqual(0);
    expect(perDay).toBeGreaterThan(0);
    expect(high).toBeLessThan(1.5);
  });
});

describe('a claim about counts', () => {
  it('of 8 before and 4 after is no change that counts can show', () => {
    const claim = rateRatio([{ pieces: 8, days: 1 }], [{ pieces: 4, days: 1 }]);
    expect([claim.low < 1, claim.high > 1]).toEqual([true, true]);
    expect(rateRatioWords(claim)).toContain('One count on a side says next to nothing');
  });

  it('of a fall that many counts show says by how much at least', () => {
    const claim = rateRatio(counts(40, 44, 38, 41, 43), counts(12, 10, 14, 11, 12));
    expect(claim.high).toBeLessThan(0.7);
    expect(rateRatioWords(claim)).toMatch(/^Fewer: by about 7\d %, and by at least/);
  });

  it('of a rise says so', () => {
    expect(rateRatioWords(rateRatio(counts(10, 12, 11, 9), counts(40, 38, 44, 41)))).toMatch(
      /^More: by about/,
    );
  });

  it('of the same counts says nothing', () => {
    expect(rateRatioWords(rateRatio(counts(20, 22), counts(21, 20)))).toContain(
      'No change that the counts can show',
    );
  });

  it('turned about is the inverse, whatever the counts', () => {
    const some = fc.array(
      fc.record({ pieces: fc.integer({ min: 0, max: 200 }), days: fc.integer({ min: 1, max: 20 }) }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(some, some, (one, other) => {
        const forth = rateRatio(one, other);
        const back = rateRatio(other, one);
        expect(forth.ratio * back.ratio).toBeCloseTo(1, 6);
        expect(forth.low).toBeLessThanOrEqual(forth.ratio * 1.2);
        expect(forth.low * back.high).toBeCloseTo(1, 3);
      }),
      { numRuns: 60 },
    );
  });

  /** A head to which nothing is done: its breakage wanders about where it rests, and is counted every fourth day. */
  function wandering(seed: number, length: number) {
    const random = randomLcg(seed);
    const normal = randomNormal.source(random)(0, 1);
    const scatter = randomGamma.source(random)(10, 0.1);
    const kept = 2 ** (-1 / 10);
    let [rest, level] = [Math.log(6), Math.log(6) + 0.4 * normal()];
    let perDay = 0;
    return Array.from({ length: 4 * length }, (_, day) => {
      rest += 0.01 * normal();
      level = rest + kept * (level - rest) + 0.15 * normal();
      perDay += Math.exp(level);
      if (day % 4 < 3) return [];
      const pieces = randomPoisson.source(random)(perDay * scatter())();
      perDay = 0;
      return [{ pieces, days: 4, day: addDays(calendarDay('2026-01-01'), day) }];
    }).flat();
  }
  const isClaim = ({ low, high }: { low: number; high: number }) => high < 1 || low > 1;

  it('is made in no more than one life of ten in which nothing was done, on a set date', () => {
    const lives = Array.from({ length: 600 }, (_, seed) => wandering(seed / 600, 16));
    const claimed = (dated: boolean) =>
      lives.filter((life) => {
        const told = dated ? life : life.map(({ pieces, days }) => ({ pieces, days }));
        return isClaim(rateRatio(told.slice(0, 8), told.slice(8)));
      }).length / lives.length;
    expect(claimed(true)).toBeLessThan(0.12);
    // Without the wander it was claimed several times as often.
    expect(claimed(false)).toBeGreaterThan(0.3);
  });

  it('is made no more often where the date is the one of ten at which the counts change most', () => {
    const lives = Array.from({ length: 400 }, (_, seed) => wandering(0.5 + seed / 800, 16));
    const made = lives.filter((life) =>
      Array.from({ length: 10 }, (_, index) => index + 3).some((at) =>
        isClaim(rateRatio(life.slice(0, at), life.slice(at), 10)),
      ),
    );
    expect(made.length / lives.length).toBeLessThan(0.12);
  });

  it('is still made of a fall by two thirds that lasts', () => {
    const lives = Array.from({ length: 200 }, (_, seed) =>
      wandering(seed / 200, 20).map((count, index) =>
        index < 10 ? count : { ...count, pieces: Math.round(count.pieces / 3) },
      ),
    );
    const seen = lives.filter((life) => rateRatio(life.slice(0, 10), life.slice(10)).high < 1);
    expect(seen.length / lives.length).toBeGreaterThan(0.8);
  });

  it('holds the true ratio about nine times in ten, also where counts scatter more than Poisson’s', () => {
    const random = randomLcg(0.42);
    const rate = randomGamma.source(random)(10, 0.1);
    const counted = (perDay: number) =>
      Array.from({ length: 4 }, () => ({
        pieces: randomPoisson.source(random)(3 * perDay * rate())(),
        days: 3,
      }));
    const lives = Array.from({ length: 1000 }, () => rateRatio(counted(8), counted(4)));
    const held = lives.filter(({ low, high }) => low <= 0.5 && 0.5 <= high).length / lives.length;
    expect(held).toBeGreaterThan(0.87);
    expect(held).toBeLessThan(0.95);
  });
});
