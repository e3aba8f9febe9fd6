import { withInner } from '../../hair/history';
import { liveRecords } from '../../records/log';
import { ofKind, type StoredRecord } from '../../records/shapes';

const recipesNamed = (record: StoredRecord): string[] => {
  switch (record.kind) {
    case 'session':
    case 'patch-test':
      return [record.recipeId];
    case 'decision':
      return record.recipeId === null ? [] : [record.recipeId];
    case 'rhythm':
      return 'recipeId' in record.of ? [record.of.recipeId] : [];
    case 'trial':
      return [record.recipeId, ...(record.againstId === null ? [] : [record.againstId])];
    case 'wash-day':
      return record.uses.map(({ recipeId }) => recipeId);
    default:
      return [];
  }
};

/**
 * All that is known of one head, to hand it over to another person: its own records, with what they replaced and what was
 * taken back, the recipes that they name and what these are made of. The kitchen, its shelf and the other heads stay.
 */
export function recordsOfHead(records: readonly StoredRecord[], headId: string): StoredRecord[] {
  const own = records.filter(
    (record) => record.kind !== 'batch-event' && 'headId' in record && record.headId === headId,
  );
  const recipes = ofKind(records, 'recipe');
  const named = withInner(new Set(own.flatMap(recipesNamed)), recipes);
  const versions = recipes.filter(({ recipeId }) => named.has(recipeId));
  const ingredients = new Set(versions.flatMap(({ lines }) => lines.map(({ ingredientId }) => ingredientId)));
  const wanted = new Set(
    [
      ...own,
      ...versions,
      ...ofKind(records, 'ingredient').filter(({ ingredient }) => ingredients.has(ingredient.id)),
    ].map(({ id }) => id),
  );
  // What was taken back must not come to life again with the other person.
  const withdrawals = ofKind(records, 'withdrawal');
  for (let before = -1; before !== wanted.size;) {
    before = wanted.size;
    for (const { id, withdraws } of withdrawals) if (wanted.has(withdraws)) wanted.add(id);
  }
  const live = new Set(liveRecords(records).map(({ id }) => id));
  // Pictures that were taken back are gone for good.
  return records.filter(({ id, kind }) => wanted.has(id) && (kind !== 'photo' || live.has(id)));
}
