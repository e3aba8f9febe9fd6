import { t } from '@lingui/core/macro';
import { addDays, type CalendarDay } from './calendarDay';
import { failed, ok, type Result } from './result';

/** Hair grows some 15 cm a year: none on a head is as old as this. */
const OLDEST_HAIR_DAYS = 30 * 365;

/** Whether so long ago nothing can have been done to hair that is there now: the year is a slip. */
export function isBeforeAllHair(day: CalendarDay, today: CalendarDay): boolean {
  return day < addDays(today, -OLDEST_HAIR_DAYS);
}

/** A day on which something was done or read: not ahead, and not before the hair was there. */
export function doneDay(day: CalendarDay, today: CalendarDay): Result<CalendarDay> {
  if (day > today)
    return failed('future-day', t`That day has not come yet: write today or an earlier day.`, 'day');
  if (isBeforeAllHair(day, today)) return failed('long-ago', t`No hair is that old: check the year.`, 'day');
  return ok(day);
}
