import { classifyLines } from '@/core/classification';
import { ofKind, type StoredRecord } from '@/core/exchange';
import { weighedLines, type Larder } from '@/core/recipes';

/**
 * Grams of batches that really went on one head, at each use: what its own factor is learned from. Oils go on far more
 * thinly than masks, so each sort is learned from its own.
 */
export function usedGramsOf(
  records: readonly StoredRecord[],
  headId: string,
  larder: Larder,
  oil: boolean,
): number[] {
  const batches = new Map(
    ofKind(records, 'batch')
      .filter(({ recipeId, recipeVersion }) => isOil(recipeId, recipeVersion, larder) === oil)
      .map((batch) => [batch.batchId, batch]),
  );
  return ofKind(records, 'batch-event').flatMap((event) => {
    const batch = batches.get(event.batchId);
    if (event.what !== 'used' || event.headId !== headId || !batch || event.portions === null) return [];
    return [event.portions * batch.portionGrams];
  });
}

function isOil(recipeId: string, version: number, larder: Larder): boolean {
  const recipe = larder.recipe(recipeId, version);
  const lines = recipe && weighedLines(recipe.lines, larder);
  const verdict = lines?.ok ? classifyLines(lines.value, 'my-hair') : undefined;
  return verdict?.ok === true && verdict.value.kind === 'oil';
}
