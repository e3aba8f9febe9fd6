import { plural, t } from '@lingui/core/macro';
import type { TimerState } from '@/core/hair/history';
import { lateMinutes } from '@/core/plan/washday';

const two = (value: number) => String(value).padStart(2, '0');

/** "12:05" left, or "+3:20" over; hours where there are any. */
export function clockText(timer: TimerState, now: string): string {
  const late = lateMinutes(timer, now);
  const seconds = late > 0 ? Math.floor(late * 60) : Math.ceil(-late * 60);
  const hours = Math.floor(seconds / 3600);
  const rest = `${hours > 0 ? two(Math.floor((seconds % 3600) / 60)) : Math.floor(seconds / 60)}:${two(seconds % 60)}`;
  return `${late > 0 ? '+' : ''}${hours > 0 ? `${hours}:` : ''}${rest}`;
}

/** For a screen reader, which is not told each second. */
export function clockWords(timer: TimerState, now: string): string {
  const minutes = Math.round(Math.abs(lateMinutes(timer, now)));
  const text = minutes === 1 ? t`one minute` : plural(minutes, { one: '# minute', other: '# minutes' });
  return lateMinutes(timer, now) > 0 ? t`${text} over` : t`${text} left`;
}
