import { PLAIN_WASH_ID, type RuleKey } from '../agenda';
import { addDays, daysBetween, type CalendarDay } from '../measures';
import { moving, type Draft } from './draft';
import { type Due, type HeadProblem, type PastUse, type PlanProblem } from './plan';
import { lastUse } from './score';

interface Sort {
  readonly what: Due['what'];
  readonly is: (use: Pick<PastUse, 'firms' | 'strong' | 'moistens' | 'use' | 'recipeId'>) => boolean;
  /** Not sooner, and not later, than these rules say. */
  readonly gap: RuleKey | null;
  readonly within: RuleKey | null;
}

const SORTS: readonly Sort[] = [
  { what: 'protein', is: ({ firms }) => firms, gap: 'lightProteinGap', within: 'proteinWithin' },
  { what: 'strong protein', is: ({ strong }) => strong, gap: 'strongProteinGap', within: 'strongWithin' },
  {
    what: 'moisture',
    is: ({ moistens, use }) => moistens && use === 'mask',
    gap: null,
    within: 'moistureWithin',
  },
  {
    what: 'main treatment',
    is: ({ use, recipeId }) => use === 'mask' && recipeId !== PLAIN_WASH_ID,
    gap: 'washGap',
    within: 'mainWithin',
  },
];

/** When each sort was last, from when on it may be again, when the plan has it, and since when it is overdue. */
export function duesOf(problem: PlanProblem, head: HeadProblem, drafts: readonly Draft[]): Due[] {
  const { from } = problem;
  const byCalendar = head.choices.rhythm === 'calendar';
  const noStrong = head.head.child || head.head.proteinSensitive;
  return SORTS.filter(({ what }) => what !== 'strong protein' || !noStrong).map(
    ({ what, is, gap, within }): Due => {
      const last = lastUse(head.past, is, from);
      const since = Number.isFinite(last) ? -last : null;
      const gapDays = gap === null ? null : head.rules[gap];
      const withinDays = within === null ? null : head.rules[within];
      // Protein has a longest time without only where the calendar decides.
      const counts = what === 'moisture' || what === 'main treatment' || byCalendar;
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
