import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/**
 * What a stretch of days is: a protective style from its going in to its take-down; days without a wash; days to look good
 * for; or days with other hours than the weekday has.
 */
export const OCCASIONS = ['style', 'no-wash', 'look-good', 'hours'] as const;
export type OccasionKind = (typeof OCCASIONS)[number];

export const occasionSchema = recordBaseSchema
  .extend({
    kind: z.literal('occasion'),
    /** Null where it holds for everybody she looks after. */
    headId: idSchema.nullable(),
    what: z.enum(OCCASIONS),
    from: calendarDaySchema,
    /** Its last day, itself included. */
    to: calendarDaySchema,
    /** Of other hours, the minutes of each of these days; 0 when she is away. */
    minutes: z
      .number({ error: () => t`Write the minutes.` })
      .int()
      .min(0)
      .max(720)
      .nullable(),
    note: z.string().max(200),
    /** Of a style: the last days of it that are for taking it down, and the hours that takes in all. */
    takeDown: z
      .strictObject({
        days: z.number().int().min(1).max(2),
        hours: z
          .number({ error: () => t`Write the hours.` })
          .min(0.5)
          .max(24),
      })
      .optional(),
  })
  .refine(({ from, to }) => to >= from, { path: ['to'], error: () => t`The last day comes after the first.` })
  .refine(({ what, minutes }) => what !== 'hours' || minutes !== null, {
    path: ['minutes'],
    error: () => t`Write how many minutes these days have.`,
  });
export type Occasion = z.infer<typeof occasionSchema>;

/** Those that hold for one head. */
export function occasionsOf(occasions: readonly Occasion[], headId: string): Occasion[] {
  return occasions.filter((occasion) => occasion.headId === null || occasion.headId === headId);
}
