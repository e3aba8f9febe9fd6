import { z } from 'zod';
import { calendarDaySchema, idSchema, recordBaseSchema } from '../measures';
import { READING_LIMITS as LIMIT } from './protocols';

const lengthMm = z
  .number('Write a length in millimetres.')
  .min(LIMIT.restMm.least, `A strand shorter than ${LIMIT.restMm.least} mm cannot be measured by hand.`)
  .max(LIMIT.restMm.most * LIMIT.mostStretchFactor, 'That is longer than a strand can be.');

const count = z
  .number('Write a whole number.')
  .int('A count is a whole number.')
  .min(0, 'A count cannot be below 0.')
  .max(LIMIT.pieces, `More than ${LIMIT.pieces} cannot be counted by hand; check the number.`);

/** Lengths of one wet, shed strand. */
const returnedSchema = z
  .strictObject({
    outcome: z.literal('returned'),
    restMm: lengthMm,
    stretchedMm: lengthMm,
    releasedMm: lengthMm,
  })
  .refine((strand) => strand.stretchedMm >= strand.restMm, {
    path: ['stretchedMm'],
    message: 'The stretched length cannot be shorter than the length at rest.',
  })
  .refine((strand) => strand.stretchedMm <= strand.restMm * LIMIT.mostStretchFactor, {
    path: ['stretchedMm'],
    message: `No hair stretches to ${LIMIT.mostStretchFactor} times its length; check the number.`,
  })
  .refine((strand) => strand.releasedMm <= strand.stretchedMm, {
    path: ['releasedMm'],
    message: 'Let go, the strand cannot be longer than it was when stretched.',
  })
  .refine((strand) => strand.releasedMm >= strand.restMm * 0.9, {
    path: ['releasedMm'],
    message: 'Let go, the strand cannot be much shorter than at rest.',
  });

const snappedSchema = z
  .strictObject({
    outcome: z.literal('snapped'),
    restMm: lengthMm,
    /** Where it snapped, if anybody saw. */
    snappedMm: lengthMm.nullable(),
  })
  .refine((strand) => strand.snappedMm === null || strand.snappedMm >= strand.restMm, {
    path: ['snappedMm'],
    message: 'It cannot snap at less than its length at rest.',
  });

export const strandSchema = z.discriminatedUnion('outcome', [returnedSchema, snappedSchema]);
export type Strand = z.infer<typeof strandSchema>;

export const tallySchema = z.strictObject({
  /** Short pieces without a bulb. */
  broken: count,
  /** Full-length hairs with a bulb. */
  shed: count,
  /** Days since the last detangle. */
  days: z
    .number('Write the days since the last detangle.')
    .int('Days are a whole number.')
    .min(1, 'At least one day must lie between two detangles.')
    .max(LIMIT.days, `More than ${LIMIT.days} days says little about today.`),
});

/** before: on the wash day, before treatment; after: the same day, still wet; dry: 24 to 48 hours later. */
export const MOMENTS = ['before', 'after', 'dry'] as const;

export const readingSchema = recordBaseSchema
  .extend({
    kind: z.literal('reading'),
    headId: idSchema,
    day: calendarDaySchema,
    moment: z.enum(MOMENTS),
    strands: z.array(strandSchema).max(LIMIT.strands),
    tally: tallySchema.nullable(),
    mistSoakSeconds: z
      .number('Write the seconds.')
      .min(LIMIT.mistSeconds.least, 'Less than a second cannot be timed by hand.')
      .max(LIMIT.mistSeconds.most, 'After an hour the mist has dried, not soaked in.')
      .nullable(),
    /** −3 gummy … 0 springy … +3 straw. */
    feel: z.number().int().min(-LIMIT.feelSteps).max(LIMIT.feelSteps).nullable(),
  })
  .refine(
    (reading) =>
      reading.strands.length > 0 ||
      reading.tally !== null ||
      reading.mistSoakSeconds !== null ||
      reading.feel !== null,
    { message: 'Nothing was measured yet: fill in at least one of the four.', path: [] },
  );
export type Reading = z.infer<typeof readingSchema>;

export const FEEL_WORDS = ['gummy', 'mushy', 'very soft', 'springy', 'firm', 'rough', 'straw'] as const;
