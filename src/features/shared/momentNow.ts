import type { CalendarDay } from '@/core/base/measures';
import { isDryReadingDay } from '@/core/hair/checks';
import type { HeadHistory } from '@/core/hair/history';
import type { Moment } from '@/core/records/shapes';

/** What a reading taken today most probably is: after today's treatment, dry after the last one, or before the next. */
export function momentNow({ sessions }: Pick<HeadHistory, 'sessions'>, today: CalendarDay): Moment {
  if (sessions.some(({ day }) => day === today)) return 'after';
  return sessions.some(({ day }) => isDryReadingDay(day, today)) ? 'dry' : 'before';
}
