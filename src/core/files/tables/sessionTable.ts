import { t } from '@lingui/core/macro';
import { ok } from '../../base/measures';
import { UNNAMED, type Larder } from '../../recipe/larder';
import { sessionSchema, type Session } from '../../records/shapes';
import type { RecordTable } from './recordTable';
import { cellProblem, numberIn } from './table';

interface Named {
  readonly recipeId: string;
  readonly version: number;
  /** The record of that version, where it is known. */
  readonly id?: string | undefined;
}

/** The recipe that a name stands for, or why it stands for none. One that was taken out since keeps its name in what is known. */
function recipeIn(name: string, larder: Larder, known: Session | undefined): Named | string {
  const isSame = (other: string) => other.toLowerCase() === name.toLowerCase();
  if (known && isSame(larder.recipeName(known.recipeId)))
    return { recipeId: known.recipeId, version: known.recipeVersion, id: known.recipeRecordId };
  const named = [...larder.recipes, ...UNNAMED.flatMap((id) => larder.lastVersion(id) ?? [])].filter(
    (recipe) => isSame(recipe.name),
  );
  const [recipe] = named;
  if (!recipe) return t`No recipe is called “${name}”. Write the recipe down first, or mend the name.`;
  return named.length > 1
    ? t`Two recipes are called “${name}”; give one of them another name first.`
    : recipe;
}

/** Treatments that were done, one a row. */
export const SESSION_TABLE: RecordTable<Session> = {
  kind: 'session',
  schema: sessionSchema,
  columns: ['recipe', 'version', 'minutes', 'warmth', 'grams', 'note', 'about', 'used_as'],
  needed: ['recipe', 'minutes'],
  columnOf: { usedAs: 'used_as', recipeId: 'recipe', recipeVersion: 'version', contactMinutes: 'minutes' },
  cells: ({ recipeId, recipeVersion, contactMinutes, warmth, grams, note, about, usedAs }, { larder }) => [
    larder.recipeName(recipeId),
    String(recipeVersion),
    String(contactMinutes),
    warmth,
    String(grams ?? ''),
    note,
    about ? 'yes' : '',
    usedAs ?? '',
  ],
  contents: (cell, { larder }, row, known, text) => {
    const recipe = recipeIn(cell('recipe'), larder, known);
    if (typeof recipe === 'string') return { ok: false, problems: [cellProblem(row, 'recipe', recipe)] };
    const version = numberIn(cell('version')) ?? recipe.version;
    const recordId = version === recipe.version ? recipe.id : undefined;
    const found = larder.recipe(recipe.recipeId, version, recordId);
    if (!found)
      return {
        ok: false,
        problems: [
          cellProblem(
            row,
            'version',
            t`“${{ cell: cell('recipe') }}” has no such version; leave it empty for the newest.`,
          ),
        ],
      };
    return ok({
      recipeId: recipe.recipeId,
      recipeVersion: version,
      ...(recordId === undefined ? {} : { recipeRecordId: recordId }),
      contactMinutes: numberIn(cell('minutes')),
      warmth: cell('warmth').toLowerCase() || 'room',
      grams: numberIn(cell('grams')),
      note: text('note'),
      ...(cell('about') === '' ? {} : { about: true }),
      ...(cell('used_as') === '' ? {} : { usedAs: cell('used_as').toLowerCase() }),
    });
  },
};
