import { t } from '@lingui/core/macro';
import { z } from 'zod';
import { calendarDaySchema, idSchema } from '../../base/measures';
import { recordBaseSchema } from '../log';
import { SIGNAL_IDS } from './reading';

export const TRIAL_LIMITS = {
  /** Two washes a round; fewer rounds than three answer nothing. */
  rounds: { least: 3, most: 12 },
  washoutDays: { least: 2, most: 21 },
  weeks: { least: 2, most: 26 },
} as const;

const ARMS = ['a', 'b'] as const;
export type Arm = (typeof ARMS)[number];

/** One question put to the hair: with a recipe or without, or one recipe against another. */
export const trialSchema = recordBaseSchema
  .extend({
    kind: z.literal('trial'),
    trialId: idSchema,
    headId: idSchema,
    /** Both arms on one day, one on each side of the head: the wash names what is on the left. */
    sides: z.literal(true).optional(),
    /** Arm a. */
    recipeId: idSchema,
    /** Arm b: another recipe, or null for a wash without any. */
    againstId: idSchema.nullable(),
    signal: z.enum(SIGNAL_IDS),
    startsOn: calendarDaySchema,
    rounds: z.number().int().min(TRIAL_LIMITS.rounds.least).max(TRIAL_LIMITS.rounds.most),
    /** Days between two washes of the trial, so that the one before has faded. */
    washoutDays: z.number().int().min(TRIAL_LIMITS.washoutDays.least).max(TRIAL_LIMITS.washoutDays.most),
    /** It ends on the last round, or on this day, whichever comes first. */
    endsBy: calendarDaySchema,
    /** Set when it is given up before. */
    givenUpOn: calendarDaySchema.nullable(),
  })
  .refine((trial) => trial.againstId !== trial.recipeId, {
    path: ['againstId'],
    error: () => t`A recipe cannot be tried against itself.`,
  })
  .refine(({ sides, signal }) => !sides || signal !== 'breakage', {
    path: ['signal'],
    error: () => t`Broken pieces can't be told by side. Use separate wash days.`,
  })
  .refine((trial) => trial.endsBy > trial.startsOn, {
    path: ['endsBy'],
    error: () => t`The trial must end after it begins.`,
  });
export type Trial = z.infer<typeof trialSchema>;

/** A wash that was done for a trial. */
export const trialWashSchema = recordBaseSchema.extend({
  kind: z.literal('trial-wash'),
  trialId: idSchema,
  headId: idSchema,
  day: calendarDaySchema,
  /** What was used; in a trial of two sides, on the left one. */
  arm: z.enum(ARMS),
});
export type TrialWash = z.infer<typeof trialWashSchema>;
