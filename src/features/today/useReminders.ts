import { t } from '@lingui/core/macro';
import { parseISO } from 'date-fns/parseISO';
import { useEffect } from 'react';
import { instantAt, type CalendarDay } from '@/core/base/measures';
import type { PrepTask } from '@/core/plan/planning';
import type { Head } from '@/core/records/shapes';
import { selectPrefs, useAppSelector } from '@/store';
import type { Reminder } from '../shared/notices';

/** Somebody who looks at her phone then can still begin in time, minutes. */
const AHEAD_MINUTES = 10;
/** When hair that was treated yesterday is dry and awake, minute of the day. */
const DRY_CHECK_MINUTE = 10 * 60;

/** By this device's clock. @param minute from midnight on */
const atMinute = (day: CalendarDay, minute: number) => instantAt(parseISO(day).getTime() + 60_000 * minute);

/** What is to begin today, and the check of dry hair, as messages for when the page is out of sight. */
export function useReminders(
  head: Head,
  today: CalendarDay,
  preparation: readonly PrepTask[],
  isDryCheckDue: boolean,
): void {
  const { notices, quietFrom, quietTo } = useAppSelector(selectPrefs);
  useEffect(() => {
    if (!notices) return;
    const soaks = preparation.flatMap(({ text, startMinute }): Reminder[] =>
      startMinute === null
        ? []
        : [
            {
              tag: `prepare-${head.headId}-${text}`,
              title: t`Time to start`,
              text,
              at: atMinute(today, Math.max(0, startMinute - AHEAD_MINUTES)),
            },
          ],
    );
    const check: Reminder[] = isDryCheckDue
      ? [
          {
            tag: `check-${head.headId}`,
            title: t`Check ${{ name: head.name }}'s hair, dry`,
            text: t`One minute: it shows what the treatment did.`,
            at: atMinute(today, DRY_CHECK_MINUTE),
          },
        ]
      : [];
    void import('../shared/notices').then(({ planReminders }) =>
      planReminders([...soaks, ...check], { from: quietFrom, to: quietTo }),
    );
  }, [notices, quietFrom, quietTo, head, today, preparation, isDryCheckDue]);
}
