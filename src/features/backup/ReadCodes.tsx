import { t } from '@lingui/core/macro';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { View } from 'react-native';
import { unpacked } from '@/core/files/handover';
import { Body, Button, Problem, Small } from '@/ui';
import { useCamera } from '../shared/useCamera';
import { watchCodes } from './watchCodes';

/** Codes on another device's screen, read by the camera; it is asked for here and nowhere before. */
export function ReadCodes({ onText }: { readonly onText: (text: string) => void }) {
  const { camera, start, end } = useCamera();
  const [problem, setProblem] = useState<string | null>(null);
  const done = (bytes: Uint8Array) => {
    const text = unpacked(bytes);
    setProblem(text.ok ? null : text.problems[0].message);
    end();
    if (text.ok) onText(text.value);
  };
  return (
    <View className="items-start gap-2">
      {camera.step === 'on' ? (
        <Watch stream={camera.stream} onDone={done} onEnd={end} />
      ) : (
        <Button label={t`Read codes`} onPress={() => void start()} testID="read-codes" />
      )}
      {camera.step === 'off' && problem === null ? (
        <Small>{t`With the camera, from another device's screen. You'll see what would change first.`}</Small>
      ) : null}
      {camera.step === 'refused' ? (
        <Problem live>
          {t`The camera can't be used here. Save a file on the other device and open it on this one.`}
        </Problem>
      ) : null}
      {problem === null ? null : <Problem live>{problem}</Problem>}
    </View>
  );
}

interface WatchProps {
  readonly stream: MediaStream;
  readonly onDone: (bytes: Uint8Array) => void;
  readonly onEnd: () => void;
}

function Watch({ stream, onDone, onEnd }: WatchProps) {
  const video = useRef<HTMLVideoElement>(null);
  const [share, setShare] = useState<number | null>(null);
  const percent = Math.floor(100 * (share ?? 0));
  const done = useEffectEvent(onDone);
  useEffect(() => {
    const element = video.current;
    return element ? watchCodes(element, stream, { onCode: setShare, onDone: done }) : undefined;
  }, [stream]);
  return (
    <View className="w-full max-w-sm gap-2">
      <video
        ref={video}
        muted
        playsInline
        aria-label={t`What the camera sees`}
        style={{ width: '100%', borderRadius: 16 }}
      />
      <View
        role="progressbar"
        aria-label={t`Read so far`}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        className="h-3 overflow-hidden rounded-full bg-line"
      >
        <View className="h-3 bg-ink" style={{ width: `${percent}%` }} />
      </View>
      <View role="status">
        <Body>
          {share !== null
            ? t`Reading: ${percent} %`
            : t`Point the camera at the codes until they fill the picture.`}
        </Body>
      </View>
      <Button label={t`Stop reading`} onPress={onEnd} testID="stop-reading" />
    </View>
  );
}
