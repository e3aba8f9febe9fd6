import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { idSchema, UNITS, type UnitId } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { RECIPE_LIMITS } from './limits';
import { methodStepSchema } from './method';

/** What the treatment is used as; see docs/model.md. */
export const RECIPE_USES = ['pre-poo', 'mask', 'rinse', 'mist', 'scalp-oil', 'serum', 'leave-in'] as const;
export type RecipeUse = (typeof RECIPE_USES)[number];

const unitSchema = z.enum(Object.keys(UNITS) as [UnitId, ...UnitId[]]);
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
  /** How much was told, and in which words where they say just that; absent before data version 8. */
  told: z
    .strictObject({
      quantity: z.number().positive(),
      unit: unitSchema,
      words: z.string().min(1).max(RECIPE_LIMITS.lineCharacters).optional(),
    })
    .optional(),
  /** Of a formula, the phase that it stands under. */
  phase: z.string().min(1).max(20).optional(),
});
export type SavedLine = z.infer<typeof savedLineSchema>;

export const COUNTED_AS = ['protein', 'moisture', 'as-judged'] as const;

/** One version of a recipe. A change of any kind is a new record with the next version number. */
export const recipeVersionSchema = recordBaseSchema.extend({
  kind: z.literal('recipe'),
  /** Shared by all versions of one recipe. */
  recipeId: idSchema,
  version: versionNumber,
  name: z
    .string()
    .trim()
    .min(1, { error: () => t`A recipe needs a name.` })
    .max(RECIPE_LIMITS.nameCharacters),
  text: z.string().min(1).max(RECIPE_LIMITS.characters),
  lines: z.array(savedLineSchema).min(1).max(RECIPE_LIMITS.savedLines),
  use: z.enum(RECIPE_USES),
  /** What else she uses it as. */
  alsoAs: z
    .array(z.enum(RECIPE_USES))
    .max(RECIPE_USES.length - 1)
    .optional(),
  /** It goes on the scalp too, by her word. */
  onScalp: z.literal(true).optional(),
  /** Minutes on the hair. */
  contactMinutes: z.number().int().min(1).max(720),
  warmth: z.enum(['room', 'warm']),
  /** Her method strains all of it once it is mixed. */
  strained: z.literal(true).optional(),
  /** What she counts it as where the figures say otherwise; “as-judged”: she goes by the figures. */
  countedAs: z.enum(COUNTED_AS).optional(),
  /** The steps that were told, each line in exactly one; where none were, the shortest way is taken. */
  method: z.array(methodStepSchema).min(1).max(RECIPE_LIMITS.steps).optional(),
  /** The steps were put in order by hand: nothing that seems to be missing is added. */
  arranged: z.literal(true).optional(),
});
export type RecipeVersion = z.infer<typeof recipeVersionSchema>;

/**
 * How a record names the version of a recipe that was used. The number is for people: two devices may give the same one to
 * two versions, so the record of the version settles which it was. Records of before data version 7 have the number alone.
 */
export const usedVersionShape = {
  recipeId: idSchema,
  recipeVersion: z.number().int().min(1).max(10_000),
  recipeRecordId: idSchema.optional(),
};
export interface UsedVersion {
  readonly recipeId: string;
  readonly recipeVersion: number;
  readonly recipeRecordId?: string | undefined;
}
