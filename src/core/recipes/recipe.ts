import { z } from 'zod';
import { idSchema, recordBaseSchema } from '../measures';
import { RECIPE_LIMITS } from './limits';

/** What the treatment is used as; see docs/model.md. */
export const RECIPE_USES = ['pre-poo', 'mask', 'rinse'] as const;

/** A line as it was understood when the version was saved, so that a past session keeps what it used. */
export const savedLineSchema = z.strictObject({
  text: z.string().max(RECIPE_LIMITS.lineCharacters),
  ingredientId: idSchema.nullable(),
  preparationId: idSchema.nullable(),
  grams: z.number().positive().max(RECIPE_LIMITS.gramsPerLine).nullable(),
});

/** One version of a recipe. A change of any kind is a new record with the next version number. */
export const recipeVersionSchema = recordBaseSchema.extend({
  kind: z.literal('recipe'),
  /** Shared by all versions of one recipe. */
  recipeId: idSchema,
  version: z.number().int().min(1).max(10_000),
  name: z.string().trim().min(1, 'A recipe needs a name.').max(RECIPE_LIMITS.nameCharacters),
  text: z.string().min(1).max(RECIPE_LIMITS.characters),
  lines: z.array(savedLineSchema).min(1).max(RECIPE_LIMITS.lines),
  use: z.enum(RECIPE_USES),
  /** Minutes on the hair. */
  contactMinutes: z.number().int().min(1).max(720),
  warmth: z.enum(['room', 'warm']),
});
export type RecipeVersion = z.infer<typeof recipeVersionSchema>;
