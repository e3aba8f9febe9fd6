import type { CalendarDay } from '@/core/base/measures';
import { selectToday, useAppSelector } from '@/store';

/** Today in the person's zone; changes at midnight and when the page comes back. */
export function useToday(): CalendarDay {
  return useAppSelector(selectToday);
}
