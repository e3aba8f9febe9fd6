import { z } from 'zod';
import { t } from '../language';
import { idSchema, recordBaseSchema } from '../measures';
import { RECIPE_LIMITS } from './limits';
import type { ParsedLine } from './parsedLine';

/** What the treatment is used as; see docs/model.md. */
export const RECIPE_USES = ['pre-poo', 'mask', 'rinse', 'mist', 'scalp-oil', 'serum'] as const;
export type RecipeUse = (typeof RECIPE_USES)[number];

const versionNumber = z.number().int().min(1).max(10_000);

/** A line as it was understood when the version was saved, so that a past session keeps what it used. */
const savedLineSchema = z.strictObject({
  text: z.string().max(RECIPE_LIMITS.lineCharacters),
  ingredientId: idSchema.nullable(),
  preparationId: idSchema.nullable(),
  grams: z.number().positive().max(RECIPE_LIMITS.gramsPerLine).nullable(),
  /** The version of another recipe that this line uses as an ingredient. */
  made: z
    .strictObject({ recipeId: idSchema, version: versionNumber, recordId: idSchema.optional() })
    .optional(),
  /** Of a formula, the phase that it stands under. */
  phase: z.string().min(1).max(20).optional(),
});
export type SavedLine = z.infer<typeof savedLineSchema>;

/** One version of a recipe. A change of any kind is a new record with the next version number. */
export const recipeVersionSchema = recordBaseSchema.extend({
  kind: z.literal('recipe'),
  /** Shared by all versions of one recipe. */
  recipeId: idSchema,
  version: versionNumber,
  name: z
    .string()
    .trim()
    .min(1, t`A recipe needs a name.`)
    .max(RECIPE_LIMITS.nameCharacters),
  text: z.string().min(1).max(RECIPE_LIMITS.characters),
  lines: z.array(savedLineSchema).min(1).max(RECIPE_LIMITS.savedLines),
  use: z.enum(RECIPE_USES),
  /** Minutes on the hair. */
  contactMinutes: z.number().int().min(1).max(720),
  warmth: z.enum(['room', 'warm']),
});
export type RecipeVersion = z.infer<typeof recipeVersionSchema>;

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
