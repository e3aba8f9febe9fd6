import type { HeadHistory } from '@/core/hair';
import { daysBetween, type CalendarDay } from '@/core/measures';
import type { Moment } from '@/core/readings';

/** Until so many days after a treatment a reading of dry hair belongs to it. */
const DRY_FOR_DAYS = 2;

/** What a reading taken today most probably is: after today's treatment, dry after the last one, or before the next. */
export function momentNow(history: Pick<HeadHistory, 'sessions'>, today: CalendarDay): Moment {
  const ages = history.sessions.map(({ day }) => daysBetween(day, today)).filter((age) => age >= 0);
  const age = Math.min(...ages);
  if (age === 0) return 'after';
  return age <= DRY_FOR_DAYS ? 'dry' : 'before';
}
