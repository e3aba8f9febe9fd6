import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { usedVersionShape } from './recipe';

/** Within so many days of its last one a batch is to be used before others; a working assumption. */
export const USE_FIRST_DAYS = 2;

export const PLACES = ['room', 'fridge', 'freezer'] as const;
export type Place = (typeof PLACES)[number];
export const placeSchema = z.enum(PLACES);

/** Portions are counted in halves: half a jar is used, half is put back. */
const portions = z.number().min(0.5).max(60).multipleOf(0.5);
const grams = z.number().positive().max(20_000);

/** One making of a recipe, with what really went in. */
export const batchSchema = recordBaseSchema.extend({
  kind: z.literal('batch'),
  batchId: idSchema,
  ...usedVersionShape,
  madeOn: calendarDaySchema,
  /** Grams of each line of the version that really went in, in its order; null where a line weighs nothing. */
  weighed: z.array(grams.nullable()).max(600),
  /** Water that went in beside the recipe, to get the thickness right. */
  waterAddedGrams: z.number().min(0).max(20_000),
  portions,
  portionGrams: grams,
  place: placeSchema,
  note: z.string().max(500),
});
export type Batch = z.infer<typeof batchSchema>;

/** What became of a batch. */
export const batchEventSchema = recordBaseSchema.extend({
  kind: z.literal('batch-event'),
  batchId: idSchema,
  day: calendarDaySchema,
  what: z.enum(['used', 'moved', 'discarded']),
  /** Of a use or a discard; a move takes all that is left. */
  portions: portions.nullable(),
  /** Where it went, of a move. */
  place: placeSchema.nullable(),
  /** Whose head it went on, of a use. */
  headId: idSchema.nullable(),
  /** Why it was thrown out. */
  reason: z.string().max(200),
});
export type BatchEvent = z.infer<typeof batchEventSchema>;
