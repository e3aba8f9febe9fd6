import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { doneDay, addDays, calendarDaySchema, type CalendarDay } from '@/core/base/measures';
import { isUnnamed, type Unnamed } from '@/core/recipe/larder';
import type { Head, RecipeVersion, Rhythm, RhythmSort, StoredRecord } from '@/core/records/shapes';
import { sessionOf } from './sessionOf';
import { newStamp } from './stamp';

/** Days back that an answer from memory stands for (working assumption: the middle of what it means). */
const DAYS_BACK = { 'this-week': 3, 'last-week': 10, 'a-month': 30, longer: 120 } as const;
export type LastTime = keyof typeof DAYS_BACK | 'day';

export const lastTimes = perLanguage((): readonly { readonly value: LastTime; readonly label: string }[] => [
  { value: 'this-week', label: t`this week` },
  { value: 'last-week', label: t`last week` },
  { value: 'a-month', label: t`about a month ago` },
  { value: 'longer', label: t`longer ago` },
  { value: 'day', label: t`on a day I know` },
]);

export type HowOften = 'seldom' | 'twice-weekly' | 'weekly' | 'two-weeks' | 'monthly' | 'wash';

/** Days between two uses, about; null where there is no saying. */
const DAYS_BETWEEN: Readonly<Record<HowOften, number | null>> = {
  seldom: null,
  'twice-weekly': 4,
  weekly: 7,
  'two-weeks': 14,
  monthly: 30,
  wash: 7,
};

const WHEN: Readonly<Record<HowOften, Rhythm['when'] | null>> = {
  seldom: null,
  'twice-weekly': { every: 'week', times: 2 },
  weekly: { every: 'week', times: 1 },
  'two-weeks': { every: 'days', days: 14 },
  monthly: { every: 'days', days: 30 },
  wash: { every: 'wash' },
};

export const howOften = perLanguage((): readonly { readonly value: HowOften; readonly label: string }[] => [
  { value: 'seldom', label: t`now and then` },
  { value: 'twice-weekly', label: t`twice a week` },
  { value: 'weekly', label: t`every week` },
  { value: 'two-weeks', label: t`every two weeks` },
  { value: 'monthly', label: t`every month` },
  { value: 'wash', label: t`every wash` },
]);

/** What she remembers of a use; `day` is written where she knows the day. */
export interface Remembered {
  readonly last: LastTime;
  readonly day: string;
  readonly often: HowOften;
}

export const NOTHING_REMEMBERED: Remembered = { last: 'last-week', day: '', often: 'seldom' };

/** The day that she means; null where she has still to choose one, today or before. */
export function dayMeant(
  { last, day }: Pick<Remembered, 'last' | 'day'>,
  today: CalendarDay,
): CalendarDay | null {
  if (last !== 'day') return addDays(today, -DAYS_BACK[last]);
  const known = calendarDaySchema.safeParse(day);
  return known.success && doneDay(known.data, today).ok ? known.data : null;
}

/** Uses that are written down for one that is used regularly: more say nothing about hair of today. */
const MOST_USES = 4;

/** The last use and, of a regular one, those before it, and her rhythm from now on; only the last day may be exact. */
export function rememberedRecords(
  recipe: RecipeVersion,
  head: Head,
  remembered: Remembered,
  lastOn: CalendarDay,
  today: CalendarDay,
): StoredRecord[] {
  const between = DAYS_BETWEEN[remembered.often];
  const count = between === null ? 1 : MOST_USES;
  const uses = Array.from({ length: count }, (_, index): StoredRecord => {
    const session = sessionOf(recipe, head.headId, addDays(lastOn, -index * (between ?? 0)));
    return index === 0 && remembered.last === 'day' ? session : { ...session, about: true };
  });
  const when = WHEN[remembered.often];
  return when === null ? uses : [...uses, rhythmOfUse(recipe, head, when, lastOn, today)];
}

/** What a rhythm is of where only the sort of the treatment is remembered. */
const SORT_OF: Readonly<Record<Unnamed, RhythmSort>> = {
  'some-protein': 'protein',
  'some-moisture': 'moisture',
  'some-oil': 'pre-poo',
};

/** It goes on from the last time: what is due every so many days is counted from there. */
function rhythmOfUse(
  { recipeId }: RecipeVersion,
  { headId }: Head,
  when: Rhythm['when'],
  lastOn: CalendarDay,
  today: CalendarDay,
): Rhythm {
  const stamp = newStamp();
  return {
    ...stamp,
    kind: 'rhythm',
    rhythmId: stamp.id,
    headId,
    name: null,
    of: isUnnamed(recipeId) ? { sort: SORT_OF[recipeId] } : { recipeId },
    when,
    startsOn: when.every === 'days' ? lastOn : today,
    until: null,
    times: null,
    notIn: [],
    firm: false,
    themes: [],
    toldOn: today,
    endedOn: null,
  };
}
