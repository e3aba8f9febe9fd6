import { RECIPE_LIMITS, type SavedLine } from '../../records/shapes';
import type { ParsedLine, ReadLine } from './parsedLine';

/**
 * What is kept of a parsed line: a note or a line that is not understood keeps its text and weighs nothing.
 * @param source the whole text, out of which the line's own words are cut
 */
export function savedLine(line: ParsedLine, source: string): SavedLine {
  const text = line.text.slice(0, RECIPE_LIMITS.lineCharacters);
  if (line.status !== 'read') return { text, ingredientId: null, preparationId: null, grams: null };
  const { ingredientId, preparationId, grams, made, phase, quantity, unit } = line;
  const words = ownWords(line, source);
  return {
    text,
    ingredientId,
    preparationId,
    grams,
    ...(made ? { made } : {}),
    ...(quantity > 0 ? { told: { quantity, unit, ...(words === '' ? {} : { words }) } } : {}),
    ...(phase === null ? {} : { phase }),
  };
}

/** Decisions of the reader after which a line's own words no longer say its amount. */
const REWORDED: ReadonlySet<string> = new Set([
  'corrected',
  'scaled',
  'to-texture',
  'to-balance',
  'equal-parts',
  'from-instruction',
  'optional',
  'range',
  'own-measure',
  'guess',
  'one-piece',
  'instead',
]);
/** A plain phrase: nothing that cuts it up, no bracket that opens or closes alone. */
const SAYABLE = /^(?:[^,:;()\n]|\([^()\n]*\))+$/;

/** "two ripe bananas", where that is all that was told of it. */
function ownWords({ at, quantity, assumptions }: ReadLine, source: string): string {
  const [first] = at;
  if (!first || at.length !== 1 || quantity <= 0 || assumptions.some(({ code }) => REWORDED.has(code)))
    return '';
  const words = source
    .slice(first.start, first.end)
    .trim()
    .replace(/[.!;\s]+$/, '')
    .replaceAll('{', '(')
    .replaceAll('}', ')')
    .slice(0, RECIPE_LIMITS.lineCharacters);
  return SAYABLE.test(words) ? words : '';
}
