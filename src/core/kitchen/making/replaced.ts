import type { Larder } from '../../recipe/larder';
import { parseRecipe, withLineSaid } from '../../recipe/parsing';
import type { Ingredient, RecipeVersion } from '../../records/shapes';
import { weighable } from './kitchenAmount';

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
 * The text of a recipe with one of its lines replaced; all else stays as it was told. Where the text is read otherwise
 * today than when it was saved, the words of the line are looked for.
 */
export function withReplaced(
  { text, lines }: RecipeVersion,
  replaced: number,
  parts: readonly Replacement[],
  larder: Larder,
): string {
  const by = parts.map(partText).join('\n');
  const parsed = parseRecipe(text, { larder });
  const line = lines[replaced];
  if (!line) return text;
  const read =
    parsed.ok && parsed.value.lines.length === lines.length ? parsed.value.lines[replaced] : undefined;
  if (read) return withLineSaid(text, read, by);
  const start = text.indexOf(line.text);
  return start < 0
    ? `${text}\n${by}`
    : withLineSaid(text, { text: line.text, at: [{ start, end: start + line.text.length }] }, by);
}

/** Grams of a substitute for a batch, brought back to the recipe as written. */
export function asWritten(parts: readonly Replacement[], factor: number): Replacement[] {
  return parts.map(({ ingredient, grams }) => ({ ingredient, grams: grams / factor }));
}
