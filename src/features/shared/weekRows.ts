import { t } from '@lingui/core/macro';
import { addDays, daysBetween, dayRange, formatDay, type CalendarDay } from '@/core/base/measures';
import type { Assignment, DayNote, PrepTask } from '@/core/plan/planning';
import type { TreatmentKind } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/larder';
import type { Head, Session } from '@/core/records/shapes';
import type { HeadAnswer } from '@/store';
import { verdictOf } from './verdictOf';

/** Days of the past that stay in sight above today. */
export const PAST_DAYS = 3;

export interface DoneTreatment {
  readonly sessionId: string;
  readonly name: string;
  readonly kind: TreatmentKind;
  readonly strength: number;
  readonly contactMinutes: number;
}

export interface WeekRow {
  readonly day: CalendarDay;
  readonly weekday: string;
  readonly date: string;
  readonly isToday: boolean;
  readonly isPast: boolean;
  readonly isFree: boolean;
  readonly mean: number;
  readonly sd: number;
  readonly done: readonly DoneTreatment[];
  readonly planned: readonly Assignment[];
  readonly preparation: readonly PrepTask[];
  readonly notes: readonly DayNote[];
}

/**
 * Seven days of the plan; before the first of its weeks, some past days with what was done.
 * @param week 0 for the seven days from today on
 */
export function weekRows(
  answer: Pick<HeadAnswer, 'state' | 'plan'>,
  head: Head,
  sessions: readonly Session[],
  larder: Larder,
  week: number,
): WeekRow[] {
  const { state, plan } = answer;
  const path = state.signals.firmness.path;
  const first = path[0]?.day ?? state.asOf;
  const pastDays = week > 0 ? 0 : Math.min(PAST_DAYS, Math.max(0, daysBetween(first, state.asOf)));
  const from = addDays(state.asOf, 7 * week - pastDays);
  return dayRange(from, pastDays + 7).map((day): WeekRow => {
    const planned = plan.days.find((known) => known.day === day);
    const level = path.find((known) => known.day === day);
    const isPast = day < state.asOf;
    const shown = isPast ? level : planned?.forecast;
    return {
      day,
      weekday: formatDay(day, 'EEE'),
      date: formatDay(day, 'd'),
      isToday: day === state.asOf,
      isPast,
      isFree: isPast || (planned?.freeMinutes ?? 0) > 0,
      mean: shown?.mean ?? 0,
      sd: shown?.sd ?? 0,
      done: sessions
        .filter((session) => session.day === day)
        .map((session) => doneTreatment(session, larder, head)),
      planned: planned?.assignments ?? [],
      preparation: planned?.preparation ?? [],
      notes: planned?.notes ?? [],
    };
  });
}

function doneTreatment(session: Session, larder: Larder, head: Head): DoneTreatment {
  const version = larder.used(session);
  const verdict = version ? verdictOf(version, head.school, larder) : null;
  return {
    sessionId: session.id,
    name: version?.name ?? t`A recipe that is no longer here`,
    kind: verdict?.kind ?? 'rinse',
    strength: verdict?.strength ?? 0,
    contactMinutes: session.contactMinutes,
  };
}
