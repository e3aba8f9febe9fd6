import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import { WEEK_START_DAYS, type Prefs } from '@/store';

/** The number is the day's place in Head.freeMinutes. */
const weekdays = perLanguage(
  () =>
    [
      { label: t`Mon`, index: 1 },
      { label: t`Tue`, index: 2 },
      { label: t`Wed`, index: 3 },
      { label: t`Thu`, index: 4 },
      { label: t`Fri`, index: 5 },
      { label: t`Sat`, index: 6 },
      { label: t`Sun`, index: 0 },
    ] as const,
);

/** Weekdays from the one on which her week begins. */
export function weekdaysFrom(start: Prefs['weekStart']): readonly ReturnType<typeof weekdays>[number][] {
  const first = weekdays().findIndex(({ index }) => index === WEEK_START_DAYS[start]);
  return [...weekdays().slice(first), ...weekdays().slice(0, first)];
}
