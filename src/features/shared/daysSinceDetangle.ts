import { daysBetween, type CalendarDay } from '@/core/base/measures';
import type { HeadHistory } from '@/core/hair/history';

/** Days since the last detangle that the log knows of: a counted one or a wash day; null when there is none. */
export function daysSinceDetangle(history: HeadHistory, today: CalendarDay): number | null {
  const days = [
    ...history.readings.filter((reading) => reading.tally !== null).map((reading) => reading.day),
    ...history.sessions.map((session) => session.day),
  ].filter((day) => day < today);
  const last = days.sort().at(-1);
  return last === undefined ? null : daysBetween(last, today);
}
