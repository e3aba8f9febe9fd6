import { z } from 'zod';
import { calendarDaySchema, idSchema, instantSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { FELT, PHASES, STEP_SLOTS } from './washStep';

/** In one tap, when it is over. */
export const RATINGS = ['again', 'unsure', 'not-again'] as const;
export type Rating = (typeof RATINGS)[number];

const minutes = z.number().min(0).max(1440);

/** A wash day as it was: each step as planned and as done. What was used on it are sessions of their own. */
export const washDaySchema = recordBaseSchema.extend({
  kind: z.literal('wash-day'),
  headId: idSchema,
  day: calendarDaySchema,
  startedAt: instantSchema,
  endedAt: instantSchema,
  /** It was ended with steps ahead. */
  endedEarly: z.boolean(),
  steps: z
    .array(
      z.strictObject({
        id: idSchema,
        phase: z.enum(PHASES),
        title: z.string().min(1).max(90),
        slot: z.enum(STEP_SLOTS).nullable(),
        recipeId: idSchema.nullable(),
        waits: z.boolean(),
        planned: minutes,
        /** Null where it was not begun. */
        real: minutes.nullable(),
        outcome: z.enum(['done', 'skipped', 'left-out', 'not-reached']),
      }),
    )
    .max(60),
  felt: z.enum(FELT).nullable(),
  /** How many sections she made; the next wash day begins with as many. */
  sections: z.number().int().min(2).max(8).optional(),
  /** What was changed on the way, in words. */
  changes: z.array(z.string().min(1).max(500)).max(20),
  uses: z
    .array(
      z.strictObject({
        sessionId: idSchema,
        recipeId: idSchema,
        slot: z.enum(STEP_SLOTS),
        rating: z.enum(RATINGS).nullable(),
        /** Grams that were left in the bowl; null where nobody looked. */
        leftGrams: z.number().min(0).max(20_000).nullable(),
      }),
    )
    .max(6),
  note: z.string().max(1000),
});
export type WashDay = z.infer<typeof washDaySchema>;
export type WashDayStep = WashDay['steps'][number];
