import { addDays, calendarDay } from '../../base/measures';
import { SIGNALS } from '../../hair/state';
import { forecastOn, outOfLane } from './forecast';
import type { HeadProblem, Treatment } from './plan';

const today = calendarDay('2026-05-10');
const signal = (mean: number, sd: number) => ({
  signal: 'firmness' as const,
  mean,
  sd,
  probabilities: { below: 0, within: 1, above: 0 },
  path: [],
  ahead: [1, 2, 3].map((days) => ({
    day: addDays(today, days),
    mean: mean * 0.9 ** days,
    sd: sd + 0.05 * days,
  })),
  measurements: [],
  responses: [],
  eventResponses: [],
  entangled: [],
  retentionPerDay: 0.9,
  halfLifeDays: 6.6,
  halfLifeRange: { low: 3, high: 12 },
  errorFactor: 1,
});
const problem = {
  asOf: today,
  from: today,
  signals: { firmness: signal(-1, 0.2), breakage: signal(2, 0.3), porosity: signal(0, 0.3) },
} as unknown as HeadProblem;
const treatment = (mean: number, sd: number) =>
  ({
    effect: { firmness: { mean, sd }, breakage: { mean: 0, sd: 0 }, porosity: { mean: 0, sd: 0 } },
  }) as unknown as Treatment;

describe('the forecast', () => {
  it('is the untreated course when nothing is planned, and stays at its last day beyond it', () => {
    expect(forecastOn(problem, 'firmness', [], today)).toEqual({ mean: -1, sd: 0.2 });
    expect(forecastOn(problem, 'firmness', [], addDays(today, 2)).mean).toBeCloseTo(-0.81, 9);
    expect(forecastOn(problem, 'firmness', [], addDays(today, 50))).toEqual(
      forecastOn(problem, 'firmness', [], addDays(today, 3)),
    );
  });

  it('adds a treatment from its day on, and lets it fade', () => {
    const placed = [{ day: addDays(today, 1), treatment: treatment(0.5, 0.1) }];
    expect(forecastOn(problem, 'firmness', placed, today).mean).toBe(-1);
    expect(forecastOn(problem, 'firmness', placed, addDays(today, 1)).mean).toBeCloseTo(-0.9 + 0.5, 9);
    expect(forecastOn(problem, 'firmness', placed, addDays(today, 3)).mean).toBeCloseTo(
      -0.729 + 0.5 * 0.81,
      9,
    );
  });

  it('adds effects and their errors', () => {
    const one = { day: today, treatment: treatment(0.3, 0.3) };
    const two = { day: today, treatment: treatment(0.2, 0.4) };
    const both = forecastOn(problem, 'firmness', [one, two], today);
    expect(both.mean).toBeCloseTo(-0.5, 9);
    expect(both.sd).toBeCloseTo(Math.sqrt(0.2 ** 2 + 0.3 ** 2 + 0.4 ** 2), 9);
  });

  it('counts the distance outside the comfort zone on its own side, and none on an open one', () => {
    const soft = outOfLane(SIGNALS.firmness.comfortZone, { mean: -1.5, sd: 0.01 });
    expect(soft.below).toBeCloseTo(1, 6);
    expect(soft.above).toBeCloseTo(0, 6);
    expect(outOfLane(SIGNALS.breakage.comfortZone, { mean: -3, sd: 0.1 }).below).toBe(0);
    expect(outOfLane(SIGNALS.firmness.comfortZone, { mean: 0, sd: 0.5 }).above).toBeGreaterThan(0);
  });
});
