import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import { ofKind } from '@/core/records/shapes';
import type { Head } from '@/core/records/shapes';
import { selectLiveRecords, useAppSelector } from '@/store';
import { Button, Choice, Field, Screen, Small, useWide } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';
import { foundIn, logEntries, type LogKind } from './logEntries';
import { LogLine } from './LogLine';
import { LogMonth } from './LogMonth';
import { StrandTabs } from './StrandTabs';

const ROWS_AT_ONCE = 25;
type Shown = 'all' | LogKind;
const shownChoices = perLanguage((): readonly { value: Shown; label: string }[] => [
  { value: 'all', label: t({ message: 'all', context: 'entries of the log' }) },
  { value: 'treatments', label: t`treatments` },
  { value: 'readings', label: t`checks` },
  { value: 'events', label: t`events` },
  { value: 'shelf', label: t`shelf` },
]);

/** Everything that was written down of a head, newest first; what was corrected keeps what was written before. */
export const LogScreen = withHead(function Log({ head }: { head: Head }) {
  const history = useHistory(head.headId);
  const records = useAppSelector(selectLiveRecords);
  const today = useToday();
  const wide = useWide();
  const [isMonthShown, setMonthShown] = useState(false);
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
      before={<StrandTabs here="/strand/log" />}
      over={head.name}
      headline={all.length === 0 ? t`Nothing is written down yet` : t`What was written down`}
      reason={
        all.length === 0
          ? t`Check your hair or do a wash day, and it shows here.`
          : t`Everything can be corrected; the old value stays.`
      }
      side={wide ? month : undefined}
    >
      <HeadPicker />
      <View className="flex-row flex-wrap items-end gap-3">
        <Field
          label={t`Look for`}
          placeholder={t`a recipe, a word`}
          value={query}
          onChange={setQuery}
          className="w-field-xl"
          testID="log-search"
        />
        <Button
          tone="main"
          label={t`Log a treatment`}
          onPress={() => router.push('/strand/done')}
          testID="log-treatment"
        />
        <Button label={t`For a stylist or a doctor`} onPress={() => router.push('/strand/report')} />
      </View>
      <Choice label={t`Show`} options={shownChoices()} value={shown} onChange={setShown} />
      {wide ? null : (
        <View className="items-start">
          <Button
            tone="quiet"
            label={isMonthShown ? t`Hide the month` : t`Show the month`}
            expanded={isMonthShown}
            onPress={() => setMonthShown(!isMonthShown)}
          />
        </View>
      )}
      {!wide && isMonthShown ? month : null}
      {day ? (
        <View className="items-start">
          <Button
            label={t`Only ${{ day: formatDay(day, 'd MMMM') }}: show all days`}
            onPress={() => setDay(null)}
          />
        </View>
      ) : null}
      {all.length > 0 && entries.length === 0 ? (
        <Small live>{t`Nothing like that is written down.`}</Small>
      ) : null}
      <View role="list">
        {entries.slice(0, rows).map((entry) => (
          <View key={entry.id} role="listitem" className="gap-1 border-t border-line py-3">
            <LogLine head={head} entry={entry} />
          </View>
        ))}
      </View>
      {entries.length > rows ? (
        <View className="items-start">
          <Button tone="quiet" label={t`Show earlier ones`} onPress={() => setRows(rows + ROWS_AT_ONCE)} />
        </View>
      ) : null}
    </Screen>
  );
});
