import { t } from '@lingui/core/macro';
import { failed, ok, type CalendarDay, type Result } from '@/core/base/measures';
import { readRecipes, recipesTaken, textOfJsonLd, type RecipesTaken } from '@/core/files/sharing';
import { READING_TABLE, readRecords, SESSION_TABLE, type TableImport } from '@/core/files/tables';
import type { Larder } from '@/core/recipe/larder';
import { mergeRecords, type Backup, type Merge } from '@/core/records/files';
import { RECIPE_LIMITS, type StoredRecord } from '@/core/records/shapes';

/** What a file that somebody chose would do. */
export type Incoming =
  | { readonly what: 'backup'; readonly records: readonly StoredRecord[]; readonly merge: Merge }
  | { readonly what: 'recipes'; readonly taken: RecipesTaken }
  /** To be told here like any other. */
  | { readonly what: 'recipe-text'; readonly text: string }
  | { readonly what: 'readings' | 'treatments'; readonly table: TableImport };

interface Here {
  readonly records: readonly StoredRecord[];
  readonly larder: Larder;
  readonly today: CalendarDay;
  /** The person whose rhythms a file may begin; null where nobody is described. */
  readonly headId: string | null;
  /** Years of records are read off the main thread. */
  readonly readBackup: (text: string) => Promise<Result<Backup>>;
  readonly stamp: () => { readonly id: string; readonly recordedAt: string };
}

/** Told by what is in it, not by its name: a backup, a recipe file, or a table of readings or treatments. */
export async function incomingOf(text: string, here: Here): Promise<Result<Incoming>> {
  if (/^\s*[{[]/.test(text)) {
    const foreign = foreignRecipe(text);
    return foreign === null ? recordsIn(text, here) : ok({ what: 'recipe-text', text: foreign });
  }
  const headings = (text.split(/\r?\n/, 1)[0] ?? '').toLowerCase();
  if (/\bmoment\b/.test(headings)) {
    const table = readRecords(READING_TABLE, text, here);
    return table.ok ? ok({ what: 'readings', table: table.value }) : table;
  }
  if (/\brecipe\b/.test(headings)) {
    const table = readRecords(SESSION_TABLE, text, here);
    return table.ok ? ok({ what: 'treatments', table: table.value }) : table;
  }
  // Whatever else has words and an amount is somebody's recipe.
  if (text.length <= RECIPE_LIMITS.characters && /\d|½|¼|¾/.test(text) && !headings.includes(','))
    return ok({ what: 'recipe-text', text });
  return failed(
    'unknown-file',
    t`This is none of the files that Velvet Rhythm reads: a backup, a recipe file, or a table whose first row names the columns.`,
  );
}

/** A recipe of another program, as a text. */
function foreignRecipe(text: string): string | null {
  try {
    return textOfJsonLd(JSON.parse(text));
  } catch {
    return null;
  }
}

async function recordsIn(
  text: string,
  { records, larder, stamp, readBackup, headId, today }: Here,
): Promise<Result<Incoming>> {
  const backup = await readBackup(text);
  if (backup.ok)
    return ok({
      what: 'backup',
      records: backup.value.records,
      merge: mergeRecords(records, backup.value.records),
    });
  if (backup.problems[0].code !== 'other-format') return backup;
  const recipes = readRecipes(text);
  return recipes.ok
    ? ok({ what: 'recipes', taken: recipesTaken(recipes.value, { records, larder, headId, today }, stamp) })
    : recipes;
}
