import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** A patch test of a recipe on one head; its outcome is a new record that corrects the first. */
export const patchTestSchema = recordBaseSchema.extend({
  kind: z.literal('patch-test'),
  headId: idSchema,
  recipeId: idSchema,
  startedOn: calendarDaySchema,
  outcome: z.enum(['waiting', 'clear', 'reacted']),
  note: z.string().max(500),
});
export type PatchTest = z.infer<typeof patchTestSchema>;
