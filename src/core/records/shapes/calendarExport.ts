import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** One event that stands in her calendar. */
const calendarEntrySchema = z.strictObject({
  uid: z.string().min(1).max(300),
  sequence: z.number().int().min(0).max(100_000),
  sort: z.enum(['wash', 'evening', 'small', 'prepare', 'note']),
  /** What it is for: a recipe, and of a preparation its text. */
  about: z.string().max(200),
  day: calendarDaySchema,
  /** A check sum of what it said, to know whether it changed. */
  said: z.string().max(20),
  cancelled: z.boolean(),
});
export type CalendarEntry = z.infer<typeof calendarEntrySchema>;

/** What was put into her calendar: so that what moves is moved there too, and what is dropped is taken out. The newest counts. */
export const calendarExportSchema = recordBaseSchema.extend({
  kind: z.literal('calendar-export'),
  headId: idSchema,
  entries: z.array(calendarEntrySchema).max(2000),
});
export type CalendarExport = z.infer<typeof calendarExportSchema>;
