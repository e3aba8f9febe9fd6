import fc from 'fast-check';
import { addDays, calendarDay, calendarDaySchema, daysBetween, formatDay, weekdayOf } from './calendarDay';

describe('calendar days', () => {
  it('cross a clock change, a leap day and a year without losing one', () => {
    expect(addDays(calendarDay('2026-03-28'), 2)).toBe('2026-03-30');
    expect(addDays(calendarDay('2028-02-28'), 1)).toBe('2028-02-29');
    expect(daysBetween(calendarDay('2026-12-30'), calendarDay('2027-01-02'))).toBe(3);
  });

  it('know their weekday', () => {
    const day = calendarDay('2026-11-25');
    expect(weekdayOf(day)).toBe(3);
    expect(formatDay(day, 'EEEE')).toBe('Wednesday');
  });

  it.each(['2026-02-30', '26-1-1', '2026-13-01', 'today', ''])('refuse %p', (text) => {
    expect(calendarDaySchema.safeParse(text).success).toBe(false);
  });

  it('addDays and daysBetween undo each other', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40_000 }),
        fc.integer({ min: -4000, max: 4000 }),
        (start, step) => {
          const day = addDays(calendarDay('1999-12-31'), start);
          expect(daysBetween(day, addDays(day, step))).toBe(step);
          expect(weekdayOf(addDays(day, 7))).toBe(weekdayOf(day));
        },
      ),
    );
  });
});
