import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** What can have a rhythm beside one recipe: any treatment of a sort. */
export const RHYTHM_SORTS = [
  'main',
  'moisture',
  'protein',
  'strong-protein',
  'pre-poo',
  'rinse',
  'mist',
  'scalp-oil',
  'serum',
  'leave-in',
] as const;
export type RhythmSort = (typeof RHYTHM_SORTS)[number];

/** How often, as she says it. Weekdays begin with Sunday as 0; `weeks` 2 is every other week, counted from the first day. */
const whenSchema = z.discriminatedUnion('every', [
  z.strictObject({ every: z.literal('days'), days: z.number().int().min(1).max(180) }),
  z.strictObject({
    every: z.literal('weekdays'),
    weekdays: z
      .array(z.number().int().min(0).max(6))
      .min(1, { error: () => t`Choose a weekday.` })
      .max(7)
      .refine((days) => new Set(days).size === days.length, { error: () => t`Each weekday once.` }),
    weeks: z.number().int().min(1).max(8),
  }),
  z.strictObject({ every: z.literal('week'), times: z.number().int().min(1).max(7) }),
  z.strictObject({ every: z.literal('month'), times: z.number().int().min(1).max(15) }),
  z.strictObject({ every: z.literal('wash') }),
  z.strictObject({ every: z.literal('night') }),
  /** Before each protective style, so many days ahead at most. */
  z.strictObject({ every: z.literal('style'), daysBefore: z.number().int().min(0).max(14) }),
]);

/** A rhythm of her own: a recipe or a sort of treatment, how often, from when until when. With a name it is a challenge. */
export const rhythmSchema = recordBaseSchema
  .extend({
    kind: z.literal('rhythm'),
    rhythmId: idSchema,
    headId: idSchema,
    /** Null where it is no challenge. */
    name: z
      .string()
      .trim()
      .min(1, { error: () => t`Give the challenge a name.` })
      .max(60)
      .nullable(),
    of: z.union([
      z.strictObject({ recipeId: idSchema }),
      z.strictObject({ sort: z.enum(RHYTHM_SORTS, { error: () => t`Choose what it is.` }) }),
    ]),
    when: whenSchema,
    /** It may lie in the past: week seven of eight. */
    startsOn: calendarDaySchema,
    /** Its last day; null where it has no end. */
    until: calendarDaySchema.nullable(),
    /** It is over when it was done so many times; null where nobody counts. */
    times: z
      .number({ error: () => t`Write how many times.` })
      .int()
      .min(1)
      .max(400)
      .nullable(),
    /** Months in which it rests, 1 to 12. */
    notIn: z.array(z.number().int().min(1).max(12)).max(11),
    /** It goes before the comfort zone and other wishes; where not, it is kept as far as it fits. */
    firm: z.boolean(),
    /** What a week is about, counted from the first week as 1. */
    themes: z
      .array(
        z.strictObject({ week: z.number().int().min(1).max(60), text: z.string().trim().min(1).max(200) }),
      )
      .max(60),
    /** The day on which she said so: what lies before it and was not written down is not called missed. */
    toldOn: calendarDaySchema,
    /** Set when it is given up before its end. */
    endedOn: calendarDaySchema.nullable(),
  })
  .refine(({ startsOn, until }) => until === null || until >= startsOn, {
    path: ['until'],
    error: () => t`The last day comes after the first.`,
  });
export type Rhythm = z.infer<typeof rhythmSchema>;
