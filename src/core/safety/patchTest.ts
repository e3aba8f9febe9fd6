import { z } from 'zod';
import { t } from '../language';
import { calendarDaySchema, daysBetween, idSchema, recordBaseSchema, type CalendarDay } from '../measures';

/** A patch test of a recipe on one head; its outcome is a new record that corrects the first. */
export const patchTestSchema = recordBaseSchema.extend({
  kind: z.literal('patch-test'),
  headId: idSchema,
  recipeId: idSchema,
  startedOn: calendarDaySchema,
  outcome: z.enum(['waiting', 'clear', 'reacted']),
  note: z.string().max(500),
});
export type PatchTest = z.infer<typeof patchTestSchema>;

/** A reaction can take two days to show (working assumption: the usual 48 hours). */
export const PATCH_TEST_DAYS = 2;

/** The newest test of a recipe on a head, or undefined. */
export function patchTestOf(
  recipeId: string,
  headId: string,
  tests: readonly PatchTest[],
): PatchTest | undefined {
  return tests.findLast((test) => test.recipeId === recipeId && test.headId === headId);
}

export type FirstUse =
  | { readonly may: true; readonly why: string }
  | { readonly may: false; readonly why: string; readonly act: 'start' | 'wait' | 'read' | 'never' };

const daysText = (days: number) => (days === 1 ? t`one day` : t`${days} days`);

/** Whether a recipe may go on this head today, and if not, what to do first. */
export function firstUse(test: PatchTest | undefined, usedBefore: boolean, today: CalendarDay): FirstUse {
  if (test?.outcome === 'reacted')
    return {
      may: false,
      why: t`This head reacted to it. Ask a doctor before anything like it.`,
      act: 'never',
    };
  if (usedBefore) return { may: true, why: t`It has been used on this head before.` };
  if (test?.outcome === 'clear') return { may: true, why: t`Its patch test of ${test.startedOn} is clear.` };
  if (!test)
    return {
      may: false,
      why: t`New on this head: put a little behind the ear and look for two days.`,
      act: 'start',
    };
  const waited = daysBetween(test.startedOn, today);
  return waited < PATCH_TEST_DAYS
    ? { may: false, why: t`The patch test needs ${daysText(PATCH_TEST_DAYS - waited)} more.`, act: 'wait' }
    : { may: false, why: t`The patch test is over: say whether the skin is clear.`, act: 'read' };
}
