import { z } from 'zod';
import { idSchema, instantAt, instantSchema, millisecondsOf } from '../../base/measures';

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

/** Without its Z: a moment written with fewer digits would else come after its own fractions of a second. */
const isLater = (a: string, b: string) => a.slice(0, -1) > b.slice(0, -1);

/** In the order of writing, and among equals by id, so that the same records always give the same answers. */
export function inOrder<T extends AnyRecord>(records: readonly T[]): T[] {
  return [...records].sort((a, b) =>
    a.recordedAt === b.recordedAt ? (a.id < b.id ? -1 : 1) : isLater(a.recordedAt, b.recordedAt) ? 1 : -1,
  );
}

/**
 * The records that count today: not withdrawn and not replaced. What a record refers to settles which is which, whatever
 * the clocks said; only of two corrections made apart the order of writing decides, and the newer one alone counts.
 */
export function liveRecords<T extends AnyRecord>(records: readonly T[]): T[] {
  const ordered = inOrder(records);
  const withdrawn = withdrawnIds(ordered);
  const replaced = replacedIds(ordered, withdrawn);
  return ordered.filter(({ id, kind }) => kind !== 'withdrawal' && !withdrawn.has(id) && !replaced.has(id));
}

const isWithdrawal = (record: AnyRecord): record is Withdrawal => record.kind === 'withdrawal';

/**
 * Ids that a withdrawal takes back which is not itself taken back. Each withdrawal names one record, so they are gone through
 * from those that nobody names; withdrawals in a circle take nothing back.
 */
function withdrawnIds(records: readonly AnyRecord[]): ReadonlySet<string> {
  const withdrawals = new Map(records.filter(isWithdrawal).map((record) => [record.id, record]));
  const waiting = new Map<string, number>();
  for (const { withdraws } of withdrawals.values()) waiting.set(withdraws, (waiting.get(withdraws) ?? 0) + 1);
  const withdrawn = new Set<string>();
  const settled = [...withdrawals.values()].filter(({ id }) => !waiting.has(id));
  for (let next = settled.pop(); next; next = settled.pop()) {
    const { id, withdraws } = next;
    if (!withdrawn.has(id)) withdrawn.add(withdraws);
    const left = (waiting.get(withdraws) ?? 0) - 1;
    waiting.set(withdraws, left);
    const named = withdrawals.get(withdraws);
    if (left === 0 && named) settled.push(named);
  }
  return withdrawn;
}

/** Of a record and all its corrections, and theirs, every one but the one that counts. @param ordered in the order of writing */
function replacedIds(ordered: readonly AnyRecord[], withdrawn: ReadonlySet<string>): ReadonlySet<string> {
  const byId = new Map(ordered.map((record) => [record.id, record]));
  const firsts = new Map<string, string>();
  const families = new Map<string, AnyRecord[]>();
  for (const record of ordered) {
    if (record.corrects === undefined) continue;
    const first = firstOf(record, byId, firsts);
    const family = families.get(first);
    if (family) family.push(record);
    else families.set(first, [record]);
  }
  const replaced = new Set<string>();
  for (const [first, corrections] of families) {
    const original = byId.get(first);
    const all = original && !corrections.includes(original) ? [original, ...corrections] : corrections;
    const standing = all.filter(({ id }) => !withdrawn.has(id));
    const older = correctedBy(standing, byId);
    const counts = standing.findLast(({ id }) => !older.has(id)) ?? standing.at(-1);
    for (const { id } of standing) if (id !== counts?.id) replaced.add(id);
  }
  return replaced;
}

/** The record that a chain of corrections began with; of a circle, whichever is met twice first. */
function firstOf(
  record: AnyRecord,
  byId: ReadonlyMap<string, AnyRecord>,
  known: Map<string, string>,
): string {
  const way: string[] = [];
  const met = new Set<string>();
  let id = record.id;
  for (;;) {
    const first = known.get(id);
    if (first !== undefined) id = first;
    const older = byId.get(id)?.corrects;
    if (first !== undefined || older === undefined || met.has(id)) break;
    met.add(id);
    way.push(id);
    id = older;
  }
  for (const each of way) known.set(each, id);
  return id;
}

/** Everything that these correct, directly or by way of others. */
function correctedBy(
  records: readonly AnyRecord[],
  byId: ReadonlyMap<string, AnyRecord>,
): ReadonlySet<string> {
  const older = new Set<string>();
  for (const { corrects } of records)
    for (let id = corrects; id !== undefined && !older.has(id); id = byId.get(id)?.corrects) older.add(id);
  return older;
}

/** A record with all that it corrects, and that this corrects: what goes when it is taken back for good. */
export function withOlder(record: AnyRecord, records: readonly AnyRecord[]): string[] {
  const byId = new Map(records.map((each) => [each.id, each]));
  return [record.id, ...correctedBy([record], byId)];
}

/**
 * Withdrawals of the withdrawals that take these back: what brings them here again.
 * @param ids of records
 */
export function withdrawalsOf(ids: ReadonlySet<string>, records: readonly AnyRecord[]): string[] {
  const withdrawn = withdrawnIds(records);
  return records
    .filter(isWithdrawal)
    .flatMap(({ id, withdraws }) => (ids.has(withdraws) && !withdrawn.has(id) ? [id] : []));
}

const SECOND_MS = 1000;

/** The newest moment of writing; undefined where there is none. */
export function latestStamp(records: readonly AnyRecord[]): string | undefined {
  let latest: string | undefined;
  for (const { recordedAt } of records)
    if (latest === undefined || isLater(recordedAt, latest)) latest = recordedAt;
  return latest;
}

/**
 * The moment to write on a new record: now, or just after everything that is here, where a clock was ahead once. So what
 * is written later always comes later in order.
 * @param latest the newest `recordedAt` here; undefined where there is none
 */
export function stampAfter(latest: string | undefined, now: string): string {
  return latest === undefined || isLater(now, latest) ? now : instantAt(millisecondsOf(latest) + 1);
}

/** Further ahead than two clocks in ordinary houses differ (working assumption). */
const FAR_AHEAD_MS = 26 * 3600 * SECOND_MS;

/** How many of these were stamped by a clock that was far ahead of ours. */
export function stampedAhead(records: readonly AnyRecord[], now: string): number {
  const limit = instantAt(millisecondsOf(now) + FAR_AHEAD_MS);
  return records.filter(({ recordedAt }) => isLater(recordedAt, limit)).length;
}
