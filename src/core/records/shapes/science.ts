import { z } from 'zod';
import { recordBaseSchema } from '../log';

/** What is not settled of how a recipe is judged: factors on its constants, 1 where they are as written. */
export const SCIENCE_PARTS = ['firm', 'soft', 'oil', 'water', 'intact', 'tannin'] as const;
export type SciencePart = (typeof SCIENCE_PARTS)[number];
/** Half loads toward firm, soft and oil; what water softens; how much of intact food protein acts; what tannin firms. */
export type Science = Readonly<Record<SciencePart, number>>;

export const AS_WRITTEN: Science = { firm: 1, soft: 1, oil: 1, water: 1, intact: 1, tannin: 1 };

const factor = z.number().min(0.25).max(4);

/** How the household reads the science; the newest record counts, and all is as written before there is one. */
export const scienceSchema = recordBaseSchema.extend({
  kind: z.literal('science'),
  factors: z.strictObject({
    firm: factor,
    soft: factor,
    oil: factor,
    water: factor,
    intact: factor,
    tannin: factor,
  }),
});
export type ScienceRecord = z.infer<typeof scienceSchema>;

/** @param records oldest first */
export function scienceOf(records: readonly ScienceRecord[]): Science {
  return records.at(-1)?.factors ?? AS_WRITTEN;
}
