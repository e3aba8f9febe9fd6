import { addDays, calendarDay, doneDay } from '../../base/measures';
import { testReading, testSession } from '../../lab/testing';
import { doubtsIn, MOST_USES_A_DAY } from './doubts';

const today = calendarDay('2026-11-28');
const many = (count: number, from = 0) =>
  Array.from({ length: count }, (_, index) =>
    testSession('balm', addDays(today, -3), { id: `s${from + index}`, headId: 'h' }),
  );

describe('what looks like a slip', () => {
  it('is four hundred uses on one day, with the days of what is there already', () => {
    const [doubt, ...others] = doubtsIn(many(400), [], today);
    expect(others).toEqual([]);
    expect(doubt?.text).toBe('25 November 2026 has 400 treatments of one person.');
    expect(doubt?.ids).toHaveLength(400);
    expect(doubtsIn(many(MOST_USES_A_DAY), [], today)).toEqual([]);
    expect(doubtsIn(many(1, 50), many(MOST_USES_A_DAY), today)[0]?.ids).toEqual(['s50']);
    // Two people are two heads.
    const halves = many(10).map((session, index) => ({ ...session, headId: index % 2 === 0 ? 'h' : 'k' }));
    expect(doubtsIn(halves, [], today)).toEqual([]);
  });

  it('is a reading of the year 1, and one of a day that has not come', () => {
    const old = { ...testReading(calendarDay('0001-05-10'), { feel: 0 }), id: 'old' };
    const ahead = { ...testReading(addDays(today, 2), { feel: 0 }), id: 'ahead' };
    const right = { ...testReading(today, { feel: 0 }), id: 'right' };
    const doubts = doubtsIn([old, ahead, right], [], today);
    expect(doubts.map(({ ids }) => ids)).toEqual([['old'], ['ahead']]);
    expect(doubts[0]?.text).toContain('1 record is older than any hair');
    // What is here is asked about no more.
    expect(doubtsIn([old, ahead, right], [old, ahead], today)).toEqual([]);
  });

  it('is refused where it is written by hand, with what to do', () => {
    expect(doneDay(today, today).ok).toBe(true);
    expect(doneDay(addDays(today, -29 * 365), today).ok).toBe(true);
    const long = doneDay(calendarDay('0001-05-10'), today);
    expect(!long.ok && long.problems[0].message).toContain('check the year');
    expect(doneDay(addDays(today, 1), today).ok).toBe(false);
  });
});
