import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import { ofKind } from '@/core/records/shapes';
import type { Head } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, Choice, Field, Heading, Screen, Small, useWide } from '@/ui';
import { SearchButton } from '../shared/SearchButton';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';
import { HairTabs } from './HairTabs';
import { foundIn, logEntries, type LogEntry, type LogKind } from './logEntries';
import { LogLine } from './LogLine';
import { LogMonth } from './LogMonth';

const ROWS_AT_ONCE = 25;
type Shown = 'all' | LogKind;
const shownChoices = perLanguage((): readonly { value: Shown; label: string }[] => [
  { value: 'all', label: t({ message: 'all', context: 'entries of the log' }) },
  { value: 'treatments', label: t`treatments` },
  { value: 'readings', label: t`checks` },
  { value: 'events', label: t`events` },
  { value: 'shelf', label: t`shelf` },
]);

/** Entries under their days, in the order in which they come. */
function daysOf(entries: readonly LogEntry[]): [CalendarDay, LogEntry[]][] {
  const days = new Map<CalendarDay, LogEntry[]>();
  for (const entry of entries) days.set(entry.day, [...(days.get(entry.day) ?? []), entry]);
  return [...days];
}

/** Everything that was written down of a head, newest first; what was corrected keeps what was written before. */
export const LogScreen = withHead(function Log({ head }: { head: Head }) {
  const history = useHistory(head.headId);
  const records = useAppSelector(selectLiveRecords);
  const today = useToday();
  const wide = useWide();
  const [isMonthShown, setMonthShown] = useState(false);
  const [isSearching, setIsSearching] = useState(false);
  const [shown, setShown] = useState<Shown>('all');
  const [query, setQuery] = useState('');
  const [day, setDay] = useState<CalendarDay | null>(null);
  const [rows, setRows] = useState(ROWS_AT_ONCE);
  const all = useMemo(
    () =>
      logEntries(head, history, {
        batches: ofKind(records, 'batch'),
        batchEvents: ofKind(records, 'batch-event'),
      }),
    [head, history, records],
  );
  const entries = useMemo(
    () =>
      foundIn(
        all.filter(
          (entry) => (shown === 'all' || entry.kind === shown) && (day === null || entry.day === day),
        ),
        query,
      ),
    [all, shown, day, query],
  );
  const month = <LogMonth head={head} entries={all} today={today} day={day} onDay={setDay} />;
  return (
    <Screen
      before={<HairTabs here="/hair/log" />}
      ofPerson
      headline={all.length === 0 ? t`Nothing logged yet` : t`Your log`}
      reason={all.length === 0 ? t`Check your hair or do a wash day, and it shows here.` : undefined}
      side={wide ? month : undefined}
      actions={
        <>
          {wide ? null : <SearchButton isOpen={isSearching} onPress={() => setIsSearching(!isSearching)} />}
          <Button
            label={t`Log a treatment`}
            onPress={() => router.push('/hair/done')}
            testID="log-treatment"
          />
        </>
      }
    >
      {wide || isSearching ? (
        <>
          <Field
            label={t`Look for`}
            placeholder={t`a recipe, a word`}
            value={query}
            onChange={setQuery}
            className="w-field-xl"
            testID="log-search"
          />
          <Choice label={t`Show`} options={shownChoices()} value={shown} onChange={setShown} />
        </>
      ) : null}
      {!wide && isSearching ? (
        <View className="items-start">
          <Button
            tone="quiet"
            label={isMonthShown ? t`Hide the month` : t`Show the month`}
            expanded={isMonthShown}
            onPress={() => setMonthShown(!isMonthShown)}
          />
        </View>
      ) : null}
      {!wide && isMonthShown ? month : null}
      {day ? (
        <View className="items-start">
          <Button
            label={t`Only ${{ day: formatDay(day, 'd MMMM') }}: show all days`}
            onPress={() => setDay(null)}
          />
        </View>
      ) : null}
      {all.length > 0 && entries.length === 0 ? <Small live>{t`Nothing like that in the log.`}</Small> : null}
      <View className="gap-1">
        {daysOf(entries.slice(0, rows)).map(([of, ofDay]) => (
          <View key={of}>
            <Heading level={2} isQuiet>
              {formatDay(of, of.slice(0, 4) === today.slice(0, 4) ? 'EEE d MMM' : 'EEE d MMM yyyy')}
            </Heading>
            <View role="list">
              {ofDay.map((entry) => (
                <View key={entry.id} role="listitem" className="border-t border-line">
                  <LogLine head={head} entry={entry} />
                </View>
              ))}
            </View>
          </View>
        ))}
      </View>
      {entries.length > rows ? (
        <View className="items-start">
          <Button tone="quiet" label={t`Show earlier ones`} onPress={() => setRows(rows + ROWS_AT_ONCE)} />
        </View>
      ) : null}
      <View className="items-start">
        <Button label={t`For a stylist or a doctor`} onPress={() => router.push('/hair/report')} />
      </View>
    </Screen>
  );
});
