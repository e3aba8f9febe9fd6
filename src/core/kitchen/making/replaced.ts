import type { Larder } from '../../recipe/larder';
import type { Ingredient, RecipeVersion, SavedLine } from '../../records/shapes';
import { weighable } from './kitchenAmount';
import { lineInView } from './lineInView';

/** The row of the text, counted without the blank ones, that each line of a version stands in. */
function rowsOfLines({ text, lines }: RecipeVersion): { rows: string[]; rowOf: number[] } {
  const rows = text
    .split(/\r\n|\r|\n/)
    .map((row) => row.trim())
    .filter(Boolean);
  const rowOf: number[] = [];
  let row = 0;
  for (let start = 0; start < lines.length;) {
    const written = lines[start]?.text ?? '';
    const lineCount = runLength(lines.slice(start), (line) => line.text === written);
    // Equal rows one after the other share their lines equally; a row is cut where a line keeps only its beginning.
    const rowCount = Math.max(
      1,
      runLength(rows.slice(row), (each) => each.startsWith(written)),
    );
    for (let index = 0; index < lineCount; index++)
      rowOf.push(row + Math.floor((index * rowCount) / lineCount));
    start += lineCount;
    row += rowCount;
  }
  return { rows, rowOf };
}

function runLength<T>(list: readonly T[], holds: (item: T) => boolean): number {
  const end = list.findIndex((item) => !holds(item));
  return end < 0 ? list.length : end;
}

export interface Replacement {
  readonly ingredient: Ingredient;
  /** For the recipe as written. */
  readonly grams: number;
}

/** "12.5 g agave syrup" */
export function partText({ ingredient, grams }: Replacement): string {
  return `${weighable(grams).text} ${ingredient.name}`;
}

/**
 * The text of a recipe with one of its lines replaced. Of a row that names several things, the others are written out by
 * weight; every other row stays as it is.
 */
export function withReplaced(
  recipe: RecipeVersion,
  replaced: number,
  parts: readonly Replacement[],
  larder: Larder,
): string {
  const { rows, rowOf } = rowsOfLines(recipe);
  const target = rowOf[replaced];
  const inRow = (line: SavedLine, index: number): string[] => {
    if (index === replaced) return parts.map(partText);
    const { grams, words } = lineInView(line, larder);
    return line.grams === null ? [] : [`${grams.text} ${words}`];
  };
  return rows
    .flatMap((text, row) =>
      row === target
        ? recipe.lines.flatMap((line, index) => (rowOf[index] === row ? inRow(line, index) : []))
        : [text],
    )
    .join('\n');
}

/** Grams of a substitute for a batch, brought back to the recipe as written. */
export function asWritten(parts: readonly Replacement[], factor: number): Replacement[] {
  return parts.map(({ ingredient, grams }) => ({ ingredient, grams: grams / factor }));
}
