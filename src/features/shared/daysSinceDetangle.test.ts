import { calendarDay } from '@/core/base/measures';
import { historyOf } from '@/core/hair/history';
import { demoRecords } from '@/core/lab/simulation';
import { daysSinceDetangle } from './daysSinceDetangle';

const today = calendarDay('2026-11-25');
const history = historyOf(demoRecords(today), 'maren');

describe('days since the last detangle', () => {
  it('count from the last wash or tally before today', () => {
    expect(daysSinceDetangle(history, today)).toBe(3);
  });

  it('are unknown when nothing is on record', () => {
    expect(daysSinceDetangle({ ...history, readings: [], sessions: [] }, today)).toBeNull();
  });
});
