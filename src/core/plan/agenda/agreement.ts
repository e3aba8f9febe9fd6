import { z } from 'zod';
import { calendarDaySchema } from '../../base/measures';
import { SLOTS } from '../../records/shapes';

const agreedAssignmentSchema = z.strictObject({
  day: calendarDaySchema,
  slot: z.enum(SLOTS),
  recipeId: z.string(),
  overnight: z.boolean(),
});
/** A treatment of a plan that was agreed. */
export type AgreedAssignment = z.infer<typeof agreedAssignmentSchema>;

/** The plan of one head as she saw it last: kept so that the next one changes little, and can say what changed and why. */
const agreementNow = z.strictObject({
  asOf: calendarDaySchema,
  /** Its treatments, and those that were planned in the last weeks. */
  assignments: z.array(agreedAssignmentSchema),
  /** How many records of each sort it knew of. */
  knew: z.strictObject({
    sessions: z.number(),
    readings: z.number(),
    decisions: z.number(),
    settings: z.number(),
  }),
});
/** As it is stored: before December 2026 its treatments stood under `beats`. */
const agreementSchema = z.preprocess((stored) => {
  if (typeof stored !== 'object' || stored === null || !('beats' in stored)) return stored;
  const { beats, ...others } = stored;
  return { ...others, assignments: beats };
}, agreementNow);
export type Agreement = z.infer<typeof agreementSchema>;

const planChangeSchema = z.strictObject({
  what: z.enum(['moved', 'added', 'dropped', 'swapped']),
  text: z.string(),
});
/** One difference between two plans. */
export type PlanChange = z.infer<typeof planChangeSchema>;

const planNoteSchema = z.strictObject({ changes: z.array(planChangeSchema), why: z.string() });
/** What is new in a plan since the one before. */
export type PlanNote = z.infer<typeof planNoteSchema>;

/** By head: what was agreed, and what changed with it, until she has seen it. */
export const agreedSchema = z.record(
  z.string().max(64),
  z.strictObject({
    agreement: agreementSchema,
    note: planNoteSchema.extend({ on: calendarDaySchema }).nullable(),
  }),
);
export type Agreed = z.infer<typeof agreedSchema>;
