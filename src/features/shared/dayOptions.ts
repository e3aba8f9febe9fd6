import { t } from '@lingui/core/macro';
import { formatDay, type CalendarDay } from '@/core/base/measures';

/** Days to choose one of, today by that name. */
export const dayOptions = (
  days: readonly CalendarDay[],
  today: CalendarDay,
): { readonly value: CalendarDay; readonly label: string }[] =>
  days.map((day) => ({ value: day, label: day === today ? t`Today` : formatDay(day, 'EEE d MMM') }));
