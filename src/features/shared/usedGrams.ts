import { batchUses, gramsUsed, keyOfUse } from '@/core/hair/history';
import { classifyVersion } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/larder';
import { ofKind, type StoredRecord, UsedVersion } from '@/core/records/shapes';

/**
 * Grams that really went on each head, use by use, from batches and from what was weighed on the wash day: what its own factor is learned from. Oils go on far more
 * thinly than masks, so each sort is learned from its own.
 */
export function usedGramsByHead(
  records: readonly StoredRecord[],
  larder: Larder,
  oil: boolean,
): ReadonlyMap<string, readonly number[]> {
  const sorts = new Map<string, boolean>();
  const isOil = (used: UsedVersion) => {
    const key = `${used.recipeId}/${used.recipeVersion}/${used.recipeRecordId ?? ''}`;
    const known = sorts.get(key) ?? madeOfOil(used, larder);
    sorts.set(key, known);
    return known;
  };
  const used = new Map<string, number[]>();
  const add = (headId: string, grams: number) => used.set(headId, [...(used.get(headId) ?? []), grams]);
  const uses = batchUses(records);
  const told = new Set<string>();
  for (const session of ofKind(records, 'session')) {
    const grams = gramsUsed(session, uses);
    told.add(keyOfUse(session.headId, session.day, session.recipeId));
    if (grams !== null && isOil(session) === oil) add(session.headId, grams);
  }
  // A portion that was taken from the shelf without a treatment written down beside it.
  for (const [key, { headId, batch, grams }] of uses)
    if (!told.has(key) && isOil(batch) === oil) add(headId, grams);
  return used;
}

function madeOfOil(used: UsedVersion, larder: Larder): boolean {
  const recipe = larder.used(used);
  const verdict = recipe && classifyVersion(recipe, 'my-hair', larder);
  return verdict?.ok === true && verdict.value.kind === 'oil';
}
