import { t } from '@lingui/core/macro';
import { router, type Href } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { numberText, perLanguage } from '@/core/base/language';
import { formatDay, formatInstant } from '@/core/base/measures';
import { ofKind } from '@/core/records/shapes';
import type { Head } from '@/core/records/shapes';
import { selectAllRecords, useAppSelector } from '@/store';
import { Button, ButtonBox, Small, Strong } from '@/ui';
import { stepOutcomeWords } from '../shared/stepWords';
import { useTakeBack } from '../shared/useTakeBack';
import type { LogEntry } from './logEntries';
import { readingWords } from './readingWords';

/** What a line of the log lets her do with its record. */
const kindWords = perLanguage(
  () =>
    ({
      treatments: { noun: t`treatment`, correct: (id: string): Href => `/hair/treatment/${id}` },
      readings: { noun: t`check`, correct: (id: string): Href => `/hair/check/${id}` },
      events: { noun: t`event`, correct: null },
      shelf: { noun: t`entry`, correct: null },
    }) as const,
);

/** One line; opened, it says all, and what can be done with it. */
export function LogLine({ head, entry }: { head: Head; entry: LogEntry }) {
  const [isOpen, setIsOpen] = useState(false);
  const text = entry.text();
  return (
    <>
      <ButtonBox
        expanded={isOpen}
        onPress={() => setIsOpen(!isOpen)}
        className="flex-row items-center gap-3"
        testID={`log-${entry.kind}`}
      >
        <Strong className={text && !isOpen ? 'max-w-[60%]' : 'flex-1'}>{entry.name}</Strong>
        {text && !isOpen ? (
          <Small className="flex-1" isOneLine>
            {text}
          </Small>
        ) : null}
      </ButtonBox>
      {isOpen ? <Opened head={head} entry={entry} text={text} /> : null}
    </>
  );
}

function Opened({ head, entry, text }: { head: Head; entry: LogEntry; text: string }) {
  const [open, setOpen] = useState<'old' | 'steps' | null>(null);
  const takeBack = useTakeBack();
  const old = useOlder(head, entry);
  const { noun, correct } = kindWords()[entry.kind];
  const { title, id } = entry;
  const toggle = (what: 'old' | 'steps') => setOpen(open === what ? null : what);
  const steps = entry.kind === 'treatments' ? entry.washDay?.steps : undefined;
  return (
    <View className="pb-2">
      {text ? <Small className="text-ink">{text}</Small> : null}
      <View className="flex-row flex-wrap gap-4">
        {correct ? (
          <Button
            tone="quiet"
            label={t`Correct`}
            hint={t`Correct the ${noun} of ${title}`}
            onPress={() => router.push(correct(id))}
          />
        ) : null}
        <Button
          tone="quiet"
          label={t`Remove`}
          hint={
            entry.kind === 'events'
              ? t`Remove: ${{ eventHint: eventHint(entry) }}`
              : t`Remove the ${noun} of ${title}`
          }
          onPress={() => takeBack(id, t`The ${noun} is removed.`)}
        />
        {steps ? (
          <Button
            tone="quiet"
            label={open === 'steps' ? t`Hide the steps` : t`Planned and done`}
            hint={t`The steps of ${title}`}
            expanded={open === 'steps'}
            onPress={() => toggle('steps')}
          />
        ) : null}
        {old.length > 0 ? (
          <Button
            tone="quiet"
            label={open === 'old' ? t`Hide what it was` : t`What it was`}
            hint={t`What the ${noun} of ${title} was`}
            expanded={open === 'old'}
            onPress={() => toggle('old')}
          />
        ) : null}
      </View>
      {open === 'old' ? old.map((words) => <Small key={words}>{words}</Small>) : null}
      {open === 'steps'
        ? steps?.map((step) => (
            <Small key={step.id}>
              {step.title}: {stepOutcomeWords(step)}
            </Small>
          ))
        : null}
    </View>
  );
}

const eventHint = ({ name, day }: LogEntry) => t`${{ title: name }} on ${{ day: formatDay(day, 'd MMM') }}`;

/** What the record said before it was corrected, newest first. */
function useOlder(head: Head, entry: LogEntry): string[] {
  const records = useAppSelector(selectAllRecords);
  const { record } = entry;
  if (record.corrects === undefined) return [];
  const until = (recordedAt: string) =>
    t`Until ${{ recordedAt: formatInstant(recordedAt, 'd MMM yyyy H:mm') }}: `;
  if (record.kind === 'reading')
    return olderOf(record, ofKind(records, 'reading')).map(
      ({ older, by }) => until(by.recordedAt) + readingWords(head, older),
    );
  if (record.kind === 'session')
    return olderOf(record, ofKind(records, 'session')).map(
      ({ older, by }) =>
        until(by.recordedAt) +
        [
          formatDay(older.day, 'd MMM'),
          t`${{ contactMinutes: older.contactMinutes }} min`,
          ...(older.grams === null ? [] : [`${numberText(older.grams)} g`]),
        ].join(', '),
    );
  return [];
}

interface Corrected {
  readonly id: string;
  readonly recordedAt: string;
  readonly corrects?: string | undefined;
}

/** The records this one took the place of, each with the one that did. */
function olderOf<T extends Corrected>(record: T, all: readonly T[]): { older: T; by: T }[] {
  const byId = new Map(all.map((known) => [known.id, known]));
  const chain: { older: T; by: T }[] = [];
  for (let by = record; by.corrects !== undefined;) {
    const older = byId.get(by.corrects);
    if (!older || chain.some((link) => link.older === older)) break;
    chain.push({ older, by });
    by = older;
  }
  return chain;
}
