import { randomLcg, randomNormal } from 'd3-random';
import { addDays, calendarDay } from '../../base/measures';
import { STAMP, testHead, testHistory, testReading } from '../../lab/testing';
import type { Forecast, Reading } from '../../records/shapes';
import { estimateHair } from './estimate';
import { forecastsHeld } from './forecastsHeld';

const head = testHead();
const start = calendarDay('2026-03-01');

/** Strokes that fall where they may, each forecast as the middle with this error. */
function told(
  feels: readonly number[],
  sd: number,
  widenedBy = 1,
): { readings: Reading[]; forecasts: Forecast[] } {
  const readings = feels.map((feel, index) => ({
    ...testReading(addDays(start, 2 * index), { feel }),
    id: `r${index}`,
    headId: head.headId,
  }));
  const level = { mean: 0, sd: sd * widenedBy };
  const forecasts = readings.map(({ id, day }, index): Forecast => ({
    ...STAMP,
    kind: 'forecast',
    id: `f${index}`,
    headId: head.headId,
    day,
    readingId: id,
    signals: { firmness: level, breakage: level, porosity: level },
    widenedBy,
  }));
  return { readings, forecasts };
}
const scored = (feels: readonly number[], sd: number, widenedBy?: number) => {
  const { readings, forecasts } = told(feels, sd, widenedBy);
  return forecastsHeld(forecasts, readings, head);
};

describe('stored forecasts', () => {
  it('are counted: of the last twenty, those within nine times in ten', () => {
    const { points, held, widenedBy } = scored([...Array(28).fill(0), 3, -3], 0.3);
    expect([points.length, held, widenedBy]).toEqual([20, 18, 1]);
    expect(points.filter((point) => !point.held).map(({ off }) => Math.sign(off))).toEqual([1, -1]);
  });

  it('that hold far too seldom widen what is told, by as much as would have held', () => {
    const far = scored(
      Array.from({ length: 20 }, (_, index) => (index % 2 === 0 ? 3 : -3)),
      0.2,
    );
    expect(far.held).toBe(0);
    expect(far.widenedBy).toBeGreaterThan(1.3);
    // Few say nothing.
    expect(scored([3, -3, 3, -3], 0.2).widenedBy).toBe(1);
  });

  it('stay widened while they hold only because they are wide', () => {
    const feels = Array.from({ length: 20 }, (_, index) => (index % 2 === 0 ? 3 : -3));
    const { widenedBy } = scored(feels, 0.2);
    expect(scored(feels, 0.2, 3).widenedBy).toBeCloseTo(widenedBy, 6);
  });

  it('that are right are seldom called too few', () => {
    const normal = randomNormal.source(randomLcg(0.3))(0, 1);
    const wrongly = Array.from({ length: 200 }, () => {
      const feels = Array.from({ length: 20 }, () => Math.max(-3, Math.min(3, Math.round(normal()))));
      return scored(feels, 1).widenedBy > 1;
    }).filter(Boolean).length;
    expect(wrongly / 200).toBeLessThan(0.08);
  });

  it('of a reading that was taken back count no more', () => {
    const { readings, forecasts } = told([0, 0, 3], 0.3);
    expect(forecastsHeld(forecasts, readings.slice(0, 2), head).points).toHaveLength(2);
  });

  it('make the state, its chances and the view ahead as much less sure', () => {
    const { readings, forecasts } = told(
      Array.from({ length: 20 }, (_, index) => (index % 2 === 0 ? 3 : -3)),
      0.1,
    );
    const today = addDays(start, 45);
    const [plain, wide] = [[], forecasts].map((stored) =>
      estimateHair(head, testHistory({ readings, forecasts: stored }), today),
    );
    const by = wide!.forecasts.widenedBy;
    expect(by).toBeGreaterThan(1);
    expect(wide!.signals.firmness.sd).toBeCloseTo(by * plain!.signals.firmness.sd, 9);
    expect(wide!.signals.firmness.ahead[9]?.sd).toBeCloseTo(
      by * (plain!.signals.firmness.ahead[9]?.sd ?? 0),
      9,
    );
    expect(wide!.signals.firmness.mean).toBe(plain!.signals.firmness.mean);
  });
});
