import { addDays, calendarDay } from '../../base/measures';
import { testOccasion, testReading, testTally } from '../../lab/testing';
import { halfWords, rateOf, rateRatio } from '../evidence';
import { referralFrom } from './referral';
import { ballLike, SHED_IN_BALL, shedCounts, stylesWorn } from './shed';

const day = calendarDay('2026-05-10');
const ball = (at: number, size: keyof typeof SHED_IN_BALL, days = 3) =>
  testReading(addDays(day, at), { shedBall: { size, days } });
const counted = (at: number, shed: number, days = 2) =>
  testReading(addDays(day, at), { tally: { sections: [{ broken: 1, shed }], days } });

describe('shed hair', () => {
  it('is counted, or judged by the size of its ball, which says less', () => {
    const [one, other] = shedCounts([ball(3, 'walnut'), counted(0, 90)]);
    expect(one).toMatchObject({ pieces: 90, days: 2, extraVariance: 0 });
    expect(other).toMatchObject({ pieces: SHED_IN_BALL.walnut, days: 3 });
    const width = (count: Parameters<typeof rateOf>[0][number]) => {
      const { low, high } = rateOf([count]);
      return high / low;
    };
    expect(width(other!)).toBeGreaterThan(1.3 * width({ ...other!, extraVariance: 0 }));
  });

  it('a count of broken pieces beside a ball leaves the shed hair to the ball', () => {
    const reading = testReading(day, { tally: testTally(4, 0, 3), shedBall: { size: 'egg', days: 3 } });
    expect(shedCounts([reading])[0]?.pieces).toBe(SHED_IN_BALL.egg);
  });

  it('after a take-down is that of all the days in the style, and no reason for alarm', () => {
    const style = testOccasion('style', addDays(day, -40), day);
    const worn = stylesWorn([style], []);
    const heap = counted(0, 3000, 1);
    expect(shedCounts([heap], worn)[0]).toMatchObject({ days: 40, afterStyle: true });
    expect(referralFrom([heap], day, worn)).toBeNull();
    expect(referralFrom([heap], day)).toContain('doctor');
    // Weeks later it is a matter of its own.
    expect(referralFrom([counted(20, 3000, 1)], addDays(day, 20), worn)).toContain('doctor');
  });

  it('knows a style from what was written down, too', () => {
    const event = (what: 'style-in' | 'style-out', at: number) => ({ what, day: addDays(day, at) });
    expect(stylesWorn([], [event('style-in', -20), event('style-out', -1)])).toEqual([
      { from: addDays(day, -20), to: addDays(day, -1) },
    ]);
  });
});

describe('half as much?', () => {
  const asked = (before: readonly number[], after: readonly number[]) =>
    halfWords(
      rateRatio(
        before.map((pieces) => ({ pieces, days: 1 })),
        after.map((pieces) => ({ pieces, days: 1 })),
      ),
    );

  it.each([
    [[100], [20], 'Too early to tell'],
    [Array(12).fill(100), Array(12).fill(15), "Yes, it's less than half."],
    [Array(12).fill(100), Array(12).fill(220), "No, it's more than it was."],
    [Array(40).fill(100), Array(40).fill(72), 'Less, but not half.'],
    [[60, 100], [50, 70], "The counts can't tell yet."],
  ])('%j, then %j', (before, after, words) => {
    expect(asked(before as number[], after as number[])).toContain(words);
  });
});

describe('a ball that was measured', () => {
  it.each([
    [{ acrossMm: 25, hairs: { middle: 75 } }, 0, 'walnut'],
    [{ acrossMm: 25, hairs: { middle: 20 } }, 0, 'hazelnut'],
    [{ acrossMm: 25, hairs: { middle: 20 } }, 60, 'walnut'],
    [{ acrossMm: 42, hairs: null }, 0, 'egg'],
  ] as const)('%j with %i beside it is like %s', (ball, besideIt, size) => {
    expect(ballLike(ball, besideIt)).toBe(size);
  });
});
