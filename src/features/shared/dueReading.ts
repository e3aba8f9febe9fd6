import { daysBetween, type CalendarDay } from '@/core/measures';
import type { HeadHistory } from '@/core/hair';

/** Hair is read again when dry, one or two days after a treatment: results show late. */
const DRY_READING_DAYS = { from: 1, to: 2 } as const;

/** The day of the treatment whose dry reading is due today; undefined when none is. */
export function dueReading(history: HeadHistory, today: CalendarDay): CalendarDay | undefined {
  const last = history.sessions
    .map((session) => session.day)
    .filter((day) => day < today)
    .sort()
    .at(-1);
  if (!last) return undefined;
  const since = daysBetween(last, today);
  const alreadyRead = history.readings.some((reading) => reading.day > last && reading.moment === 'dry');
  return since >= DRY_READING_DAYS.from && since <= DRY_READING_DAYS.to && !alreadyRead ? last : undefined;
}
