import { t } from '@lingui/core/macro';
import { addDays, type CalendarDay } from '../../base/measures';
import type { HeadHistory } from '../../hair/history';
import type { Agreement, PlanNote } from '../agenda';
import type { Plan } from '../planning';
import { agreedOf, planNews, type WhyNot } from './changes';

/** Planned treatments stay known for so long after their day. */
const REMEMBERED_DAYS = 60;

/**
 * The plan that is agreed from now on, and what changed since the one before.
 * @param history what the new plan knows
 * @param whyNot which rule keeps a treatment from the day on which it was agreed
 */
export function agreementAfter(
  before: Agreement | null,
  plan: Plan,
  history: HeadHistory,
  headRecords: number,
  whyNot?: WhyNot,
): { readonly agreement: Agreement; readonly note: PlanNote | null } {
  const today = plan.from;
  const knew = {
    sessions: history.sessions.length,
    readings: history.readings.length,
    decisions: history.decisions.length,
    settings: history.planSettings.length + history.occasions.length + history.rhythms.length + headRecords,
  };
  const past = (before?.assignments ?? []).filter(
    ({ day }) => day < today && day > addDays(today, -REMEMBERED_DAYS),
  );
  const agreement: Agreement = { asOf: today, assignments: [...past, ...agreedOf(plan)], knew };
  if (!before) return { agreement, note: null };
  const nameOf = (recipeId: string) =>
    history.larder.lastVersion(recipeId)?.name ?? t`A recipe that is no longer here`;
  const news = {
    otherSessions: otherSessions(before, history).map(nameOf),
    missed: missedTreatments(before, history, today).map(nameOf),
    readings: knew.readings - before.knew.readings,
    decisions: Math.abs(knew.decisions - before.knew.decisions),
    settings: Math.abs(knew.settings - before.knew.settings),
    dayPassed: before.asOf < today,
  };
  const note = planNews(before.assignments, plan, nameOf, news, whyNot);
  return { agreement, note };
}

/** Recipes that were used since on a day for which something else, or nothing, was planned. */
function otherSessions({ asOf, assignments, knew }: Agreement, { sessions }: HeadHistory): string[] {
  if (sessions.length <= knew.sessions) return [];
  return sessions
    .filter(
      ({ day, recipeId }) =>
        day >= asOf &&
        !assignments.some((assignment) => assignment.day === day && assignment.recipeId === recipeId),
    )
    .map(({ recipeId }) => recipeId);
}

/** Main treatments whose day has passed since without any treatment on it. */
function missedTreatments(
  { asOf, assignments }: Agreement,
  { sessions }: HeadHistory,
  today: CalendarDay,
): string[] {
  return assignments
    .filter(({ slot, day }) => slot === 'main' && day >= asOf && day < today)
    .filter(({ day }) => !sessions.some((session) => session.day === day))
    .map(({ recipeId }) => recipeId);
}
