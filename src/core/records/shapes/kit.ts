import { z } from 'zod';
import { recordBaseSchema } from '../log';

/** What a household may or may not have to work with. */
export const KIT = ['heat', 'freezer', 'blender', 'strainer', 'scale'] as const;
export type KitItem = (typeof KIT)[number];

/** What is lacking of it; the newest record counts, and nothing is lacking before there is one. */
export const kitSchema = recordBaseSchema.extend({
  kind: z.literal('kit'),
  lacks: z.array(z.enum(KIT)).max(KIT.length),
});
export type Kit = z.infer<typeof kitSchema>;

/** @param records oldest first */
export function lacksOf(records: readonly Kit[]): readonly KitItem[] {
  return records.at(-1)?.lacks ?? [];
}
