import { z } from 'zod';
import { SCHOOLS } from '../classification';
import { idSchema, recordBaseSchema } from '../measures';

/** A head as she describes it; a change is a new record of the same headId. */
export const headSchema = recordBaseSchema.extend({
  kind: z.literal('head'),
  /** Shared by all records about one head. */
  headId: idSchema,
  name: z.string().trim().min(1, 'Give the head a name.').max(40, 'A name may have 40 characters.'),
  lengthCm: z
    .number('Write the length in centimetres.')
    .min(1, 'Write at least 1 cm.')
    .max(250, 'More than 250 cm cannot be right.'),
  strand: z.enum(['fine', 'medium', 'coarse']),
  porosityGuess: z.enum(['low', 'medium', 'high', 'unknown']),
  complaint: z.enum(['none', 'mushy', 'straw', 'breaks']),
  /** Minutes she has on each weekday, Sunday first; 0 where the day is not free. */
  freeMinutes: z.array(z.number().int().min(0).max(720)).length(7),
  school: z.enum(SCHOOLS),
  proteinSensitive: z.boolean(),
  child: z.boolean(),
});
export type Head = z.infer<typeof headSchema>;

/** The newest description of every head, in the order in which they were first written down. */
export function newestHeads(records: readonly Head[]): Head[] {
  const newest = new Map<string, Head>();
  for (const head of records) newest.set(head.headId, head);
  return [...newest.values()];
}
