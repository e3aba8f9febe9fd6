import type { CalendarDay } from '../../base/measures';
import { ofKind, type Batch, type StoredRecord } from '../../records/shapes';

/** What one head got of one recipe on one day, out of jars. */
export interface BatchUse {
  readonly headId: string;
  readonly day: CalendarDay;
  readonly batch: Batch;
  readonly grams: number;
}

export const keyOfUse = (headId: string, day: CalendarDay, recipeId: string) =>
  `${headId}/${day}/${recipeId}`;

/** Uses from the shelf, by head, day and recipe; several portions on one day are one use. @param live records that count */
export function batchUses(live: readonly StoredRecord[]): ReadonlyMap<string, BatchUse> {
  const batches = new Map(ofKind(live, 'batch').map((batch) => [batch.batchId, batch]));
  const uses = new Map<string, BatchUse>();
  for (const { what, headId, portions, batchId, day } of ofKind(live, 'batch-event')) {
    const batch = batches.get(batchId);
    if (what !== 'used' || headId === null || portions === null || !batch) continue;
    const key = keyOfUse(headId, day, batch.recipeId);
    const grams = (uses.get(key)?.grams ?? 0) + portions * batch.portionGrams;
    uses.set(key, { headId, day, batch, grams });
  }
  return uses;
}

/** Grams of a use: what was weighed for the treatment itself goes before what the jar gave; null where nobody knows. */
export function gramsUsed(
  session: {
    readonly headId: string;
    readonly day: CalendarDay;
    readonly recipeId: string;
    readonly grams: number | null;
  },
  uses: ReadonlyMap<string, BatchUse>,
): number | null {
  return session.grams ?? uses.get(keyOfUse(session.headId, session.day, session.recipeId))?.grams ?? null;
}
