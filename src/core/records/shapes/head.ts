import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';

/** What counts as protein. */
export const SCHOOLS = ['any-protein', 'broken-down', 'my-hair'] as const;
export type School = (typeof SCHOOLS)[number];

/** As she takes it to be, before it is measured. */
export const POROSITIES = ['low', 'medium', 'high', 'unknown'] as const;
export type PorosityGuess = (typeof POROSITIES)[number];

export const DENSITIES = ['thin', 'medium', 'thick'] as const;

/** What the catalogue's ingredients can be marked with, and a head can react to. */
export const ALLERGIES = [
  'egg',
  'milk',
  'gluten',
  'wheat',
  'soy',
  'sesame',
  'tree-nut',
  'mustard',
  'legume',
  'latex-fruit',
  'ragweed-family',
  'bee-products',
  'aloe',
  'fish-or-beef',
  'peanut',
  'wool',
  'salicylate',
] as const;
export type Allergy = (typeof ALLERGIES)[number];

/** Under three, to twelve, to nineteen, grown up, from sixty on. */
export const AGE_BANDS = ['baby', 'child', 'teen', 'adult', 'older'] as const;
export const CHEMISTRY = ['coloured', 'bleached', 'relaxed', 'permed', 'henna'] as const;
/** What people say of their hair: it breaks, it sheds, it is dry …; "length": it does not keep its length. */
export const COMPLAINTS = [
  'breaks',
  'sheds',
  'dry',
  'tangles',
  'frizz',
  'limp',
  'stiff',
  'edges',
  'scalp',
  'greasy',
  'length',
] as const;
export type Complaint = (typeof COMPLAINTS)[number];
export const HEALTH = ['pregnant', 'scalp-condition', 'medicine'] as const;

const length = z
  .number({ error: () => t`Write the length in centimetres.` })
  .min(1, { error: () => t`Write at least 1 cm.` })
  .max(250, { error: () => t`More than 250 cm cannot be right.` });

/** A head as she describes it; a change is a new record of the same headId. */
export const headSchema = recordBaseSchema.extend({
  kind: z.literal('head'),
  /** Shared by all records about one head. */
  headId: idSchema,
  name: z
    .string()
    .trim()
    .min(1, { error: () => t`Give the person a name.` })
    .max(40, { error: () => t`A name may have 40 characters.` }),
  lengthCm: length,
  strand: z.enum(['fine', 'medium', 'coarse']),
  /** How it falls by itself. */
  curl: z.enum(['straight', 'wavy', 'curly', 'coily', 'unknown']),
  porosityGuess: z.enum(POROSITIES),
  /** What troubles her about it, in her words; the first is the worst. */
  complaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length),
  /** What it was on the first day, where that has changed: the estimate began there. */
  firstComplaints: z.array(z.enum(COMPLAINTS)).max(COMPLAINTS.length).optional(),
  /** Minutes she has on each weekday, Sunday first; 0 where the day is not free. */
  freeMinutes: z.array(z.number().int().min(0).max(720)).length(7),
  /** The hour at which a wash may begin on each weekday, Sunday first. */
  washFrom: z.array(z.number().int().min(0).max(23)).length(7),
  /** Evenings on which something may be put on for the night or set to soak, Sunday first. */
  nights: z.array(z.boolean()).length(7),
  school: z.enum(SCHOOLS),
  /** How many strands there are. */
  density: z.enum(DENSITIES),
  /** What this head reacts to; a recipe that holds it is stopped. */
  allergies: z.array(z.enum(ALLERGIES)).max(ALLERGIES.length),
  proteinSensitive: z.boolean(),
  /** Where she begins to find it too soft and too firm, on the scale of firmness; as it is usual where it is not there. */
  comfort: z
    .strictObject({ low: z.number().min(-1.2).max(-0.1), high: z.number().min(0.1).max(1.2) })
    .optional(),
  ageBand: z.enum(AGE_BANDS),
  /** Where it is not the same everywhere; null where `lengthCm` is as good. */
  lengthsCm: z.strictObject({
    front: length.nullable(),
    crown: length.nullable(),
    sides: length.nullable(),
    nape: length.nullable(),
  }),
  /** What was done to the hair that is there now. */
  chemistry: z.array(z.enum(CHEMISTRY)).max(CHEMISTRY.length),
  /** What asks for a doctor's word. */
  health: z.array(z.enum(HEALTH)).max(HEALTH.length),
});
export type Head = z.infer<typeof headSchema>;

/** The newest description of every head. */
export function newestHeads(records: readonly Head[]): Head[] {
  const newest = new Map<string, Head>();
  for (const head of records) newest.set(head.headId, head);
  return [...newest.values()];
}
