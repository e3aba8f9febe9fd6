import { daysBetween, type CalendarDay } from '../../base/measures';
import type { Reading } from '../../records/shapes';

/** Hair is read again when dry, one or two days after a treatment: results show late, and after that something else may have moved it. */
export const DRY_READING_DAYS = { from: 1, to: 2 } as const;

/** Whether a reading of dry hair on this day belongs to a treatment of that day. */
export function isDryReadingDay(treated: CalendarDay, day: CalendarDay): boolean {
  const since = daysBetween(treated, day);
  return since >= DRY_READING_DAYS.from && since <= DRY_READING_DAYS.to;
}

/** Whether the dry reading of a treatment is to be taken today: it is time, and it has not been. */
export function isDryReadingDue(
  treated: CalendarDay,
  readings: readonly Reading[],
  today: CalendarDay,
): boolean {
  return (
    isDryReadingDay(treated, today) &&
    !readings.some((reading) => reading.day > treated && reading.moment === 'dry')
  );
}
