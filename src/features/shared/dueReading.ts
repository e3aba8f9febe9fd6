import type { CalendarDay } from '@/core/base/measures';
import { isDryReadingDue } from '@/core/hair/checks';
import type { HeadHistory } from '@/core/hair/history';

/** The day of the treatment whose dry reading is due today; undefined when none is. */
export function dueReading(history: HeadHistory, today: CalendarDay): CalendarDay | undefined {
  const last = history.sessions
    .map((session) => session.day)
    .filter((day) => day < today)
    .sort()
    .at(-1);
  return last !== undefined && isDryReadingDue(last, history.readings, today) ? last : undefined;
}
