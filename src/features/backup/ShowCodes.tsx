import { plural, t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { BLOCK_BYTES, frameOf, MOST_BYTES, writeFrame } from '@/core/files/handover';
import { writeBackup } from '@/core/records/files';
import { photoBytes, ofKind } from '@/core/records/shapes';
import { selectAllRecords, useAppSelector } from '@/store';
import { Body, Button, Problem, Small } from '@/ui';
import { askVision } from '@/workers';
import { recordsText } from '../shared/recordsText';
import { CodePicture } from './CodePicture';

/** Codes a second: a camera of 15 pictures a second sees each at least once. */
const CODES_PER_SECOND = 8;
/** Of the codes that are shown a camera misses about so many, and at the end a few more are needed. */
const NEEDED_PER_BLOCK = 1.3;

interface Shown {
  readonly bytes: Uint8Array;
  readonly transfer: number;
}

/** Everything but pictures, hand to hand: codes that another device reads from this screen. */
export function ShowCodes() {
  const records = useAppSelector(selectAllRecords);
  const [shown, setShown] = useState<Shown | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const travelling = records.filter(({ kind }) => kind !== 'photo');
  const start = async () => {
    setProblem(null);
    const text = writeBackup(travelling, new Date().toISOString());
    const bytes = await askVision('pack', text).catch(() => null);
    if (bytes === null) setProblem(t`Codes can't be made in this browser. Save a file instead.`);
    else if (bytes.length > MOST_BYTES) setProblem(t`This is too much for codes. Save a file instead.`);
    else setShown({ bytes, transfer: crypto.getRandomValues(new Uint32Array(1))[0] ?? 0 });
  };
  return (
    <View className="items-start gap-2">
      {shown ? (
        <>
          <MovingCode {...shown} />
          <Button label={t`Stop showing codes`} onPress={() => setShown(null)} testID="stop-codes" />
        </>
      ) : (
        <Button
          label={t`Show codes to another device`}
          onPress={() => void start()}
          disabled={travelling.length === 0}
          testID="show-codes"
        />
      )}
      <Small>
        {photoBytes(ofKind(records, 'photo')) > 0
          ? t`${{ records: recordsText(travelling.length) }}, screen to camera, no network. Pictures only travel in a file.`
          : t`${{ records: recordsText(travelling.length) }}, screen to camera, no network.`}
      </Small>
      {problem ? <Problem live>{problem}</Problem> : null}
    </View>
  );
}

function MovingCode({ bytes, transfer }: Shown) {
  const [number, setNumber] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setNumber((before) => before + 1), 1000 / CODES_PER_SECOND);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(2, Math.ceil((NEEDED_PER_BLOCK * bytes.length) / BLOCK_BYTES / CODES_PER_SECOND));
  return (
    <View className="w-full max-w-sm gap-2">
      <View className="aspect-square w-full" testID="moving-code">
        <CodePicture
          bytes={writeFrame(frameOf(bytes, transfer, number))}
          label={t`A code that changes; it holds your records`}
        />
      </View>
      <Body>
        {t`On the other device, open Backup & export and press “Read codes”. About ${plural(seconds, { one: '# second', other: '# seconds' })}.`}
      </Body>
    </View>
  );
}
