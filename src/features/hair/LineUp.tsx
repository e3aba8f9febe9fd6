import { t } from '@lingui/core/macro';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import type { Photo } from '@/core/records/shapes';
import { Button, Problem, Small } from '@/ui';
import { useCamera } from '../shared/useCamera';
import { frameOf, type Frame } from './frameOf';

interface LineUpProps {
  /** The one before, of the same place. */
  readonly before: Photo;
  readonly onTaken: (frame: Frame) => void;
}

/** The last picture, half seen through, over what the camera sees: the same place from the same side. */
export function LineUp({ before, onTaken }: LineUpProps) {
  const { camera, start, end } = useCamera();
  if (camera.step !== 'on')
    return (
      <View className="items-start gap-2">
        <Button label={t`Line up with the last one`} onPress={() => void start()} testID="line-up" />
        {camera.step === 'refused' ? (
          <Problem live>{t`The camera can't be used here. Take or choose a picture instead.`}</Problem>
        ) : null}
      </View>
    );
  return <Seen before={before} stream={camera.stream} onTaken={onTaken} onEnd={end} />;
}

function Seen({
  before,
  stream,
  onTaken,
  onEnd,
}: LineUpProps & { readonly stream: MediaStream; readonly onEnd: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const aspect = before.widthPx / before.heightPx;
  useEffect(() => {
    const element = video.current;
    if (!element) return;
    element.srcObject = stream;
    // A camera that is let go meanwhile plays nothing.
    element.play().catch(() => undefined);
  }, [stream]);
  const take = async () => {
    const frame = video.current ? await frameOf(video.current, aspect) : null;
    onEnd();
    if (frame) onTaken(frame);
  };
  const fill = { position: 'absolute', width: '100%', height: '100%', objectFit: 'cover' } as const;
  return (
    <View className="max-w-note gap-2">
      <View className="overflow-hidden rounded-2xl bg-sunken" style={{ width: '100%', aspectRatio: aspect }}>
        <video ref={video} muted playsInline aria-label={t`What the camera sees`} style={fill} />
        <img
          src={`data:image/jpeg;base64,${before.jpeg}`}
          alt={t`The picture before, half seen through`}
          style={{ ...fill, opacity: 0.4 }}
        />
      </View>
      <Small>{t`Move until both lie on each other, in the same light.`}</Small>
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Take the picture`} onPress={() => void take()} testID="take-lined-up" />
        <Button label={t`Leave it`} onPress={onEnd} />
      </View>
    </View>
  );
}
