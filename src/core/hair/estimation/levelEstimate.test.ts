import fc from 'fast-check';
import { FilterRun, type LevelModel, type LevelStep } from './filterRun';
import { weighedRuns } from './hypotheses';
import { levelOf } from './kalman';
import { estimateLevel } from './levelEstimate';

const model: LevelModel = {
  level: { mean: 0, sd: 0.7 },
  rest: { mean: 0, sd: 0.4 },
  effects: [
    { mean: 0.4, sd: 0.3 },
    { mean: -0.3, sd: 0.3 },
  ],
  dailySd: 0.25,
  restDailySd: 0,
  lasting: [],
  halfLifeGridDays: [3, 8, 19],
  overdispersion: 0.1,
};

const measure = (day: number, value: number, sd = 0.35): LevelStep => ({
  day,
  what: 'measure',
  measurement: { value, sd },
});

const history = fc
  .array(
    fc.record({
      day: fc.integer({ min: 0, max: 40 }),
      value: fc.double({ min: -1.5, max: 1.5, noNaN: true }),
      effect: fc.option(fc.integer({ min: 0, max: 1 }), { nil: null }),
    }),
    { minLength: 1, maxLength: 20 },
  )
  .map((rows) =>
    [...rows]
      .sort((a, b) => a.day - b.day)
      .flatMap(({ day, value, effect }): LevelStep[] => [
        measure(day, value),
        ...(effect === null ? [] : [{ day, what: 'push' as const, effect, dose: 1 }]),
      ]),
  );

describe('the effects', () => {
  it('are the same in whatever order they are named, and beside any number that was never used', () => {
    const unused = Array.from({ length: 30 }, () => ({ mean: 0.2, sd: 0.3 }));
    // The two that are used, turned about, behind thirty that are not.
    const crowded: LevelModel = { ...model, effects: [...unused, ...[...model.effects].reverse()] };
    fc.assert(
      fc.property(history, (steps) => {
        const moved = steps.map((step) =>
          step.what === 'push' ? { ...step, effect: unused.length + 1 - step.effect } : step,
        );
        const [alone, among] = [estimateLevel(model, steps, 40, 7), estimateLevel(crowded, moved, 40, 7)];
        const near = (one: { mean: number; sd: number }, other: { mean: number; sd: number }) => {
          expect(one.mean).toBeCloseTo(other.mean, 6);
          expect(one.sd).toBeCloseTo(other.sd, 6);
        };
        near(alone.now, among.now);
        alone.past.forEach((level, index) => near(level, among.past[index]!));
        alone.ahead.forEach((level, index) => near(level, among.ahead[index]!));
        near(alone.effects[0]!, among.effects[unused.length + 1]!);
        near(alone.effects[1]!, among.effects[unused.length]!);
        near(among.effects[3]!, unused[3]!);
        expect(alone.correlation(0, 1)).toBeCloseTo(among.correlation(unused.length + 1, unused.length), 6);
      }),
      { numRuns: 20 },
    );
  });

  it('of which there are very many are looked back on week by week where they lie longer ago', () => {
    const many: LevelModel = {
      ...model,
      effects: Array.from({ length: 150 }, () => ({ mean: 0.1, sd: 0.3 })),
      halfLifeGridDays: [8],
    };
    const steps = Array.from({ length: 150 }, (_, effect): LevelStep[] => [
      { day: 2 * effect, what: 'push', effect, dose: 1 },
      measure(2 * effect + 1, 0.2),
    ]).flat();
    const days = estimateLevel(many, steps, 300, 1).past.map(({ day }) => day);
    expect(days.filter((day) => day >= 210)).toHaveLength(91);
    expect(days.filter((day) => day < 210)).toEqual(Array.from({ length: 30 }, (_, week) => 7 * week));
  });
});

describe('the hypotheses', () => {
  it('have weights that add to one, and none is run that fell far behind', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const runs = weighedRuns(model, steps, 40);
        expect(runs.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
        expect(runs.length).toBeGreaterThan(0);
      }),
      { numRuns: 40 },
    );
  });

  it('find that readings scatter twice as much as usual', () => {
    const steady = Array.from({ length: 60 }, (_, index) =>
      measure(2 * index, 0.75 * (index % 2 === 0 ? 1 : -1)),
    );
    const calm = Array.from({ length: 60 }, (_, index) =>
      measure(2 * index, 0.1 * (index % 2 === 0 ? 1 : -1)),
    );
    expect(estimateLevel(model, steady, 120, 1).errorFactor).toBeGreaterThan(1.3);
    expect(estimateLevel(model, calm, 120, 1).errorFactor).toBeLessThan(1);
  });

  it('find a short half-life where what was pushed is gone at once, and a long one where it stays', () => {
    const pushed = (left: number) =>
      Array.from({ length: 12 }, (_, round): LevelStep[] => {
        const day = 14 * round;
        return [
          measure(day, 0, 0.15),
          { day, what: 'push', effect: 0, dose: 1 },
          measure(day, 0.6, 0.15),
          measure(day + 4, 0.6 * left, 0.15),
          measure(day + 9, 0.6 * left ** 2, 0.15),
        ];
      }).flat();
    const fast = estimateLevel({ ...model, dailySd: 0.08 }, pushed(0.25), 160, 1).halfLife;
    const slow = estimateLevel({ ...model, dailySd: 0.08 }, pushed(0.8), 160, 1).halfLife;
    expect(fast.mean).toBeLessThan(slow.mean);
    expect(fast.low).toBeLessThanOrEqual(fast.high);
  });
});

describe('the estimate of a level', () => {
  it('has the filter’s answer as the last of its past, and is no surer of the days ahead than of a head at rest', () => {
    // Two readings that contradict each other leave more doubt than rest does; from there it goes back to that.
    const atRest = estimateLevel(model, [], 40, 20).ahead[19]!.sd;
    fc.assert(
      fc.property(history, (steps) => {
        const { now, past, ahead } = estimateLevel(model, steps, 40, 20);
        const last = past.at(-1)!;
        expect(last.day).toBe(40);
        expect(Math.abs(last.mean - now.mean)).toBeLessThan(0.2 * now.sd);
        expect(ahead).toHaveLength(20);
        expect(ahead[19]!.sd).toBeGreaterThan(0.9 * Math.min(now.sd, atRest));
      }),
      { numRuns: 25 },
    );
  });

  it('knows the past better than it knew it then', () => {
    const steps = Array.from({ length: 10 }, (_, index) => measure(4 * index, 0.5));
    const whole = estimateLevel(model, steps, 36, 1).past.find(({ day }) => day === 8)!;
    const then = estimateLevel(model, steps.slice(0, 3), 8, 1).now;
    expect(whole.sd).toBeLessThan(then.sd);
  });

  it('tells a year day by day and what lies before week by week', () => {
    const { past } = estimateLevel(model, [measure(0, 0)], 800, 1);
    const days = past.map(({ day }) => day);
    expect(days.filter((day) => day > 800 - 366)).toHaveLength(366);
    expect(days.filter((day) => day < 400).every((day) => day % 7 === 0)).toBe(true);
  });

  it('takes measurements of one moment in at once as it would one by one', () => {
    const hypothesis = { halfLifeDays: 8, errorFactor: 1, dailyFactor: 1 };
    const apart = new FilterRun(hypothesis, model, [measure(3, 0.4), measure(3, 0.6, 0.5)]);
    apart.runTo(3);
    const precision = 1 / 0.35 ** 2 + 1 / 0.5 ** 2;
    const together = new FilterRun(hypothesis, model, [
      measure(3, (0.4 / 0.35 ** 2 + 0.6 / 0.5 ** 2) / precision, 1 / Math.sqrt(precision)),
    ]);
    together.runTo(3);
    expect(levelOf(apart.state).mean).toBeCloseTo(levelOf(together.state).mean, 1);
    expect(levelOf(apart.state).variance).toBeCloseTo(levelOf(together.state).variance, 2);
  });

  it('marks what cannot be right, and lets it move the level little', () => {
    const steps = [0, 4, 8, 12, 16].map((day) => measure(day, 0.1));
    const { off, now } = estimateLevel(model, [...steps, measure(18, 6)], 18, 1);
    expect([...off]).toEqual([5]);
    expect(now.mean).toBeLessThan(0.6);
  });

  it('of a count takes the count, not a logarithm of it', () => {
    const counted = (pieces: number): LevelStep => ({
      day: 0,
      what: 'measure',
      measurement: { value: Math.log(pieces + 0.5), sd: 0.5, count: { pieces, days: 1 } },
    });
    const rates = { ...model, level: { mean: Math.log(6), sd: 0.8 }, rest: { mean: Math.log(6), sd: 0.5 } };
    const [none, some, many] = [0, 6, 30].map((pieces) => estimateLevel(rates, [counted(pieces)], 0, 1).now);
    expect(none!.mean).toBeLessThan(some!.mean);
    expect(some!.mean).toBeLessThan(many!.mean);
    expect(none!.sd).toBeGreaterThan(many!.sd);
  });
});
