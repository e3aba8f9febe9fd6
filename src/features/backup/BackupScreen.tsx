import { plural, t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { dayOfDate, daysBetween } from '@/core/base/measures';
import { ofKind, photoBytes } from '@/core/records/shapes';
import {
  everythingDeleted,
  selectAllRecords,
  selectPrefs,
  selectStatus,
  selectUnsaved,
  useAppDispatch,
  useAppSelector,
} from '@/store';
import { Body, Button, Heading, Problem, Screen, Small } from '@/ui';
import { PeopleTabs } from '../shared/PeopleTabs';
import { recordsText } from '../shared/recordsText';
import { useToday } from '../shared/useToday';
import { Copies } from './Copies';
import { sizeText } from './kindWords';
import { OpenFile } from './OpenFile';
import { SaveFiles } from './SaveFiles';
import { useRoom } from './useRoom';

/** Safe keeping: out and in, how much room there is, copies, and the end of it all. */
export function BackupScreen() {
  const records = useAppSelector(selectAllRecords);
  return (
    <Screen
      before={<PeopleTabs here="/people/backup" />}
      over={t`People & settings`}
      headline={useKeptText()}
      reason={useExportText()}
      sideShare="half"
      side={
        <>
          <RoomLeft />
          <Copies changes={records} />
          <DeleteAll />
        </>
      }
    >
      <SaveFiles />
      <OpenFile />
    </Screen>
  );
}

function useKeptText(): string {
  const count = useAppSelector(selectAllRecords).length;
  const unsaved = useAppSelector(selectUnsaved).length;
  const status = useAppSelector(selectStatus);
  if (status === 'blocked') return t`Nothing can be stored here`;
  if (unsaved > 0) return t`Not stored yet: ${unsaved} of ${{ records: recordsText(count) }}`;
  return count === 0 ? t`Nothing is kept yet` : t`${{ records: recordsText(count) }}, all stored`;
}

/** They lie in one browser; how long ago did they lie anywhere else? */
function useExportText(): string {
  const { exportedAt } = useAppSelector(selectPrefs);
  const count = useAppSelector(selectAllRecords).length;
  const today = useToday();
  if (count === 0) return t`What you log stays in this browser, and nowhere else.`;
  if (exportedAt === null) return t`Only in this browser so far: save a file now and then.`;
  const days = daysBetween(dayOfDate(new Date(exportedAt)), today);
  if (days <= 0) return t`Only in this browser; last saved to a file today.`;
  if (days === 1) return t`Only in this browser; last saved to a file yesterday.`;
  return t`Only in this browser; last saved to a file ${plural(days, { one: '# day ago', other: '# days ago' })}.`;
}

/** Share of the room from which there is reason to act (working assumption). */
const NEARLY_FULL = 0.9;

function RoomLeft() {
  const records = useAppSelector(selectAllRecords);
  const [room, ask] = useRoom(records);
  const pictures = ofKind(records, 'photo');
  return (
    <View className="gap-2">
      <Heading level={2}>{t`Room`}</Heading>
      {room === null ? (
        <Body>{t`This browser does not tell how much room there is.`}</Body>
      ) : (
        <>
          <Body>{t`${{ used: sizeText(room.usedBytes) }} of about ${{ most: sizeText(room.mostBytes) }}`}</Body>
          <View
            role="meter"
            aria-label={t`Room that is taken`}
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round((100 * room.usedBytes) / room.mostBytes)}
            className="h-3 overflow-hidden rounded-full bg-line"
          >
            <View
              className="h-3 bg-ink"
              style={{ width: `${Math.max(1, (100 * room.usedBytes) / room.mostBytes)}%` }}
            />
          </View>
          {room.usedBytes > NEARLY_FULL * room.mostBytes ? (
            <Problem>{t`Almost full. Export everything, then remove pictures under Hair or free some space on the device.`}</Problem>
          ) : null}
          <Small>
            {pictures.length > 0
              ? t`${plural({ count: pictures.length }, { one: '# picture', other: '# pictures' })}: ${{ size: sizeText(photoBytes(pictures)) }} of it. `
              : ''}
            {room.isLasting
              ? t`The browser keeps it until you delete it.`
              : t`A browser that runs out of room may clear it.`}
          </Small>
          {room.isLasting ? null : (
            <View className="items-start">
              <Button label={t`Ask the browser to keep it`} onPress={() => void ask()} />
            </View>
          )}
        </>
      )}
    </View>
  );
}

/** Asked twice, with a file offered first; then nothing is left. */
function DeleteAll() {
  const dispatch = useAppDispatch();
  const [asked, setAsked] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const remove = async () => {
    const result = await dispatch(everythingDeleted());
    if (!result.ok) return setProblem(result.problems[0].message);
    // What is in memory must not write itself down again.
    window.location.assign('/');
  };
  return (
    <View className="gap-2 border-t border-line pt-4">
      <Heading level={2}>{t`Delete everything`}</Heading>
      {asked ? (
        <View role="alert" className="gap-3">
          <Problem>{t`All records, copies and settings in this browser go, and nobody can bring them back. Export everything first if you may want them.`}</Problem>
          <View className="flex-row flex-wrap gap-3">
            <Button label={t`Yes, delete everything`} onPress={() => void remove()} testID="delete-sure" />
            <Button label={t`Keep it`} onPress={() => setAsked(false)} />
          </View>
        </View>
      ) : (
        <View className="items-start">
          <Button
            tone="quiet"
            label={t`Delete everything here`}
            onPress={() => setAsked(true)}
            testID="delete-all"
          />
        </View>
      )}
      {problem ? <Problem live>{problem}</Problem> : null}
    </View>
  );
}
