import { addDays, calendarDay } from '@/core/base/measures';
import { historyOf } from '@/core/hair/history';
import { demoRecords } from '@/core/lab/simulation';
import { dueReading } from './dueReading';

const history = historyOf(demoRecords(calendarDay('2026-11-25')), 'maren');
const washed = history.sessions
  .map((session) => session.day)
  .sort()
  .at(-1)!;
const unread = { ...history, readings: history.readings.filter((reading) => reading.day <= washed) };

describe('a dry reading', () => {
  it('is due one and two days after a treatment, and then no more', () => {
    expect([1, 2, 3].map((days) => dueReading(unread, addDays(washed, days)))).toEqual([
      washed,
      washed,
      undefined,
    ]);
  });

  it('is not due when it was taken', () => {
    expect(dueReading(history, addDays(washed, 2))).toBeUndefined();
  });
});
