import type { CalendarDay } from '../../base/measures';
import type { Occasion } from '../../records/shapes';

export function isOn({ from, to }: Pick<Occasion, 'from' | 'to'>, day: CalendarDay): boolean {
  return from <= day && day <= to;
}
