import { RECIPE_LIMITS, type SavedLine } from '../../records/shapes';
import type { ParsedLine } from './parsedLine';

/** What is kept of a parsed line: a note or a line that is not understood keeps its text and weighs nothing. */
export function savedLine(line: ParsedLine): SavedLine {
  const text = line.text.slice(0, RECIPE_LIMITS.lineCharacters);
  if (line.status !== 'read') return { text, ingredientId: null, preparationId: null, grams: null };
  const { ingredientId, preparationId, grams, made, phase } = line;
  return {
    text,
    ingredientId,
    preparationId,
    grams,
    ...(made ? { made } : {}),
    ...(phase === null ? {} : { phase }),
  };
}
