import { t } from '@lingui/core/macro';
import type { CalendarDay } from '@/core/base/measures';
import type { HeadHistory } from '@/core/hair/history';
import { patchTestDays } from '@/core/plan/agenda';
import { firstUsePermit, judge, patchTestOf } from '@/core/recipe/safety';
import type { Head, RecipeVersion } from '@/core/records/shapes';

/** Why a recipe may not go on today; `isTest`: a patch test is all that it lacks. */
export interface WhyNot {
  readonly why: string;
  readonly isTest: boolean;
}

/** Whether a recipe may go on a head today: null where it may. */
export function whyNotToday(
  version: RecipeVersion,
  head: Head,
  { larder, patchTests, sessions, planSettings }: HeadHistory,
  today: CalendarDay,
): WhyNot | null {
  const { recipeId, name } = version;
  const judged = judge(version.lines, head, larder, { strained: version.strained });
  if (!judged.ok) return { why: t`${{ versionName: name }} is not understood well enough.`, isTest: false };
  const [stop] = judged.value.stops;
  if (stop) return { why: `${name}: ${stop.text}`, isTest: false };
  const first = firstUsePermit(
    patchTestOf(recipeId, head.headId, patchTests),
    sessions.some((session) => session.recipeId === recipeId),
    today,
    patchTestDays(planSettings, head.headId),
  );
  return first.may ? null : { why: `${name}: ${first.why}`, isTest: true };
}
