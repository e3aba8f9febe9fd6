import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { RECIPE_USES, usedVersionShape } from './recipe';

/** A treatment that was really done. What a plan had asked for stays in the plan; this is what happened. */
export const sessionSchema = recordBaseSchema.extend({
  kind: z.literal('session'),
  headId: idSchema,
  day: calendarDaySchema,
  /** The version that was used: a later change of the recipe does not change the past. */
  ...usedVersionShape,
  contactMinutes: z.number().int().min(1).max(720),
  warmth: z.enum(['room', 'warm']),
  /** Grams that went on this head, where they are known. */
  grams: z.number().positive().max(5000).nullable(),
  /** Share of what is usual for this head, where less was put on and nobody weighed it. */
  amount: z.number().positive().max(1).optional(),
  note: z.string().max(1000),
  /** Told from memory: the day is about right. */
  about: z.literal(true).optional(),
  /** What it was used as, where the recipe has several uses. */
  usedAs: z.enum(RECIPE_USES).optional(),
});
export type Session = z.infer<typeof sessionSchema>;
