import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { SIGNAL_IDS } from './reading';

const estimate = z.strictObject({ mean: z.number(), sd: z.number().positive() });

/** What was thought of each signal just before a reading of it: how often such forecasts hold is told from these. */
export const forecastSchema = recordBaseSchema.extend({
  kind: z.literal('forecast'),
  headId: idSchema,
  day: calendarDaySchema,
  /** The reading that came after it. */
  readingId: idSchema,
  signals: z.record(z.enum(SIGNAL_IDS), estimate),
  /** How many times as wide these were made because earlier ones held too seldom. */
  widenedBy: z.number().min(1).max(10),
});
export type Forecast = z.infer<typeof forecastSchema>;
