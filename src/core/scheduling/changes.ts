import type { AgreedBeat, PlanChange, PlanNote } from '../agenda';
import { t } from '../language';
import { daysBetween, formatDay, type CalendarDay } from '../measures';
import type { Beat, Plan } from '../planning';

/** The treatments of two plans from a day on, as she would tell the difference. */
export function changesBetween(before: Plan, after: Plan, from: CalendarDay): PlanChange[] {
  return changesFrom(mainsOf(before), mainsOf(after), from);
}

export function mainsOf({ days }: Plan): Beat[] {
  return days.flatMap(({ beats }) => beats.filter(({ slot }) => slot === 'main'));
}

type NamedBeat = Pick<Beat, 'day' | 'recipeId' | 'name'>;

/** Days within which the same recipe on another day is called moved. */
const MOVED_WITHIN_DAYS = 7;

function changesFrom(
  before: readonly NamedBeat[],
  after: readonly NamedBeat[],
  from: CalendarDay,
): PlanChange[] {
  const same = (a: NamedBeat, b: NamedBeat) => a.day === b.day && a.recipeId === b.recipeId;
  const gone = before.filter((beat) => beat.day >= from && !after.some((other) => same(beat, other)));
  const come = after.filter((beat) => beat.day >= from && !before.some((other) => same(beat, other)));
  const changes: PlanChange[] = [];
  const open = new Set(come);
  for (const beat of gone) {
    const swapped = [...open].find((other) => other.day === beat.day);
    const moved = [...open]
      .filter((other) => other.recipeId === beat.recipeId && distance(beat, other) <= MOVED_WITHIN_DAYS)
      .sort((a, b) => distance(beat, a) - distance(beat, b))[0];
    if (moved) {
      open.delete(moved);
      changes.push({ what: 'moved', text: t`${beat.name} moves from ${on(beat.day)} to ${on(moved.day)}` });
    } else if (swapped) {
      open.delete(swapped);
      changes.push({ what: 'swapped', text: t`${swapped.name} instead of ${beat.name} on ${on(beat.day)}` });
    } else changes.push({ what: 'dropped', text: t`${beat.name} on ${on(beat.day)} is dropped` });
  }
  for (const beat of open) changes.push({ what: 'added', text: t`${beat.name} is new on ${on(beat.day)}` });
  return changes;
}

const distance = (a: NamedBeat, b: NamedBeat) => Math.abs(daysBetween(a.day, b.day));
const on = (day: CalendarDay) => formatDay(day, 'EEE d MMM');

/** The beats of a plan as they are remembered, so that the next plan changes little. */
export function agreedOf(plan: Plan): AgreedBeat[] {
  return plan.days.flatMap(({ beats }) =>
    beats
      .filter(({ slot }) => slot === 'main' || slot === 'pre-poo' || slot === 'follow-up')
      .map(({ day, slot, recipeId, overnight }) => ({ day, slot, recipeId, overnight })),
  );
}

/** What is new since the plan was agreed, as far as it can have changed it. */
export interface News {
  /** Sessions that were not what was planned on their day, by name. */
  readonly otherSessions: readonly string[];
  /** Planned beats whose day has passed without them, by name. */
  readonly missed: readonly string[];
  readonly readings: number;
  readonly decisions: number;
  readonly settings: number;
}

/**
 * What changed since the plan that was agreed, and why, in one line each; nothing where only days have passed and the plan
 * stands.
 */
export function replanned(
  agreed: readonly AgreedBeat[],
  after: Plan,
  nameOf: (recipeId: string) => string,
  news: News,
): PlanNote | null {
  const known = agreed
    .filter(({ slot, day }) => slot === 'main' && day >= after.from)
    .map(({ day, recipeId }) => ({ day, recipeId, name: nameOf(recipeId) }));
  const until = known.at(-1)?.day ?? after.from;
  const now = mainsOf(after).filter(({ day }) => day <= until);
  const changes = changesFrom(known, now, after.from);
  if (changes.length === 0) return null;
  return { changes, why: whyOf(news) };
}

function whyOf({ otherSessions, missed, readings, decisions, settings }: News): string {
  if (otherSessions.length > 0) return t`because you did ${listed(otherSessions)} instead`;
  if (missed.length > 0) return t`because ${listed(missed)} was not done`;
  if (decisions > 0) return t`because of what you decided`;
  if (settings > 0) return t`because your rules or days changed`;
  if (readings > 0)
    return readings === 1 ? t`because of the new reading` : t`because of ${readings} new readings`;
  return t`because a day has passed and the view ahead is another`;
}

function listed(names: readonly string[]): string {
  return names.length === 1
    ? (names[0] ?? '')
    : t`${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}
