import { mean, Z90 } from '../../base/measures';
import { VirtualHead } from '../../lab/simulation';
import { testStrand } from '../../lab/testing';
import type { Strand } from '../../records/shapes';
import { likelihoodsAt } from './likelihood';
import { strandFigures, strandsTogether, strandsToSettle } from './strands';

const snapped = (snappedMm: number | null): Strand => ({
  outcome: 'snapped',
  region: null,
  restMm: 60,
  snappedMm,
});

describe('one strand', () => {
  it('follows its two formulas', () => {
    const figures = strandFigures(testStrand(60, 78, 61.8));
    expect(figures.stretchPercent).toBeCloseTo(30, 9);
    expect(figures.returnPercent).toBeCloseTo(90, 9);
  });

  it('that stretches far and stays long is soft, one that returns in its comfort zone, one that snaps firm', () => {
    expect(strandsTogether([testStrand(60, 90, 78)]).firmness).toBeLessThan(-1);
    expect(Math.abs(strandsTogether([testStrand(60, 78, 61)]).firmness)).toBeLessThan(0.5);
    expect(strandsTogether([snapped(64)]).firmness).toBeGreaterThan(1);
  });

  it('has an answer when it did not stretch at all or snapped unseen', () => {
    expect(strandFigures(testStrand(60, 60, 60)).returnPercent).toBe(100);
    expect(strandsTogether([snapped(null)]).firmness).toBeGreaterThan(0.5);
  });
});

describe('several strands', () => {
  const five = (strand: Strand) => Array.from({ length: 5 }, () => strand);

  it('are surer than one', () => {
    const one = strandsTogether([testStrand(60, 78, 61)]);
    expect(strandsTogether(five(testStrand(60, 78, 61))).sd).toBeCloseTo(one.sd / Math.sqrt(5), 1);
  });

  it('that all snapped are firm, with no return to tell of', () => {
    const all = strandsTogether(five(snapped(64)));
    expect(all.firmness).toBeGreaterThan(1);
    expect(all.why).toBe('5 strands, stretch 7 %, 5 snapped, at least this firm');
  });

  it('hardly move for one that was mistyped, and say so', () => {
    const good = strandsTogether(five(testStrand(60, 78, 61)));
    const slipped = strandsTogether([...five(testStrand(60, 78, 61)).slice(1), testStrand(60, 168, 166)]);
    const mean = (4 * good.firmness - 2.5) / 5;
    expect(Math.abs(slipped.firmness - good.firmness)).toBeLessThan(0.7 * Math.abs(mean - good.firmness));
    expect(slipped.apart).toBe(1);
    expect(slipped.why).toContain('1 stands apart');
  });

  it('of two keep both: nobody can say which one is wrong', () => {
    expect(strandsTogether([testStrand(60, 78, 61), testStrand(60, 168, 166)]).apart).toBe(0);
  });
});

describe('strands of a head whose firmness is known', () => {
  const NOTHING = { firmness: 0, breakage: 0, porosity: 0 };
  /** Reads five strands of each of many heads through millimetres. */
  function readThrough(level: number, count: number) {
    const errors = Array.from({ length: 300 }, (_, seed) => {
      const virtual = new VirtualHead(
        { complaints: [], porosityGuess: 'medium' },
        { seed: 7919 * seed + 3, halfLifeDays: 8, restShift: NOTHING, level: { firmness: level } },
      );
      const { firmness, sd } = strandsTogether(virtual.read(count, null).strands);
      return { error: firmness - level, held: Math.abs(firmness - level) < Z90 * sd };
    });
    return {
      bias: mean(errors.map(({ error }) => error)),
      held: mean(errors.map(({ held }) => Number(held))),
    };
  }

  it.each([-2.5, -1.9, -1, -0.5, 0, 0.3])('are read without a lean at %d, and the error holds', (level) => {
    for (const count of [2, 5]) {
      const { bias, held } = readThrough(level, count);
      expect(Math.abs(bias)).toBeLessThan(0.07);
      expect(held).toBeGreaterThan(0.85);
      expect(held).toBeLessThan(0.95);
    }
  });

  it('that snap tell how firm the hair is at least', () => {
    const all = strandsTogether(Array.from({ length: 5 }, () => snapped(62)));
    const found = new Float64Array(1);
    const at = (level: number) => {
      likelihoodsAt(all.likelihood, Float64Array.of(level), found);
      return found[0]!;
    };
    expect(at(3.5)).toBeCloseTo(at(2.6), 1);
    expect(at(0.8)).toBeLessThan(at(2.2) - 3);
    expect(all.why).toContain('at least this firm');
  });
});

describe('strands still to take', () => {
  const edges = [-0.5, 0.5];

  it('are none far from an edge, some nearer, and no number helps upon it', () => {
    expect(strandsToSettle({ firmness: -1.6, sd: 0.3 }, 3, edges)).toBe(0);
    expect(strandsToSettle({ firmness: -0.85, sd: 0.4 }, 2, edges)).toBe(3);
    expect(strandsToSettle({ firmness: -0.55, sd: 0.3 }, 3, edges)).toBeNull();
  });
});
