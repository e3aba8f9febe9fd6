import { plural, t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import { formatDay, type CalendarDay } from '../../base/measures';
import type { Rhythm, RhythmSort } from '../../records/shapes';

export const sortWords = perLanguage((): Readonly<Record<RhythmSort, string>> => ({
  main: t`Any treatment`,
  moisture: t`Moisture`,
  protein: t`Protein`,
  'strong-protein': t`Strong protein`,
  'pre-poo': t`Pre-poo`,
  rinse: t`Rinse`,
  mist: t`Mist`,
  'scalp-oil': t`Scalp oil`,
  serum: t`Serum`,
  'leave-in': t`Leave-in`,
}));

/** Sunday first. */
const onWeekdays = perLanguage((): readonly string[] => [
  t`Sundays`,
  t`Mondays`,
  t`Tuesdays`,
  t`Wednesdays`,
  t`Thursdays`,
  t`Fridays`,
  t`Saturdays`,
]);

/** What a rhythm is of: the recipe's name, or its sort. */
export function rhythmOf({ of }: Pick<Rhythm, 'of'>, nameOf: (recipeId: string) => string): string {
  return 'recipeId' in of ? nameOf(of.recipeId) : sortWords()[of.sort];
}

/** How often, in one line: "Fridays, until 20 March". */
export function rhythmLine(
  { when, startsOn, until, times, notIn }: Pick<Rhythm, 'when' | 'startsOn' | 'until' | 'times' | 'notIn'>,
  today: CalendarDay,
): string {
  const parts = [whenWordsOf(when)];
  if (startsOn > today) parts.push(t`from ${{ day: dateWords(startsOn, today) }}`);
  if (until !== null) parts.push(t`until ${{ day: dateWords(until, today) }}`);
  if (times !== null) parts.push(plural({ count: times }, { one: '# time', other: '# times' }));
  if (notIn.length > 0) parts.push(t`not in ${{ months: monthNames(notIn) }}`);
  return parts.join(', ');
}

/** With its year where that is another one. */
function dateWords(day: CalendarDay, today: CalendarDay): string {
  return formatDay(day, day.slice(0, 4) === today.slice(0, 4) ? 'd MMMM' : 'd MMMM yyyy');
}

function monthNames(months: readonly number[]): string {
  return [...months]
    .sort((a, b) => a - b)
    .map((month) => formatDay(`2026-${String(month).padStart(2, '0')}-01` as CalendarDay, 'LLLL'))
    .join(', ');
}

function whenWordsOf(when: Rhythm['when']): string {
  switch (when.every) {
    case 'days':
      return when.days === 1
        ? t`every day`
        : when.days === 2
          ? t`every other day`
          : plural({ days: when.days }, { one: 'every day', other: 'every # days' });
    case 'weekdays': {
      const names = fromMonday(when.weekdays)
        .map((weekday) => onWeekdays()[weekday] ?? '')
        .join(', ');
      if (when.weeks === 1) return names;
      return when.weeks === 2
        ? t`${names}, every second week`
        : t`${names}, every ${plural({ weeks: when.weeks }, { one: '# week', other: '# weeks' })}`;
    }
    case 'week':
      return plural(
        { times: when.times },
        { 1: 'once a week', 2: 'twice a week', one: 'once a week', other: '# times a week' },
      );
    case 'month':
      return plural(
        { times: when.times },
        { 1: 'once a month', 2: 'twice a month', one: 'once a month', other: '# times a month' },
      );
    case 'wash':
      return t`every wash`;
    case 'night':
      return t`every night`;
    case 'style':
      return t`before each style`;
  }
}

const fromMonday = (weekdays: readonly number[]) =>
  [...weekdays].sort((a, b) => ((a + 6) % 7) - ((b + 6) % 7));

/** "week 7 of 8"; null where no week runs. */
export function weekWords(week: { readonly now: number; readonly of: number | null } | null): string | null {
  if (week === null) return null;
  return week.of === null ? t`week ${{ now: week.now }}` : t`week ${{ now: week.now }} of ${{ of: week.of }}`;
}
