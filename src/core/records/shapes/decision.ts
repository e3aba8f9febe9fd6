import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** What a treatment is in its day. */
export const SLOTS = [
  'pre-poo',
  'main',
  'follow-up',
  'refresh',
  'mist',
  'scalp',
  'serum',
  'leave-in',
] as const;
export type Slot = (typeof SLOTS)[number];

/**
 * What she decided about the plan. "place": this recipe on this day, whatever the planner thinks; "avoid": not this recipe
 * on this day, or nothing at all in this slot where no recipe is named.
 */
export const decisionSchema = recordBaseSchema
  .extend({
    kind: z.literal('decision'),
    headId: idSchema,
    day: calendarDaySchema,
    slot: z.enum(SLOTS),
    what: z.enum(['place', 'avoid']),
    recipeId: idSchema.nullable(),
    /** Of a pre-poo: put on that evening, to be washed out the next day. */
    overnight: z.literal(true).optional(),
  })
  .refine(({ what, recipeId }) => what === 'avoid' || recipeId !== null, {
    path: ['recipeId'],
    error: () => t`Choose what is to be done that day.`,
  });
export type Decision = z.infer<typeof decisionSchema>;
