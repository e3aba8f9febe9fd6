import { t } from '@lingui/core/macro';
import { daysBetween, formatDay, type CalendarDay } from './calendarDay';

/** Days within which a weekday alone can mean one day only. */
const WEEKDAY_DAYS = 6;

/** A weekday, with its date where it is further from `from` than a weekday alone can say. */
export function weekdayOrDate(day: CalendarDay, from: CalendarDay): string {
  return formatDay(day, Math.abs(daysBetween(from, day)) <= WEEKDAY_DAYS ? 'EEEE' : 'EEEE d MMMM');
}

/** “today”, “tomorrow”, “on Sunday”, “on Sunday 6 December”. */
export function whenWords(day: CalendarDay, today: CalendarDay): string {
  const wait = daysBetween(today, day);
  if (wait === 0) return t`today`;
  return wait === 1 ? t`tomorrow` : t`on ${{ day: weekdayOrDate(day, today) }}`;
}
