import { t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { addDays, dayRange, formatDay, weekdayOf, type CalendarDay } from '@/core/base/measures';
import type { Head } from '@/core/records/shapes';
import { selectPrefs, useAppSelector, WEEK_START_DAYS } from '@/store';
import { Button, ButtonBox, Heading, Small, Strong } from '@/ui';
import { KindMark } from '../shared/KindMark';
import { useHistory } from '../shared/useHistory';
import { kindOfSession, type LogEntry } from './logEntries';

interface MonthProps {
  readonly head: Head;
  readonly entries: readonly LogEntry[];
  readonly today: CalendarDay;
  /** The day that the log is narrowed to. */
  readonly day: CalendarDay | null;
  readonly onDay: (day: CalendarDay | null) => void;
}

const WEEK = 7;
const WIDTH = '14.28%';

/** A month at a glance: what was done on which day. A day that is pressed narrows the log to it. */
export function LogMonth({ head, entries, today, day, onDay }: MonthProps) {
  const history = useHistory(head.headId);
  const [first, setFirst] = useState(() => firstOfMonth(today));
  const next = firstOfMonth(addDays(first, 35));
  const days = dayRange(first, Number(formatDay(addDays(next, -1), 'd')));
  const byDay = useMemo(() => {
    const found = new Map<CalendarDay, LogEntry[]>();
    for (const entry of entries) found.set(entry.day, [...(found.get(entry.day) ?? []), entry]);
    return found;
  }, [entries]);
  const { weekStart } = useAppSelector(selectPrefs);
  const blanks = (weekdayOf(first) + WEEK - WEEK_START_DAYS[weekStart]) % WEEK;
  return (
    <View className="gap-2" testID="log-month">
      <View className="flex-row flex-wrap items-center gap-2">
        <View className="min-w-column-m flex-1">
          <Heading level={2}>{formatDay(first, 'MMMM yyyy')}</Heading>
        </View>
        <Button
          label="←"
          hint={t`The month before`}
          onPress={() => setFirst(firstOfMonth(addDays(first, -1)))}
        />
        <Button label="→" hint={t`The next month`} disabled={next > today} onPress={() => setFirst(next)} />
      </View>
      <View className="flex-row">
        {dayRange(addDays(first, -blanks), WEEK).map((each) => (
          <View key={each} style={{ width: WIDTH }} className="items-center">
            <Small>{formatDay(each, 'EEEEE')}</Small>
          </View>
        ))}
      </View>
      <View className="flex-row flex-wrap">
        {Array.from({ length: blanks }, (_, index) => (
          <View key={index} style={{ width: WIDTH }} />
        ))}
        {days.map((each) => {
          const own = byDay.get(each) ?? [];
          const kinds = own.flatMap((entry) =>
            entry.kind === 'treatments' ? (kindOfSession(head, history, entry.record) ?? []) : [],
          );
          const names = own.map(({ title }) => title.slice(title.indexOf(', ') + 2));
          return (
            <ButtonBox
              key={each}
              disabled={own.length === 0}
              pressed={day === each}
              label={`${formatDay(each, 'd MMMM')}: ${names.length > 0 ? names.join(', ') : t`nothing`}`}
              onPress={() => onDay(day === each ? null : each)}
              width={WIDTH}
              tall="wet"
              className={`items-center rounded-xl py-1 ${day === each ? 'bg-zone' : ''}`}
            >
              {each === today ? (
                <Strong>{formatDay(each, 'd')}</Strong>
              ) : (
                <Small>{formatDay(each, 'd')}</Small>
              )}
              {kinds[0] ? <KindMark kind={kinds[0]} done /> : null}
              {own.length > 0 && kinds.length === 0 ? <View className="h-1 w-1 rounded-full bg-ink" /> : null}
            </ButtonBox>
          );
        })}
      </View>
    </View>
  );
}

function firstOfMonth(day: CalendarDay): CalendarDay {
  return addDays(day, 1 - Number(formatDay(day, 'd')));
}
