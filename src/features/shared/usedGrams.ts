import { classifyVersion } from '@/core/classification';
import { ofKind, type StoredRecord } from '@/core/exchange';
import { type Larder } from '@/core/recipes';

/**
 * Grams that really went on each head, use by use, from batches and from what was weighed on the wash day: what its own factor is learned from. Oils go on far more
 * thinly than masks, so each sort is learned from its own.
 */
export function usedGramsByHead(
  records: readonly StoredRecord[],
  larder: Larder,
  oil: boolean,
): ReadonlyMap<string, readonly number[]> {
  const batches = new Map(ofKind(records, 'batch').map((batch) => [batch.batchId, batch]));
  const sorts = new Map<string, boolean>();
  const isOil = (recipeId: string, version: number) => {
    const key = `${recipeId}/${version}`;
    const known = sorts.get(key) ?? madeOfOil(recipeId, version, larder);
    sorts.set(key, known);
    return known;
  };
  const used = new Map<string, number[]>();
  const add = (headId: string, grams: number) => used.set(headId, [...(used.get(headId) ?? []), grams]);
  const fromShelf = new Set<string>();
  for (const { what, headId, portions, batchId, day } of ofKind(records, 'batch-event')) {
    const batch = batches.get(batchId);
    if (what !== 'used' || headId === null || !batch || portions === null) continue;
    if (isOil(batch.recipeId, batch.recipeVersion) !== oil) continue;
    add(headId, portions * batch.portionGrams);
    fromShelf.add(`${headId}/${day}/${batch.recipeId}`);
  }
  for (const { headId, day, recipeId, recipeVersion, grams } of ofKind(records, 'session')) {
    if (grams === null || fromShelf.has(`${headId}/${day}/${recipeId}`)) continue;
    if (isOil(recipeId, recipeVersion) === oil) add(headId, grams);
  }
  return used;
}

function madeOfOil(recipeId: string, version: number, larder: Larder): boolean {
  const recipe = larder.recipe(recipeId, version);
  const verdict = recipe && classifyVersion(recipe, 'my-hair', larder);
  return verdict?.ok === true && verdict.value.kind === 'oil';
}
