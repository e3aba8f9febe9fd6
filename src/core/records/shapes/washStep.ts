import { z } from 'zod';
import { idSchema } from '../../base/measures';

/** The parts of a wash day, in their usual order. */
export const PHASES = [
  'gather',
  'detangle',
  'cleanse',
  'condition',
  'blot',
  'section',
  'apply',
  'wait',
  'rinse',
  'feel',
  'seal',
  'style',
  'look-again',
] as const;
export type Phase = (typeof PHASES)[number];

/** What a step belongs to: a treatment of the day, or the wash itself. */
export const STEP_SLOTS = ['pre-poo', 'main', 'follow-up'] as const;

export const SECTIONS = [2, 4, 6, 8] as const;

const text = (most: number) => z.string().min(1).max(most);

/** One thing to do in a wash day. */
export const washStepSchema = z.strictObject({
  id: idSchema,
  phase: z.enum(PHASES),
  title: text(90),
  how: text(600),
  why: text(400),
  /** As planned: of her hands, or of waiting. */
  minutes: z.number().int().min(0).max(720),
  /** The hands are free: the clock starts on its own. */
  waits: z.boolean(),
  slot: z.enum(STEP_SLOTS).nullable(),
  recipeId: idSchema.nullable(),
  /** How many sections are done one by one; null where it is no matter of sections. */
  sections: z.number().int().min(2).max(8).nullable(),
  caution: text(400).nullable(),
  /** Only where the hair felt firm or rough before. */
  onlyIfFirm: z.boolean(),
  /** What being late means here, from how many minutes on; null where it does not matter. */
  late: z.strictObject({ afterMinutes: z.number().int().min(0).max(720), text: text(300) }).nullable(),
});
export type WashStep = z.infer<typeof washStepSchema>;

/** How the hair feels after the rinse; the first two ask for nothing, the others for moisture. */
export const FELT = ['soft', 'right', 'firm', 'rough'] as const;
export type Felt = (typeof FELT)[number];

export const asksForMoisture = (felt: Felt | null): boolean => felt === 'firm' || felt === 'rough';
