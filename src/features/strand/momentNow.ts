import type { HeadHistory } from '@/core/hair';
import type { CalendarDay } from '@/core/measures';
import { isDryReadingDay, type Moment } from '@/core/readings';

/** What a reading taken today most probably is: after today's treatment, dry after the last one, or before the next. */
export function momentNow({ sessions }: Pick<HeadHistory, 'sessions'>, today: CalendarDay): Moment {
  if (sessions.some(({ day }) => day === today)) return 'after';
  return sessions.some(({ day }) => isDryReadingDay(day, today)) ? 'dry' : 'before';
}
