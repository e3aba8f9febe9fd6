import { z } from 'zod';
import { idSchema, recordBaseSchema } from '../measures';

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
});
export type PlanSettings = z.infer<typeof planSettingsSchema>;
/** What she can choose, without what makes it a record. */
export type PlanChoices = Omit<PlanSettings, 'id' | 'recordedAt' | 'corrects' | 'kind' | 'headId'>;

export const USUAL_CHOICES: PlanChoices = {
  rules: {},
  leanings: { gentler: 0, faster: 0, cheaper: 0, 'less-work': 0 },
  rhythm: 'readings',
  afterProtein: 'if-firm',
  maskOrder: 'after-shampoo',
  prePoo: 'oil-only',
  leftovers: 'keep',
};

/** What she chose last for a head. */
export function choicesOf(settings: readonly PlanSettings[], headId: string): PlanChoices {
  return settings.findLast((each) => each.headId === headId) ?? USUAL_CHOICES;
}
