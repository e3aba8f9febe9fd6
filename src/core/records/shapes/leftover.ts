import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { placeSchema } from './batch';
import { RECIPE_LIMITS } from './limits';

/** What a making left over and was kept: half a fruit, what the cloth held back. Taken back when it is used up. */
export const leftoverSchema = recordBaseSchema.extend({
  kind: z.literal('leftover'),
  name: z.string().min(1).max(RECIPE_LIMITS.nameCharacters),
  ingredientId: idSchema,
  /** What it is: a piece that can go into another recipe, or what was strained off. */
  part: z.enum(['piece', 'held-back']),
  /** Null where nobody knows. */
  grams: z.number().positive().max(RECIPE_LIMITS.gramsPerLine).nullable(),
  day: calendarDaySchema,
  useBy: calendarDaySchema,
  place: placeSchema,
});
export type Leftover = z.infer<typeof leftoverSchema>;
