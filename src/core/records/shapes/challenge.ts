import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

export const CHALLENGE_COUNTS = ['main', 'moisture', 'protein', 'pre-poo'] as const;
export type ChallengeCounts = (typeof CHALLENGE_COUNTS)[number];

/** So many treatments of a sort every week, for some weeks: eight, or a year. */
export const challengeSchema = recordBaseSchema.extend({
  kind: z.literal('challenge'),
  challengeId: idSchema,
  headId: idSchema,
  name: z
    .string()
    .trim()
    .min(1, { error: () => t`Give the challenge a name.` })
    .max(60),
  counts: z.enum(CHALLENGE_COUNTS),
  perWeek: z.number().int().min(1).max(7),
  startsOn: calendarDaySchema,
  weeks: z
    .number({ error: () => t`Write the weeks.` })
    .int()
    .min(1, { error: () => t`At least one week.` })
    .max(53, { error: () => t`At most 53 weeks.` }),
  /** Set when it is given up before its end. */
  givenUpOn: calendarDaySchema.nullable(),
});
export type Challenge = z.infer<typeof challengeSchema>;
