import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import { holdsUnder, PLAN_RULES } from '../agenda';
import { moving, takesNoStrong, type PlanDraft } from './draft';
import type { Due, HeadProblem, PlanProblem } from './plan';
import { lastUse } from './score';
import { SORTS } from './sorts';

/** When each sort was last, from when on it may be again, when the plan has it, and since when it is overdue. */
export function duesOf(problem: PlanProblem, head: HeadProblem, drafts: readonly PlanDraft[]): Due[] {
  const { from } = problem;
  return SORTS.filter(({ what }) => what !== 'strong protein' || !takesNoStrong(head)).map(
    ({ what, is, gap, within }): Due => {
      const last = lastUse(head.past, is, from);
      const since = Number.isFinite(last) ? -last : null;
      const gapDays = gap === null ? null : head.rules[gap];
      const withinDays = head.rules[within];
      const counts = holdsUnder(PLAN_RULES[within], head.choices);
      const next = moving(drafts).find(({ treatment }) => is(treatment));
      const allowedFrom = laterOf(
        from,
        since === null || gapDays === null ? from : addDays(from, gapDays - since),
      );
      return {
        what,
        since,
        allowedFrom,
        tooSoonFor: Math.max(0, daysBetween(from, allowedFrom)),
        plannedOn: next?.day ?? null,
        overdueBy:
          counts && withinDays !== null && since !== null && since > withinDays ? since - withinDays : 0,
      };
    },
  );
}

const laterOf = (a: CalendarDay, b: CalendarDay) => (a > b ? a : b);
