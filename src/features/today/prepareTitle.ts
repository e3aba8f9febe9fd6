import { t } from '@lingui/core/macro';
import type { PrepTask } from '@/core/plan/planning';

const two = (value: number) => String(value).padStart(2, '0');

/**
 * With the last moment to begin, where there is one, and what it means when that is past.
 * @param minuteOfDay now, minutes since midnight
 */
export function prepareTitle({ startMinute }: Pick<PrepTask, 'startMinute'>, minuteOfDay: number): string {
  if (startMinute === null) return t`Prepare`;
  const clock = `${Math.floor(startMinute / 60)}:${two(startMinute % 60)}`;
  return minuteOfDay > startMinute
    ? t`Prepare at once: ${clock} was the last moment for the hour you wash at`
    : t`Prepare, by ${clock} at the latest`;
}
