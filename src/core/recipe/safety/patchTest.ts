import { plural, t } from '@lingui/core/macro';
import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import type { PatchTest } from '../../records/shapes';

/** The newest test of a recipe on a head, or undefined. */
export function patchTestOf(
  recipeId: string,
  headId: string,
  tests: readonly PatchTest[],
): PatchTest | undefined {
  return tests.findLast((test) => test.recipeId === recipeId && test.headId === headId);
}

export type FirstUsePermit =
  | { readonly may: true; readonly why: string }
  | { readonly may: false; readonly why: string; readonly act: 'start' | 'wait' | 'read' | 'never' };

export const daysText = (days: number) =>
  days === 1 ? t`one day` : plural(days, { one: '# day', other: '# days' });

/** How a recipe stands on one head, and from which day on it may go on: what the plan and every screen go by. */
export interface PatchTestState {
  readonly patchTest: 'not-needed' | 'clear' | 'waits' | 'runs';
  readonly allowedFrom: CalendarDay;
}

/**
 * @param test the newest of this recipe on this head
 * @param today the day that is planned from: a test that is not begun can begin today at the soonest
 * @param days that a test has to be clear
 */
export function patchTestState(
  test: PatchTest | undefined,
  usedBefore: boolean,
  today: CalendarDay,
  days: number,
): PatchTestState {
  if (usedBefore) return { patchTest: 'not-needed', allowedFrom: today };
  if (test?.outcome === 'clear') return { patchTest: 'clear', allowedFrom: today };
  if (test) return { patchTest: 'runs', allowedFrom: addDays(test.startedOn, days) };
  return { patchTest: 'waits', allowedFrom: addDays(today, days) };
}

/**
 * Whether a recipe may go on this head today, and if not, what to do first.
 * @param days that a patch test has to be clear: a rule of this head
 */
export function firstUsePermit(
  test: PatchTest | undefined,
  usedBefore: boolean,
  today: CalendarDay,
  days: number,
): FirstUsePermit {
  if (test?.outcome === 'reacted')
    return {
      may: false,
      why: t`There was a reaction to it. Ask a doctor before anything like it.`,
      act: 'never',
    };
  if (usedBefore) return { may: true, why: t`It has been used on this hair before.` };
  if (test?.outcome === 'clear')
    return { may: true, why: t`Its patch test of ${{ startedOn: test.startedOn }} is clear.` };
  if (!test)
    return {
      may: false,
      why: t`New for this person: put a little behind the ear and look for ${{ days: daysText(days) }}.`,
      act: 'start',
    };
  const { allowedFrom } = patchTestState(test, usedBefore, today, days);
  return allowedFrom > today
    ? {
        may: false,
        why: t`The patch test needs ${{ days: daysText(daysBetween(today, allowedFrom)) }} more.`,
        act: 'wait',
      }
    : { may: false, why: t`The patch test is over: say whether the skin is clear.`, act: 'read' };
}
