import { z } from 'zod';
import { idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** Where practitioners disagree and the plan has to know: the first of each is in force until she chooses. */
export const PLAN_SCHOOLS = {
  /** What decides when protein is due. */
  rhythm: ['readings', 'calendar', 'feel'],
  /** Moisture on the same day after a light protein; after a strong one always. */
  afterProtein: ['if-firm', 'always'],
  /** On clean damp hair, or on dry hair before the shampoo. */
  maskOrder: ['after-shampoo', 'before-shampoo'],
  /** What may go on before the shampoo. */
  prePoo: ['oil-only', 'any'],
  /** Whether what is left over may be used again. */
  leftovers: ['keep', 'fresh'],
  /** Where a mask goes; powders, oil and protein never on the scalp. */
  zones: ['lengths', 'ends-first', 'scalp-too'],
  /** What a mask is rinsed out with, where it asks for nothing of its own. */
  rinse: ['water', 'conditioner', 'mild-shampoo'],
  /** The last water. */
  finish: ['warm', 'warm-then-cold'],
  /** Conditioner before the mask as well, or the mask straight after the shampoo. */
  conditioner: ['after-only', 'before-mask'],
} as const;

/** How she wants it, in plain terms; each from −2 (less of it) to 2 (more). */
export const LEANINGS = ['gentler', 'faster', 'cheaper', 'less-work'] as const;
export type Leaning = (typeof LEANINGS)[number];
export const LEANING_MOST = 2;

const leaning = z.number().int().min(-LEANING_MOST).max(LEANING_MOST);

export const planSettingsSchema = recordBaseSchema.extend({
  kind: z.literal('plan-settings'),
  headId: idSchema,
  /** Rules by id that differ from their defaults; null switches one off. What is not known any more is ignored. */
  rules: z.record(z.string().max(40), z.number().min(0).max(1000).nullable()),
  leanings: z.strictObject({ gentler: leaning, faster: leaning, cheaper: leaning, 'less-work': leaning }),
  rhythm: z.enum(PLAN_SCHOOLS.rhythm),
  afterProtein: z.enum(PLAN_SCHOOLS.afterProtein),
  maskOrder: z.enum(PLAN_SCHOOLS.maskOrder),
  prePoo: z.enum(PLAN_SCHOOLS.prePoo),
  leftovers: z.enum(PLAN_SCHOOLS.leftovers),
  zones: z.enum(PLAN_SCHOOLS.zones),
  rinse: z.enum(PLAN_SCHOOLS.rinse),
  finish: z.enum(PLAN_SCHOOLS.finish),
  conditioner: z.enum(PLAN_SCHOOLS.conditioner),
});
export type PlanSettings = z.infer<typeof planSettingsSchema>;
