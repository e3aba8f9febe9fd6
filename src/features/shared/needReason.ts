import type { Need } from '@/core/hair/state';

/** What the checks say to what troubles her, where there is something to say, and then what to do. */
export function needReason({ complaint, reasons }: Pick<Need, 'complaint' | 'reasons'>): string {
  return [complaint?.reason, reasons.at(-1)].filter(Boolean).join(' ');
}
