import { t } from '@lingui/core/macro';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { View } from 'react-native';
import { unpacked } from '@/core/files/handover';
import { Body, Button, Problem, Small } from '@/ui';
import { watchCodes } from './watchCodes';

type Reading =
  | { readonly step: 'off' }
  | { readonly step: 'on'; readonly stream: MediaStream }
  | { readonly step: 'refused'; readonly text: string };

/** Codes on another device's screen, read by the camera; it is asked for here and nowhere before. */
export function ReadCodes({ onText }: { readonly onText: (text: string) => void }) {
  const [reading, setReading] = useState<Reading>({ step: 'off' });
  const start = async () => {
    try {
      const video = { facingMode: 'environment', width: { ideal: 1280 } };
      setReading({ step: 'on', stream: await navigator.mediaDevices.getUserMedia({ video }) });
    } catch {
      setReading({
        step: 'refused',
        text: t`The camera can't be used here. Save a file on the other device and open it on this one.`,
      });
    }
  };
  const end = () => setReading({ step: 'off' });
  const done = (bytes: Uint8Array) => {
    const text = unpacked(bytes);
    if (text.ok) onText(text.value);
    setReading(text.ok ? { step: 'off' } : { step: 'refused', text: text.problems[0].message });
  };
  return (
    <View className="items-start gap-2">
      {reading.step === 'on' ? (
        <Watch stream={reading.stream} onDone={done} onEnd={end} />
      ) : (
        <Button label={t`Read codes`} onPress={() => void start()} testID="read-codes" />
      )}
      {reading.step === 'off' ? (
        <Small>{t`With the camera, from another device's screen. You'll see what would change first.`}</Small>
      ) : null}
      {reading.step === 'refused' ? <Problem live>{reading.text}</Problem> : null}
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
