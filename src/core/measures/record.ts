import { z } from 'zod';
import { idSchema } from './ids';
import { instantSchema } from './instant';

/** What every stored record carries. Records are append-only: a correction is a new record that names the old one. */
export const recordBaseSchema = z.strictObject({
  id: idSchema,
  /** When it was written down. */
  recordedAt: instantSchema,
  /** The record that this one replaces; the old one stays readable. */
  corrects: idSchema.optional(),
});

/** Takes a record back; the record stays, nothing counts it. Undo of a withdrawal withdraws the withdrawal. */
export const withdrawalSchema = recordBaseSchema.extend({
  kind: z.literal('withdrawal'),
  withdraws: idSchema,
});
export type Withdrawal = z.infer<typeof withdrawalSchema>;

interface AnyRecord {
  readonly id: string;
  readonly kind: string;
  readonly recordedAt: string;
  readonly corrects?: string | undefined;
}

/** In the order of writing, and among equals by id, so that the same records always give the same answers. */
export function inOrder<T extends AnyRecord>(records: readonly T[]): T[] {
  return [...records].sort((a, b) =>
    a.recordedAt === b.recordedAt ? (a.id < b.id ? -1 : 1) : a.recordedAt < b.recordedAt ? -1 : 1,
  );
}

/**
 * The records that count today: not withdrawn and not replaced by a record that itself counts. Withdrawals are
 * applied from the newest to the oldest, so that a withdrawn withdrawal no longer works.
 */
export function liveRecords<T extends AnyRecord>(records: readonly T[]): T[] {
  const newestFirst = inOrder(records).reverse();
  const gone = new Set<string>();
  for (const record of newestFirst) {
    if (gone.has(record.id)) continue;
    if (record.kind === 'withdrawal') gone.add((record as unknown as Withdrawal).withdraws);
    else if (record.corrects !== undefined) gone.add(record.corrects);
  }
  return newestFirst.filter((record) => !gone.has(record.id) && record.kind !== 'withdrawal').reverse();
}
