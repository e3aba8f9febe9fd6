import { z } from 'zod';
import { idSchema } from '../../base/measures';
import { RECIPE_LIMITS } from './limits';

/** What is done in a step. */
const DEEDS = [
  'mix',
  'take',
  'blend',
  'heat',
  'boil',
  'soak',
  'strain',
  'cool',
  'whip',
  'apply',
  'rinse',
  'keep',
  'follow',
] as const;
export type Deed = (typeof DEEDS)[number];

/** Index in the lines of the version. */
const lineIndex = z
  .number()
  .int()
  .min(0)
  .max(RECIPE_LIMITS.savedLines - 1);

/** One step of making a recipe. */
export const methodStepSchema = z.strictObject({
  /** “{2}” stands for line 2 with its amount in the batch. */
  text: z.string().min(1).max(RECIPE_LIMITS.stepCharacters),
  lines: z.array(lineIndex).max(RECIPE_LIMITS.savedLines),
  handsMinutes: z.number().int().min(0).max(RECIPE_LIMITS.stepMinutes),
  waitMinutes: z.number().int().min(0).max(RECIPE_LIMITS.stepMinutes),
  /** By her telling or her hand, or added because the bowl needs it. */
  by: z.enum(['told', 'added']),
  deeds: z.array(z.enum(DEEDS)).max(DEEDS.length),
  /** The way of data/methods.json that an added step follows. */
  way: idSchema.optional(),
});
export type SavedStep = z.infer<typeof methodStepSchema>;
