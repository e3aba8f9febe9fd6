import { z } from 'zod';
import { instantSchema, millisecondsOf, type Instant } from '../../base/measures';

/** A copy of all records that this browser keeps beside them. */
const copySchema = z.strictObject({
  id: z.string().min(1).max(64),
  takenAt: instantSchema,
  records: z.number().int().min(0),
  characters: z.number().int().min(0),
  /** "daily": taken by itself, without pictures; "before": taken before everything was replaced, with them. */
  why: z.enum(['daily', 'before']),
});
export type Copy = z.infer<typeof copySchema>;
export const copyListSchema = z.array(copySchema).max(50);

const HOUR_MS = 3_600_000;
/** A day, less what somebody who opens the page a little earlier each evening would lose. */
const COPY_EVERY_HOURS = 20;
/** Of so many last days, weeks and months that have a copy the newest is kept (working assumption). */
const KEEP_OF = [
  { hours: 24, count: 2 },
  { hours: 7 * 24, count: 3 },
  { hours: 28 * 24, count: 3 },
] as const;
/** Copies from before a replacement are few and large. */
const KEEP_BEFORE = 2;

const hoursOld = ({ takenAt }: Copy, now: Instant) =>
  (millisecondsOf(now) - millisecondsOf(takenAt)) / HOUR_MS;

/** Whether the records are to be copied today. A copy of a clock that was ahead does not put it off for ever. */
export function isCopyDue(copies: readonly Copy[], now: Instant): boolean {
  return !copies.some((copy) => {
    const age = hoursOld(copy, now);
    return copy.why === 'daily' && age >= 0 && age < COPY_EVERY_HOURS;
  });
}

/** Those that may go; what is left reaches from today back over a month. */
export function copiesToDrop(copies: readonly Copy[]): Copy[] {
  const newestFirst = [...copies].sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
  const daily = newestFirst.filter(({ why }) => why === 'daily');
  const kept = new Set<Copy>([
    ...KEEP_OF.flatMap(({ hours, count }) => newestOfEach(daily, hours).slice(0, count)),
    ...newestFirst.filter(({ why }) => why === 'before').slice(0, KEEP_BEFORE),
  ]);
  return copies.filter((copy) => !kept.has(copy));
}

/** @param newestFirst copies of which the newest of each stretch of so many hours is wanted */
function newestOfEach(newestFirst: readonly Copy[], hours: number): Copy[] {
  const stretch = ({ takenAt }: Copy) => Math.floor(millisecondsOf(takenAt) / (hours * HOUR_MS));
  return newestFirst.filter((copy, index) => {
    const before = newestFirst[index - 1];
    return before === undefined || stretch(before) !== stretch(copy);
  });
}
