import { plural, t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { READING_LIMITS as LIMIT } from './limits';

export const SIGNAL_IDS = ['firmness', 'breakage', 'porosity'] as const;
export type SignalId = (typeof SIGNAL_IDS)[number];

const lengthMm = z
  .number({ error: () => t`Write a length in millimetres.` })
  .min(LIMIT.restMm.least, {
    error: () => t`A strand shorter than ${{ least: LIMIT.restMm.least }} mm cannot be measured by hand.`,
  })
  .max(LIMIT.restMm.most * LIMIT.mostStretchFactor, { error: () => t`That is longer than a strand can be.` });

const count = z
  .number({ error: () => t`Write a whole number.` })
  .int({ error: () => t`A count is a whole number.` })
  .min(0, { error: () => t`A count cannot be below 0.` })
  .max(LIMIT.pieces, {
    error: () => t`More than ${{ pieces: LIMIT.pieces }} cannot be counted by hand; check the number.`,
  });

/** Where on the head; null where nobody knows, as with a hair found on the comb. */
export const REGIONS = ['front', 'crown', 'sides', 'nape'] as const;
export type Region = (typeof REGIONS)[number];
const region = z.enum(REGIONS).nullable();

/** Lengths of one wet, shed strand. */
const returnedSchema = z
  .strictObject({
    outcome: z.literal('returned'),
    region,
    restMm: lengthMm,
    stretchedMm: lengthMm,
    releasedMm: lengthMm,
  })
  .refine((strand) => strand.stretchedMm >= strand.restMm, {
    path: ['stretchedMm'],
    error: () => t`The stretched length cannot be shorter than the length at rest.`,
  })
  .refine((strand) => strand.stretchedMm <= strand.restMm * LIMIT.mostStretchFactor, {
    path: ['stretchedMm'],
    error: () =>
      t`No hair stretches to ${{ mostStretchFactor: LIMIT.mostStretchFactor }} times its length; check the number.`,
  })
  .refine((strand) => strand.releasedMm <= strand.stretchedMm, {
    path: ['releasedMm'],
    error: () => t`Let go, the strand cannot be longer than it was when stretched.`,
  })
  .refine((strand) => strand.releasedMm >= strand.restMm * 0.9, {
    path: ['releasedMm'],
    error: () => t`Let go, the strand cannot be much shorter than at rest.`,
  });

const snappedSchema = z
  .strictObject({
    outcome: z.literal('snapped'),
    region,
    restMm: lengthMm,
    /** Where it snapped, if anybody saw. */
    snappedMm: lengthMm.nullable(),
  })
  .refine((strand) => strand.snappedMm === null || strand.snappedMm >= strand.restMm, {
    path: ['snappedMm'],
    error: () => t`It cannot snap at less than its length at rest.`,
  });

export const strandSchema = z.discriminatedUnion('outcome', [returnedSchema, snappedSchema]);
export type Strand = z.infer<typeof strandSchema>;

export const tallySchema = z.strictObject({
  /** One a section that was marked while detangling; a count written down afterwards is one section. */
  sections: z
    .array(
      z.strictObject({
        /** Short pieces without a bulb. */
        broken: count,
        /** Full-length hairs with a bulb. */
        shed: count,
      }),
    )
    .min(1)
    .max(LIMIT.sections, {
      error: () => t`A person has at most ${{ sections: LIMIT.sections }} sections here.`,
    }),
  /** Days since the last detangle. */
  days: z
    .number({ error: () => t`Write the days since the last detangle.` })
    .int({ error: () => t`Days are a whole number.` })
    .min(1, {
      error: () =>
        t`At least one day must lie between two detangles; add today’s pieces to this morning’s count.`,
    })
    .max(LIMIT.days, {
      error: () =>
        t`More than ${plural({ days: LIMIT.days }, { one: '# day', other: '# days' })} says little about today.`,
    }),
  /** Of a count that a picture gave: one error of its logarithm, beside what counts scatter anyway. */
  doubt: z.number().min(0).max(1).optional(),
});
export type Tally = z.infer<typeof tallySchema>;

export const SLIDES = ['smooth', 'ridges', 'catches'] as const;
export const SINKS = ['floats', 'hovers', 'sinks'] as const;

export const porositySchema = z
  .strictObject({
    mistSoakSeconds: z
      .number({ error: () => t`Write the seconds.` })
      .min(LIMIT.mistSeconds.least, { error: () => t`Less than a second cannot be timed by hand.` })
      .max(LIMIT.mistSeconds.most, { error: () => t`After an hour the mist has dried, not soaked in.` })
      .nullable(),
    /** From blotted to dry in the air. */
    dryMinutes: z
      .number({ error: () => t`Write the minutes.` })
      .min(LIMIT.dryMinutes.least, {
        error: () =>
          t`Hair does not dry in the air in under ${plural({ least: LIMIT.dryMinutes.least }, { one: '# minute', other: '# minutes' })}.`,
      })
      .max(LIMIT.dryMinutes.most, { error: () => t`More than a day is no drying time: was it forgotten?` })
      .nullable(),
    slide: z.enum(SLIDES).nullable(),
    sink: z.enum(SINKS).nullable(),
  })
  .refine((tests) => Object.values(tests).some((test) => test !== null), {
    error: () => t`Take at least one of the porosity tests.`,
  });
export type PorosityTests = z.infer<typeof porositySchema>;

/** Five steps each, from 0 (none) to 4 (a great deal). */
export const MARKS = ['slip', 'tangles', 'shine', 'clumping', 'residue', 'softness', 'scent'] as const;
export type MarkId = (typeof MARKS)[number];
const mark = z.number().int().min(0).max(LIMIT.markSteps).nullable();

/** How big the ball of shed hair was, beside things of every kitchen. */
export const SHED_BALLS = ['pea', 'hazelnut', 'walnut', 'egg', 'apple'] as const;
export type ShedBall = (typeof SHED_BALLS)[number];

/** What the scalp shows. The last four are not a mask's job. */
export const SCALP_SIGNS = ['calm', 'itch', 'flakes', 'tender', 'sores', 'patches', 'pain'] as const;
export type ScalpSign = (typeof SCALP_SIGNS)[number];

/** before: on the wash day, before treatment; after: the same day, still wet; dry: 24 to 48 hours later. */
export const MOMENTS = ['before', 'after', 'dry'] as const;
export type Moment = (typeof MOMENTS)[number];

/** What was measured, without who, when and where. */
export const HAIR_SIDES = ['left', 'right'] as const;
export type HairSide = (typeof HAIR_SIDES)[number];

const measuredSchema = z.strictObject({
  strands: z.array(strandSchema).max(LIMIT.strands),
  tally: tallySchema.nullable(),
  porosity: porositySchema.nullable(),
  /** −3 gummy … 0 springy … +3 straw. */
  feel: z.number().int().min(-LIMIT.feelSteps).max(LIMIT.feelSteps).nullable(),
  marks: z.strictObject({
    slip: mark,
    tangles: mark,
    shine: mark,
    clumping: mark,
    residue: mark,
    softness: mark,
    scent: mark,
  }),
  /** Shed hair by the size of its ball, where nobody counted; days since the detangle before. */
  shedBall: z
    .strictObject({ size: z.enum(SHED_BALLS), days: z.number().int().min(1).max(LIMIT.days) })
    .optional(),
  /** What was noticed, in her words. */
  note: z.string().trim().min(1).max(500).optional(),
  scalp: z.array(z.enum(SCALP_SIGNS)).max(SCALP_SIGNS.length),
  lengths: z
    .array(
      z.strictObject({
        place: z.enum(REGIONS),
        cm: z
          .number({ error: () => t`Write the length in centimetres.` })
          .min(LIMIT.lengthCm.least, {
            error: () => t`Write at least ${{ least: LIMIT.lengthCm.least }} cm.`,
          })
          .max(LIMIT.lengthCm.most, {
            error: () => t`More than ${{ most: LIMIT.lengthCm.most }} cm cannot be right.`,
          }),
      }),
    )
    .max(REGIONS.length),
});
export type Measured = z.infer<typeof measuredSchema>;

export const readingSchema = recordBaseSchema
  .extend({
    kind: z.literal('reading'),
    headId: idSchema,
    day: calendarDaySchema,
    moment: z.enum(MOMENTS),
    /** Of one side of the head alone, for a trial of two sides: no reading of the whole. */
    side: z.enum(HAIR_SIDES).optional(),
    ...measuredSchema.shape,
  })
  .refine(isSomethingMeasured, { error: () => t`Nothing was measured yet: one thing is enough.`, path: [] });
export type Reading = z.infer<typeof readingSchema>;

export const NO_MARKS: Measured['marks'] = {
  slip: null,
  tangles: null,
  shine: null,
  clumping: null,
  residue: null,
  softness: null,
  scent: null,
};
/** A reading in which nothing was measured yet. */
export const NOTHING_MEASURED: Measured = {
  strands: [],
  tally: null,
  porosity: null,
  feel: null,
  marks: NO_MARKS,
  scalp: [],
  lengths: [],
};

function isSomethingMeasured(reading: Measured): boolean {
  return (
    reading.strands.length > 0 ||
    reading.tally !== null ||
    reading.porosity !== null ||
    reading.feel !== null ||
    Object.values(reading.marks).some((value) => value !== null) ||
    reading.shedBall !== undefined ||
    reading.note !== undefined ||
    reading.scalp.length > 0 ||
    reading.lengths.length > 0
  );
}

/** All sections together. */
export function tallyTotals({ sections }: Pick<Tally, 'sections'>): {
  readonly broken: number;
  readonly shed: number;
} {
  return sections.reduce(
    (total, section) => ({ broken: total.broken + section.broken, shed: total.shed + section.shed }),
    { broken: 0, shed: 0 },
  );
}
