import { plural, t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { useMemo, useRef, useState, type ChangeEvent } from 'react';
import { View } from 'react-native';
import { listed } from '@/core/base/language';
import { failed } from '@/core/base/measures';
import { doubtsIn, type Doubt } from '@/core/records/files';
import { stampedAhead } from '@/core/records/log';
import type { StoredRecord } from '@/core/records/shapes';
import { everythingReplaced, selectAllRecords, selectLarder, useAppDispatch, useAppSelector } from '@/store';
import { Body, Button, Heading, Problem, Small } from '@/ui';
import { askEstimator } from '@/workers';
import { recordsText } from '../shared/recordsText';
import { newStamp, withdrawing } from '../shared/stamp';
import { useAddRecords } from '../shared/useAddRecords';
import { useHead } from '../shared/useHead';
import { useToday } from '../shared/useToday';
import { incomingOf, type Incoming } from './incoming';
import { kindCounts } from './kindWords';
import { ReadCodes } from './ReadCodes';
import { useOpenedFile } from './useOpenedFile';

type OpenedFile =
  | { readonly step: 'idle' }
  | { readonly step: 'busy' }
  | { readonly step: 'refused'; readonly messages: readonly string[] }
  | { readonly step: 'ready'; readonly incoming: Incoming; readonly fileName: string }
  | { readonly step: 'done'; readonly said: string };

/** A file in: looked at first, with what would change; nothing is taken before she says so. */
export function OpenFile() {
  const records = useAppSelector(selectAllRecords);
  const larder = useAppSelector(selectLarder);
  const today = useToday();
  const head = useHead();
  const dispatch = useAppDispatch();
  const add = useAddRecords();
  const [state, setState] = useState<OpenedFile>({ step: 'idle' });
  const input = useRef<HTMLInputElement>(null);

  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file) await open(file);
  };
  const open = async (file: File) => {
    setState({ step: 'busy' });
    const incoming = await file
      .text()
      .then((text) =>
        incomingOf(text, {
          records,
          larder,
          today,
          headId: head?.headId ?? null,
          stamp: newStamp,
          readBackup: (backup) => askEstimator('readBackup', backup),
        }),
      )
      .catch((error: unknown) =>
        failed('unreadable', error instanceof Error ? error.message : t`This file could not be read.`),
      );
    setState(
      incoming.ok
        ? { step: 'ready', incoming: incoming.value, fileName: file.name }
        : { step: 'refused', messages: incoming.problems.map(({ message }) => message) },
    );
  };
  useOpenedFile((file) => void open(file));
  const take = (taken: readonly StoredRecord[], said: string) => {
    add(taken, said, 'elsewhere');
    setState({ step: 'done', said });
  };
  const replace = async (all: readonly StoredRecord[]) => {
    const { id, recordedAt: now } = newStamp();
    const result = await dispatch(everythingReplaced(all, { id, now }));
    setState(
      result.ok
        ? {
            step: 'done',
            said: t`In the place of what was here: ${{ records: recordsText(all.length) }}. A copy of that is kept below.`,
          }
        : { step: 'refused', messages: result.problems.map(({ message }) => message) },
    );
  };
  const bring = (withdrawals: readonly string[]) => {
    const said = t`Back again: ${{ records: recordsText(withdrawals.length) }}.`;
    add(withdrawing(withdrawals), said);
    setState({ step: 'done', said });
  };
  const leave = () => setState({ step: 'idle' });

  return (
    <View className="gap-3">
      <Heading level={2}>{t`In`}</Heading>
      <Small>{t`A backup, a person or recipes from somebody else, a recipe of another program, or a table of checks or treatments.`}</Small>
      <View className="flex-row flex-wrap gap-3">
        <Button label={t`Open a file`} onPress={() => input.current?.click()} />
        <input
          ref={input}
          type="file"
          accept=".json,.jsonld,.csv,.txt,application/json,application/ld+json,text/csv,text/plain"
          hidden
          aria-hidden
          tabIndex={-1}
          data-testid="backup-file"
          onChange={(event) => void choose(event)}
        />
      </View>
      <ReadCodes onText={(text) => void open(new File([text], t`The other device`))} />
      {state.step === 'busy' ? <Body>{t`One moment`}</Body> : null}
      {state.step === 'refused' ? (
        <View role="alert" className="gap-1">
          {state.messages.map((message) => (
            <Problem key={message}>{message}</Problem>
          ))}
          <Small>{t`Nothing was changed.`}</Small>
        </View>
      ) : null}
      {state.step === 'ready' ? (
        <View role="status" className="gap-3 rounded-2xl bg-sunken p-4">
          <Preview
            fileName={state.fileName}
            incoming={state.incoming}
            here={records}
            onTake={take}
            onBring={bring}
            onReplace={(all) => void replace(all)}
            onLeave={leave}
          />
        </View>
      ) : null}
      {state.step === 'done' ? <Body>{state.said}</Body> : null}
    </View>
  );
}

interface PreviewProps {
  readonly fileName: string;
  readonly incoming: Incoming;
  readonly here: readonly StoredRecord[];
  readonly onTake: (records: readonly StoredRecord[], said: string) => void;
  /** Takes withdrawals back, by id. */
  readonly onBring: (withdrawals: readonly string[]) => void;
  readonly onReplace: (records: readonly StoredRecord[]) => void;
  readonly onLeave: () => void;
}

function Preview(props: PreviewProps) {
  const { incoming, fileName, onTake, onLeave } = props;
  switch (incoming.what) {
    case 'backup':
      return <BackupPreview {...props} incoming={incoming} />;
    case 'recipes': {
      const { records, names, same } = incoming.taken;
      return (
        <>
          <Body>
            {fileName}:{' '}
            {names.length === 0
              ? t`no recipe that is not here already`
              : t`new: ${{ names: names.join(', ') }}`}
            .
          </Body>
          {same.length > 0 ? <Small>{t`Here already: ${{ same: same.join(', ') }}.`}</Small> : null}
          <Small>{t`They come beside your own, never in their place, and count as new for everybody.`}</Small>
          <Take
            said={t`${{ names: listed(names) }} ${plural({ count: names.length }, { one: 'is', other: 'are' })} here.`}
            {...{ records, onTake, onLeave }}
          />
        </>
      );
    }
    case 'recipe-text':
      return (
        <>
          <Body>{t`${fileName}: a recipe in words.`}</Body>
          <View className="flex-row flex-wrap gap-3">
            <Button
              tone="main"
              label={t`Read it as a recipe`}
              onPress={() => router.push({ pathname: '/recipes/new', params: { text: incoming.text } })}
              testID="tell-file"
            />
            <Button label={t`Leave it`} onPress={onLeave} />
          </View>
        </>
      );
    default: {
      const { records, added, corrected, same, unknown } = incoming.table;
      const what = incoming.what === 'readings' ? t`checks` : t`treatments`;
      return (
        <>
          <Body>
            {t`${fileName}: ${added} new ${what}, ${corrected} corrected, ${same} as they are here.`}
          </Body>
          {unknown.length > 0 ? (
            <Small>{t`Not read: the columns ${{ unknown: unknown.join(', ') }}.`}</Small>
          ) : null}
          {corrected > 0 ? <Small>{t`What is corrected stays readable as it was.`}</Small> : null}
          <Take
            said={t`Added: ${plural({ count: records.length }, { one: '# row', other: '# rows' })}.`}
            {...{ records, onTake, onLeave }}
          />
        </>
      );
    }
  }
}

interface TakeProps extends Pick<PreviewProps, 'onTake' | 'onLeave'> {
  readonly records: readonly StoredRecord[];
  readonly said: string;
}

function Take({ records, said, onTake, onLeave }: TakeProps) {
  const isNew = records.length > 0;
  const { doubts, sure } = useDoubts(records);
  const isAsked = doubts.length > 0;
  return (
    <>
      <Doubts doubts={doubts} />
      <View className="flex-row flex-wrap gap-3">
        {isAsked && sure.length > 0 ? <WithoutDoubts records={sure} onTake={onTake} /> : null}
        {isNew ? (
          <Button
            tone={isAsked ? 'plain' : 'main'}
            label={isAsked ? t`Take all of them` : t`Take them`}
            onPress={() => onTake(records, said)}
            testID="take-file"
          />
        ) : null}
        <Button label={isNew ? t`Leave it` : t`Fine`} onPress={onLeave} />
      </View>
    </>
  );
}

/** What in these records looks like a slip, and those of which nothing does. */
function useDoubts(records: readonly StoredRecord[]) {
  const here = useAppSelector(selectAllRecords);
  const today = useToday();
  return useMemo(() => {
    const doubts = doubtsIn(records, here, today);
    const doubted = new Set(doubts.flatMap(({ ids }) => ids));
    return { doubts, sure: records.filter(({ id }) => !doubted.has(id)) };
  }, [records, here, today]);
}

function Doubts({ doubts }: { doubts: readonly Doubt[] }) {
  if (doubts.length === 0) return null;
  return (
    <View role="alert" className="gap-1" testID="doubts">
      {doubts.slice(0, DOUBTS_SHOWN).map(({ text }) => (
        <Problem key={text}>{text}</Problem>
      ))}
      {doubts.length > DOUBTS_SHOWN ? (
        <Small>
          {t`And ${plural({ count: doubts.length - DOUBTS_SHOWN }, { one: '# day', other: '# days' })} more like that.`}
        </Small>
      ) : null}
      <Small>{t`That looks like a slip. Is it right?`}</Small>
    </View>
  );
}
const DOUBTS_SHOWN = 3;

function WithoutDoubts({ records, onTake }: Pick<TakeProps, 'records' | 'onTake'>) {
  return (
    <Button
      tone="main"
      label={t`Take the rest: ${{ records: recordsText(records.length) }}`}
      onPress={() => onTake(records, t`Added: ${{ records: recordsText(records.length) }}.`)}
      testID="take-rest"
    />
  );
}

/** Beside what is here, or in its place: both with what would come and what would go. */
function BackupPreview({
  incoming: { records, merge },
  fileName,
  here,
  onTake,
  onBring,
  onReplace,
  onLeave,
}: PreviewProps & { readonly incoming: Extract<Incoming, { what: 'backup' }> }) {
  const [sure, setSure] = useState(false);
  const { added, same, differing, takenBack } = merge;
  const { doubts, sure: undoubted } = useDoubts(added);
  const ahead = stampedAhead(records, newStamp().recordedAt);
  const coming = new Set(records.map(({ id }) => id));
  const leaving = here.filter(({ id }) => !coming.has(id));
  return (
    <>
      <Body>
        {differing.length > 0
          ? t`${fileName}: ${{ added: added.length }} new, ${same} already here, ${plural({ differing: differing.length }, { one: '# differs', other: '# differ' })} from what is here.`
          : t`${fileName}: ${{ added: added.length }} new, ${same} already here.`}
      </Body>
      {added.length > 0 ? <Small>{t`New: ${{ kindCounts: kindCounts(added).join(', ') }}.`}</Small> : null}
      {takenBack.length > 0 ? (
        <Small>{t`Of what is here already, ${{ records: recordsText(takenBack.length) }} were removed since.`}</Small>
      ) : null}
      {ahead > 0 ? (
        <Small>{t`${{ records: recordsText(ahead) }} were written by a clock that was more than a day ahead. They are read as they are; what you write from now on still comes after them.`}</Small>
      ) : null}
      {differing.length > 0 ? (
        <Small>{t`What differs is skipped when you add: your own stands. It comes only when the file replaces everything.`}</Small>
      ) : null}
      <Doubts doubts={doubts} />
      <View className="flex-row flex-wrap gap-3">
        {doubts.length > 0 && undoubted.length > 0 ? (
          <WithoutDoubts records={undoubted} onTake={onTake} />
        ) : null}
        {added.length > 0 ? (
          <Button
            tone={doubts.length > 0 ? 'plain' : 'main'}
            label={t`Add ${{ count: added.length }}`}
            onPress={() => onTake(added, t`Added: ${{ records: recordsText(added.length) }}.`)}
            testID="take-backup"
          />
        ) : null}
        {takenBack.length > 0 ? (
          <Button
            label={t`Bring back ${{ count: takenBack.length }}`}
            onPress={() => onBring(takenBack)}
            testID="bring-back"
          />
        ) : null}
        {leaving.length + differing.length > 0 && !sure ? (
          <Button label={t`Replace everything here`} onPress={() => setSure(true)} testID="replace-all" />
        ) : null}
        <Button label={added.length > 0 ? t`Leave it` : t`Fine`} onPress={onLeave} />
      </View>
      {sure ? (
        <View role="alert" className="gap-2">
          <Problem>
            {t`${{ records: recordsText(leaving.length) }} would go (${{ kindCounts: kindCounts(leaving).slice(0, 6).join(', ') }}) and ${{ count: added.length + differing.length }} come. A copy of what is here now is kept first.`}
          </Problem>
          <View className="items-start">
            <Button
              label={t`Yes, replace everything`}
              onPress={() => onReplace(records)}
              testID="replace-sure"
            />
          </View>
        </View>
      ) : null}
    </>
  );
}
