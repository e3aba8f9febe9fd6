import { calendarDay } from '@/core/base/measures';
import { estimateHair } from '@/core/hair/estimation';
import { headsIn, historyOf } from '@/core/hair/history';
import { demoRecords } from '@/core/lab/simulation';
import { planProblemFrom } from '@/core/plan/question';
import { searchSchedule } from '@/core/plan/scheduling';
import { forecastPictureOf } from '../shared/forecastPictureOf';
import { PAST_DAYS, weekRows } from '../shared/weekRows';

const today = calendarDay('2026-11-25');
const records = demoRecords(today);
const head = headsIn(records)[0]!;
const history = historyOf(records, head.headId);
const state = estimateHair(head, history, today);
const plan = searchSchedule(planProblemFrom(records, [{ head, state }], today, 4)).plans[0]!;
const rows = weekRows({ state, plan }, head, history.sessions, history.larder, 0);

describe('the rows of the week', () => {
  it('are some past days, then today and six more', () => {
    expect(rows.map((row) => row.isPast)).toEqual([...Array(PAST_DAYS).fill(true), ...Array(7).fill(false)]);
    expect(rows[PAST_DAYS]).toMatchObject({ isToday: true, day: today });
  });

  it('show what was done in the past and what is planned from today on', () => {
    expect(rows.flatMap((row) => row.done).map((assignment) => assignment.name)).toEqual([
      'Furnace-day cream',
    ]);
    expect(rows.filter((row) => row.isPast).flatMap((row) => row.planned)).toEqual([]);
    expect(rows.flatMap((row) => row.planned).length).toBeGreaterThan(0);
  });

  it('are seven days of the plan in a later week, none of them past', () => {
    const later = weekRows({ state, plan }, head, history.sessions, history.larder, 2);
    expect(later.map(({ day }) => day)).toEqual(plan.days.slice(14, 21).map(({ day }) => day));
    expect(later.some(({ isPast, isToday }) => isPast || isToday)).toBe(false);
  });

  it('become a picture whose past ends before today and whose rule lies between', () => {
    const spans = rows.map((_, index) => ({ start: index * 50, length: 50 }));
    const drawing = forecastPictureOf(rows, spans);
    expect(drawing.past).toHaveLength(PAST_DAYS);
    expect(drawing.ahead).toHaveLength(8);
    expect(drawing.ahead[0]).toEqual(drawing.past.at(-1));
    expect(drawing.rule).toBe(PAST_DAYS * 50);
    expect(drawing.marks.some((mark) => mark.done)).toBe(true);
    expect(drawing.marks.some((mark) => !mark.done)).toBe(true);
  });
});
