import { z } from 'zod';
import { calendarDaySchema, idSchema, instantSchema, type Instant } from '../../base/measures';
import {
  FELT,
  READING_LIMITS,
  SHED_BALLS,
  STEP_SLOTS,
  usedVersionShape,
  washStepSchema,
  type Felt,
  type WashStep,
} from '../../records/shapes';

const at = instantSchema;
const minutes = z.number().int().min(1).max(720);

/** What goes on this head today, as it is meant to now. */
const treatmentSchema = z.strictObject({
  slot: z.enum(STEP_SLOTS),
  ...usedVersionShape,
  minutes,
  warmth: z.enum(['room', 'warm']),
  /** Share of the usual amount; all of it where it is not said. */
  amount: z.number().positive().max(1).optional(),
  /** The batch on the shelf that it is taken from; null where it is made today. */
  batchId: idSchema.nullable(),
});
export type DayTreatment = z.infer<typeof treatmentSchema>;
/** A trial of two sides: what is on the left, and what goes on beside the main treatment, on the other side; null for nothing. */
const sidesSchema = z.strictObject({
  trialId: idSchema,
  /** The main treatment that it holds for: with another one it is a day as any. */
  recipeId: idSchema,
  left: z.enum(['a', 'b']),
  other: treatmentSchema.nullable(),
});
const treatments = z.array(treatmentSchema).max(STEP_SLOTS.length);

const step = z.number().int().min(0).max(READING_LIMITS.markSteps);
/** What can be noticed on the way. */
const notedSchema = z.strictObject({
  shedBall: z.enum(SHED_BALLS).optional(),
  softness: step.optional(),
  shine: step.optional(),
  slip: step.optional(),
  scent: step.optional(),
  note: z.string().trim().min(1).max(500).optional(),
});
export type Noted = z.infer<typeof notedSchema>;

/** How the hair is dried: by itself, or with a dryer on low after a heat protectant. */
const DRYINGS = ['air', 'blow-dry'] as const;

/** What happened, in order. Everything about a run follows from its steps and these. */
const runEventSchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('done'), at, step: idSchema }),
  z.strictObject({ what: z.literal('skipped'), at, step: idSchema }),
  /** Back to the step before. */
  z.strictObject({ what: z.literal('back'), at }),
  z.strictObject({ what: z.literal('section'), at, step: idSchema, section: z.number().int().min(0).max(7) }),
  z.strictObject({ what: z.literal('paused'), at }),
  z.strictObject({ what: z.literal('resumed'), at }),
  z.strictObject({ what: z.literal('longer'), at, step: idSchema, minutes }),
  z.strictObject({ what: z.literal('timer'), at, id: idSchema, label: z.string().min(1).max(60), minutes }),
  z.strictObject({ what: z.literal('timer-off'), at, id: idSchema }),
  z.strictObject({ what: z.literal('felt'), at, felt: z.enum(FELT) }),
  /** What was noticed with wet hands, while detangling or rinsing; the last word on each thing counts. */
  z.strictObject({ what: z.literal('noted'), at, noted: notedSchema }),
  /** The steps that are still ahead, put together anew. */
  z.strictObject({
    what: z.literal('changed'),
    at,
    said: z.string().min(1).max(500),
    treatments,
    steps: z.array(washStepSchema).max(60),
  }),
  /** With `restDone` what was ahead was done too, and nobody watched the clock. */
  z.strictObject({ what: z.literal('ended'), at, restDone: z.boolean().optional() }),
]);
export type RunEvent = z.infer<typeof runEventSchema>;

/** A wash day of one head that is under way. */
export const washRunSchema = z.strictObject({
  id: idSchema,
  headId: idSchema,
  day: calendarDaySchema,
  startedAt: instantSchema,
  treatments,
  sections: z.number().int().min(2).max(8),
  /** Minutes of a wash of this head, waiting and making apart, as they were planned. */
  washMinutes: z.number().int().min(1).max(720),
  oiledOvernight: z.boolean(),
  drying: z.enum(DRYINGS).optional(),
  sides: sidesSchema.optional(),
  steps: z.array(washStepSchema).min(1).max(60),
  events: z.array(runEventSchema).max(2000),
});
export type WashRun = z.infer<typeof washRunSchema>;

export interface StepState {
  readonly step: WashStep;
  /** "left-out": the feel made it needless; "ahead" and "now" only while the run goes on. */
  readonly outcome: 'ahead' | 'now' | 'done' | 'skipped' | 'left-out' | 'not-reached';
  /** Minutes that it took so far, without pauses of her hands; null where it was not begun. */
  readonly realMinutes: number | null;
  readonly sectionsDone: readonly number[];
}

export interface TimerState {
  /** A step's id, or that of a timer of her own. */
  readonly id: string;
  readonly label: string;
  readonly isStep: boolean;
  readonly startedAt: Instant;
  readonly dueAt: Instant;
  readonly minutes: number;
}

export interface RunState {
  readonly steps: readonly StepState[];
  readonly treatments: readonly DayTreatment[];
  readonly current: StepState | null;
  readonly timers: readonly TimerState[];
  readonly felt: Felt | null;
  readonly noted: Noted;
  readonly paused: boolean;
  readonly ended: boolean;
  /** She ended it with steps ahead. */
  readonly endedEarly: boolean;
  readonly endedAt: Instant | null;
  /** Planned minutes of what is still ahead, the current step's rest with it. */
  readonly minutesAhead: number;
  /** What was changed on the way, in words. */
  readonly changes: readonly string[];
}
