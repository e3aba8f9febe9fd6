import { t } from '@lingui/core/macro';
import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';
import { z } from 'zod';
import { formatted, type DatePattern } from './formatted';
import { invariant } from './result';

/**
 * A calendar day in the person's own zone, "YYYY-MM-DD". It holds no hour and no zone on purpose:
 * a wash day must not move when the clock changes or when she travels.
 */
export const calendarDaySchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, { error: () => t`A day is written YYYY-MM-DD, for example 2026-03-09.` })
  .refine(
    (day) => {
      const date = parseISO(day);
      return isValid(date) && format(date, 'yyyy-MM-dd') === day;
    },
    { error: () => t`That day is not in the calendar.` },
  )
  .brand<'CalendarDay'>();

export type CalendarDay = z.infer<typeof calendarDaySchema>;

/** For days the program itself wrote; outside text goes through the schema. */
export function calendarDay(text: string): CalendarDay {
  const parsed = calendarDaySchema.safeParse(text);
  invariant(parsed.success, `"${text}" is not a calendar day`);
  return parsed.data;
}

export function dayOfDate(date: Date): CalendarDay {
  return format(date, 'yyyy-MM-dd') as CalendarDay;
}

const MS_PER_DAY = 86_400_000;

/** The planner asks millions of times, of a few hundred days. */
const NUMBERS = new Map<CalendarDay, number>();
const DAYS = new Map<number, CalendarDay>();
/** More days than this are not remembered: 27 years. */
const MOST_REMEMBERED = 10_000;

/** Days since 1970-01-01 in the calendar; no zone and no clock change enters. */
function dayNumber(day: CalendarDay): number {
  const known = NUMBERS.get(day);
  if (known !== undefined) return known;
  const number =
    Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10))) / MS_PER_DAY;
  if (NUMBERS.size < MOST_REMEMBERED) NUMBERS.set(day, number);
  return number;
}

export function addDays(day: CalendarDay, count: number): CalendarDay {
  const number = dayNumber(day) + count;
  const known = DAYS.get(number);
  if (known !== undefined) return known;
  const found = new Date(number * MS_PER_DAY).toISOString().slice(0, 10) as CalendarDay;
  if (DAYS.size < MOST_REMEMBERED) DAYS.set(number, found);
  return found;
}

/** Days from `from` to `to`; negative when `to` is earlier. Counts calendar days, not 24-hour spans. */
export function daysBetween(from: CalendarDay, to: CalendarDay): number {
  return dayNumber(to) - dayNumber(from);
}

/** 0 for Sunday … 6 for Saturday; 1970-01-01 was a Thursday. Days before 1970 are no concern of this job. */
export function weekdayOf(day: CalendarDay): number {
  return (dayNumber(day) + 4) % 7;
}

export function dayRange(from: CalendarDay, count: number): CalendarDay[] {
  return Array.from({ length: count }, (_, index) => addDays(from, index));
}

/** @param pattern of date-fns, one of those that every language writes in its way */
export function formatDay(day: CalendarDay, pattern: DatePattern): string {
  return formatted(parseISO(day), pattern);
}
