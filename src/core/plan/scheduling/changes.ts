import { plural, t } from '@lingui/core/macro';
import { daysBetween, formatDay, type CalendarDay } from '../../base/measures';
import type { AgreedAssignment, PlanChange, PlanNote } from '../agenda';
import type { Assignment, Plan } from '../planning';

/** The treatments of two plans from a day on, as she would tell the difference. */
export function changesBetween(before: Plan, after: Plan, from: CalendarDay): PlanChange[] {
  return changesFrom(mainsOf(before), mainsOf(after), from);
}

export function mainsOf({ days }: Plan): Assignment[] {
  return days.flatMap(({ assignments }) => assignments.filter(({ slot }) => slot === 'main'));
}

type NamedAssignment = Pick<Assignment, 'day' | 'recipeId' | 'name'>;
/** The rule that keeps a treatment from the day on which it was agreed, in words; null where none does. */
export type WhyNot = (assignment: Pick<Assignment, 'day' | 'recipeId'>) => string | null;

function changesFrom(
  before: readonly NamedAssignment[],
  after: readonly NamedAssignment[],
  from: CalendarDay,
  whyNot: WhyNot = () => null,
  until: CalendarDay | null = null,
): PlanChange[] {
  const same = (a: NamedAssignment, b: NamedAssignment) => a.day === b.day && a.recipeId === b.recipeId;
  const gone = before.filter(
    (assignment) => assignment.day >= from && !after.some((other) => same(assignment, other)),
  );
  const come = after.filter(
    (assignment) => assignment.day >= from && !before.some((other) => same(assignment, other)),
  );
  const changes: PlanChange[] = [];
  const open = new Set(come);
  for (const assignment of gone) {
    const swapped = [...open].find((other) => other.day === assignment.day);
    const moved = [...open]
      .filter((other) => other.recipeId === assignment.recipeId)
      .sort((a, b) => distance(assignment, a) - distance(assignment, b))[0];
    if (moved) {
      open.delete(moved);
      changes.push({
        what: 'moved',
        text: t`${{ treatmentName: assignment.name }} moves from ${{ from: on(assignment.day) }} to ${{ to: on(moved.day) }}`,
      });
    } else if (swapped) {
      open.delete(swapped);
      changes.push({
        what: 'swapped',
        text: t`${{ swappedName: swapped.name }} instead of ${{ treatmentName: assignment.name }} on ${{ on: on(assignment.day) }}`,
      });
    } else {
      const why = whyNot(assignment);
      const text = t`${{ treatmentName: assignment.name }} on ${{ on: on(assignment.day) }} is dropped`;
      changes.push({ what: 'dropped', text: why === null ? text : `${text}: ${why}` });
    }
  }
  // What comes after the last day that was agreed is no change: it was not planned that far.
  for (const assignment of open)
    if (until === null || assignment.day <= until)
      changes.push({
        what: 'added',
        text: t`${{ treatmentName: assignment.name }} is new on ${{ on: on(assignment.day) }}`,
      });
  return changes;
}

const distance = (a: NamedAssignment, b: NamedAssignment) => Math.abs(daysBetween(a.day, b.day));
const on = (day: CalendarDay) => formatDay(day, 'EEE d MMM');

/** The treatments of a plan as they are remembered, so that the next plan changes little. */
export function agreedOf(plan: Plan): AgreedAssignment[] {
  return plan.days.flatMap(({ assignments }) =>
    assignments
      .filter(({ slot }) => slot === 'main' || slot === 'pre-poo' || slot === 'follow-up')
      .map(({ day, slot, recipeId, overnight }) => ({ day, slot, recipeId, overnight })),
  );
}

/** What is new since the plan was agreed, as far as it can have changed it. */
export interface News {
  /** Sessions that were not what was planned on their day, by name. */
  readonly otherSessions: readonly string[];
  /** Planned treatments whose day has passed without them, by name. */
  readonly missed: readonly string[];
  readonly readings: number;
  readonly decisions: number;
  readonly settings: number;
  /** Whether the plan was agreed on an earlier day. */
  readonly dayPassed: boolean;
}

/**
 * What changed since the plan that was agreed, and why, in one line each; nothing where only days have passed and the plan
 * stands.
 */
export function planNews(
  agreed: readonly AgreedAssignment[],
  after: Plan,
  nameOf: (recipeId: string) => string,
  news: News,
  whyNot: WhyNot = () => null,
): PlanNote | null {
  const known = agreed
    .filter(({ slot, day }) => slot === 'main' && day >= after.from)
    .map(({ day, recipeId }) => ({ day, recipeId, name: nameOf(recipeId) }));
  const until = known.at(-1)?.day ?? after.from;
  const changes = changesFrom(known, mainsOf(after), after.from, whyNot, until);
  if (changes.length === 0) return null;
  return { changes, why: whyOf(news) };
}

function whyOf(news: News): string {
  const { otherSessions, missed, readings, decisions, settings } = news;
  if (otherSessions.length > 0) return t`because you did ${{ listed: listed(otherSessions) }} instead`;
  if (missed.length > 0) return t`because ${{ listed: listed(missed) }} was not done`;
  if (decisions > 0) return t`because of what you decided`;
  if (settings > 0) return t`because your rules or days changed`;
  if (readings > 0)
    return plural(readings, { one: 'because of the new check', other: 'because of # new checks' });
  return news.dayPassed
    ? t`because a day has passed and the forecast is another`
    : t`because a better one was found`;
}

function listed(names: readonly string[]): string {
  return names.length === 1
    ? (names[0] ?? '')
    : t`${{ firstNames: names.slice(0, -1).join(', ') }} and ${{ lastName: names.at(-1) ?? '' }}`;
}
