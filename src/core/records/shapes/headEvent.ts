import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** What happens to hair beside treatments and moves its readings. */
export const EVENT_KINDS = [
  'heat',
  'swim',
  'bleach',
  'dye',
  'relaxer',
  'perm',
  'heat-damage',
  'style-in',
  'style-out',
  'dry-air',
  'humid-air',
  'hard-water',
  'illness',
] as const;
export type EventKind = (typeof EVENT_KINDS)[number];

export const headEventSchema = recordBaseSchema.extend({
  kind: z.literal('event'),
  headId: idSchema,
  day: calendarDaySchema,
  what: z.enum(EVENT_KINDS),
  note: z.string().max(500),
});
export type HeadEvent = z.infer<typeof headEventSchema>;
