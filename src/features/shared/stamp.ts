import { nanoid } from 'nanoid';
import type { Withdrawal } from '@/core/records/log';

/**
 * What every new record carries: an id of its own and the moment of writing. The id comes from the browser's random numbers,
 * which are there over plain HTTP, too, where the browser's own ids are not.
 */
export function newStamp(): { id: string; recordedAt: string } {
  return { id: nanoid(), recordedAt: new Date().toISOString() };
}

/** What takes these records back, each by one of its own. @param ids of records, withdrawals among them */
export function withdrawing(ids: readonly string[]): Withdrawal[] {
  return ids.map((withdraws) => ({ ...newStamp(), kind: 'withdrawal', withdraws }));
}
