import { router } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ofKind } from '@/core/exchange';
import { hairMassGrams, type Head } from '@/core/hair';
import { formatDay, formatInstant } from '@/core/measures';
import { FEEL_WORDS, MARKS, measurementsOf, type HeadEvent, type Reading } from '@/core/readings';
import { selectAllRecords, useAppSelector } from '@/store';
import { Button, Choice, Screen, Small, Strong } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
import { useHistory } from '../shared/useHistory';
import { useTakeBack } from '../shared/useTakeBack';
import { EVENT_WORDS } from './eventWords';
import { withHead } from './FlowScreen';
import { MARK_OPTIONS, PLACE_LABELS, SCALP_OPTIONS } from './readingOptions';
import { StrandTabs } from './StrandTabs';

const ROWS_AT_ONCE = 25;
type Shown = 'all' | 'readings' | 'events';
const SHOWN: readonly { value: Shown; label: string }[] = [
  { value: 'all', label: 'all' },
  { value: 'readings', label: 'readings' },
  { value: 'events', label: 'events' },
];

/** Readings and events of a head, newest first; corrected ones keep what was written before. */
export const LogScreen = withHead(function Log({ head }: { head: Head }) {
  const { readings, events } = useHistory(head.headId);
  const [shown, setShown] = useState<Shown>('all');
  const [rows, setRows] = useState(ROWS_AT_ONCE);
  const entries = useMemo(
    () =>
      [...(shown === 'events' ? [] : readings), ...(shown === 'readings' ? [] : events)].sort((a, b) =>
        a.day === b.day ? (a.recordedAt < b.recordedAt ? 1 : -1) : a.day < b.day ? 1 : -1,
      ),
    [readings, events, shown],
  );
  return (
    <Screen
      before={<StrandTabs here="/strand/log" />}
      over={head.name}
      headline={entries.length === 0 ? 'Nothing is written down yet' : 'What was written down'}
      reason={
        entries.length === 0
          ? 'Take a reading, and it stands here.'
          : 'Everything can be corrected; the old value stays.'
      }
    >
      <HeadPicker />
      <Choice label="Show" options={SHOWN} value={shown} onChange={setShown} />
      <View role="list">
        {entries.slice(0, rows).map((entry) => (
          <View key={entry.id} role="listitem" className="gap-1 border-t border-line py-3">
            {entry.kind === 'reading' ? (
              <ReadingEntry head={head} reading={entry} />
            ) : (
              <EventEntry event={entry} />
            )}
          </View>
        ))}
      </View>
      {entries.length > rows ? (
        <View className="items-start">
          <Button tone="quiet" label="Show earlier ones" onPress={() => setRows(rows + ROWS_AT_ONCE)} />
        </View>
      ) : null}
    </Screen>
  );
});

const MOMENT_WORDS: Record<Reading['moment'], string> = {
  before: 'before treatment',
  after: 'after treatment',
  dry: 'dry',
};

function ReadingEntry({ head, reading }: { head: Head; reading: Reading }) {
  const records = useAppSelector(selectAllRecords);
  const [withOld, setWithOld] = useState(false);
  const takeBack = useTakeBack();
  const old = reading.corrects === undefined ? [] : olderOf(reading, ofKind(records, 'reading'));
  const title = `${formatDay(reading.day, 'EEE d MMM yyyy')}, ${MOMENT_WORDS[reading.moment]}`;
  return (
    <>
      <Strong>{title}</Strong>
      <Small className="text-ink">{readingWords(head, reading)}</Small>
      <View className="flex-row flex-wrap gap-4">
        <Button
          tone="quiet"
          label="Correct"
          hint={`Correct the reading of ${title}`}
          onPress={() => router.push(`/strand/reading/${reading.id}`)}
        />
        <Button
          tone="quiet"
          label="Take back"
          hint={`Take back the reading of ${title}`}
          onPress={() => takeBack(reading.id, 'The reading is taken back.')}
        />
        {old.length > 0 ? (
          <Button
            tone="quiet"
            label={withOld ? 'Hide what it was' : 'What it was'}
            hint={`What the reading of ${title} was`}
            expanded={withOld}
            onPress={() => setWithOld((shown) => !shown)}
          />
        ) : null}
      </View>
      {withOld
        ? old.map((older) => (
            <Small key={older.id}>
              Until {formatInstant(reading.recordedAt, 'd MMM yyyy H:mm')}: {readingWords(head, older)}
            </Small>
          ))
        : null}
    </>
  );
}

function EventEntry({ event }: { event: HeadEvent }) {
  const takeBack = useTakeBack();
  const { label } = EVENT_WORDS[event.what];
  return (
    <>
      <Strong>
        {formatDay(event.day, 'EEE d MMM yyyy')}, {label}
      </Strong>
      {event.note ? <Small className="text-ink">{event.note}</Small> : null}
      <View className="items-start">
        <Button
          tone="quiet"
          label="Take back"
          hint={`Take back: ${label} on ${formatDay(event.day, 'd MMM')}`}
          onPress={() => takeBack(event.id, `${label} is taken back.`)}
        />
      </View>
    </>
  );
}

/** The readings this one took the place of, newest first. */
function olderOf(reading: Reading, readings: readonly Reading[]): Reading[] {
  const byId = new Map(readings.map((known) => [known.id, known]));
  const chain: Reading[] = [];
  for (let at = reading.corrects; at !== undefined; at = byId.get(at)?.corrects) {
    const older = byId.get(at);
    if (!older || chain.includes(older)) break;
    chain.push(older);
  }
  return chain;
}

/** What a reading holds, in one line. */
export function readingWords(head: Head, reading: Reading): string {
  const measured = measurementsOf(reading, { hairGrams: hairMassGrams(head) })
    .filter(({ test }) => test !== 'signs' && test !== 'feel')
    .map(({ why }) => why);
  const marks = MARKS.flatMap((mark) => {
    const value = reading.marks[mark];
    if (value === null) return [];
    const { label, options } = MARK_OPTIONS[mark];
    return `${label.toLowerCase()}: ${options[value]?.label ?? value}`;
  });
  const scalp = reading.scalp.map((sign) => SCALP_OPTIONS.find(({ value }) => value === sign)?.label ?? sign);
  return [
    ...measured,
    ...(reading.feel === null ? [] : [`feels ${FEEL_WORDS[reading.feel + 3]}`]),
    ...marks,
    ...(scalp.length > 0 ? [`scalp ${scalp.join(', ')}`] : []),
    ...reading.lengths.map(({ place, cm }) => `${PLACE_LABELS[place].toLowerCase()} ${cm} cm`),
  ].join('; ');
}
