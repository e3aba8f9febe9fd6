import { useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { mergeRecords, writeBackup, type Merge } from '@/core/exchange';
import { dayOfDate } from '@/core/measures';
import { selectAllRecords, selectStatus, selectUnsaved, useAppSelector } from '@/store';
import { Body, Button, Heading, Problem, Small } from '@/ui';
import { askEstimator } from '@/workers';
import { useAddRecords } from '../shared/useAddRecords';
import { saveTextFile } from '../shared/browserFiles';

type Import =
  | { readonly step: 'idle' }
  | { readonly step: 'refused'; readonly messages: readonly string[] }
  | { readonly step: 'ready'; readonly merge: Merge; readonly fileName: string }
  | { readonly step: 'done'; readonly added: number };

/** Everything out to one file and back in, with a look at what would change first. */
export function DataPane() {
  const records = useAppSelector(selectAllRecords);
  const unsaved = useAppSelector(selectUnsaved).length;
  const status = useAppSelector(selectStatus);
  const add = useAddRecords();
  const [state, setState] = useState<Import>({ step: 'idle' });
  const input = useRef<HTMLInputElement>(null);

  const exportAll = () =>
    saveTextFile(
      `velvet-rhythm-${dayOfDate(new Date())}.json`,
      writeBackup(records, new Date().toISOString()),
      'application/json',
    );

  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    const backup = await askEstimator('readBackup', await file.text());
    setState(
      backup.ok
        ? { step: 'ready', merge: mergeRecords(records, backup.value.records), fileName: file.name }
        : { step: 'refused', messages: backup.problems.map((problem) => problem.message) },
    );
  };

  const take = ({ added }: Merge) => {
    add(added, `${added.length} records are read in.`);
    setState({ step: 'done', added: added.length });
  };

  return (
    <View className="gap-3">
      <Heading level={2}>Your records</Heading>
      <Small>
        {records.length} records in this browser.{' '}
        {status === 'blocked'
          ? 'They cannot be stored here.'
          : unsaved > 0
            ? `${unsaved} are not stored yet.`
            : 'All are stored.'}
      </Small>
      <View className="flex-row flex-wrap gap-3">
        <Button
          label="Export everything"
          onPress={exportAll}
          disabled={records.length === 0}
          testID="export"
        />
        <Button label="Read a backup file" onPress={() => input.current?.click()} />
        <input
          ref={input}
          type="file"
          accept="application/json,.json"
          hidden
          aria-hidden
          tabIndex={-1}
          data-testid="backup-file"
          onChange={(event) => void choose(event)}
        />
      </View>
      {state.step === 'refused' ? (
        <View role="alert" className="gap-1">
          {state.messages.map((message) => (
            <Problem key={message}>{message}</Problem>
          ))}
          <Small>Nothing was changed.</Small>
        </View>
      ) : null}
      {state.step === 'ready' ? (
        <Preview {...state} onTake={take} onLeave={() => setState({ step: 'idle' })} />
      ) : null}
      {state.step === 'done' ? <Body>{state.added} records were read in.</Body> : null}
    </View>
  );
}

interface PreviewProps {
  readonly merge: Merge;
  readonly fileName: string;
  readonly onTake: (merge: Merge) => void;
  readonly onLeave: () => void;
}

function Preview({ merge, fileName, onTake, onLeave }: PreviewProps) {
  const { added, same, differing } = merge;
  return (
    <View role="status" className="gap-2 rounded-2xl bg-sunken p-4">
      <Body>
        {fileName}: {added.length} new, {same} already here
        {differing.length > 0 ? `, ${differing.length} differ from what is here and will be left out` : ''}.
      </Body>
      <View className="flex-row flex-wrap gap-3">
        {added.length > 0 ? (
          <Button
            tone="main"
            label={`Add ${added.length}`}
            onPress={() => onTake(merge)}
            testID="take-backup"
          />
        ) : null}
        <Button label={added.length > 0 ? 'Leave it' : 'Fine'} onPress={onLeave} />
      </View>
    </View>
  );
}
