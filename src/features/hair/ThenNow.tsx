import { plural, t } from '@lingui/core/macro';
import * as Slider from '@radix-ui/react-slider';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import type { Photo } from '@/core/records/shapes';
import { Small } from '@/ui';
import { brightnessFactor, monthsPictured } from './photoPair';

const addressOf = ({ jpeg }: Photo) => `data:image/jpeg;base64,${jpeg}`;

interface ThenNowProps {
  readonly then: Photo;
  readonly now: Photo;
  /** What they show, in words. */
  readonly what: string;
}

/** Two pictures of the same place over one another, and a line to move between them; the newer as bright as the older. */
export function ThenNow({ then, now, what }: ThenNowProps) {
  const [share, setShare] = useState(50);
  const factor = useBrightness(then, now);
  const days = [then, now].map(({ day }) => formatDay(day, 'd MMM yyyy')) as [string, string];
  const picture = 'absolute inset-0 h-full w-full object-cover';
  return (
    <View className="gap-2" testID="then-now">
      <div
        role="img"
        aria-label={t`${what}: ${{ then: days[0] }} on the left, ${{ now: days[1] }} on the right`}
        className="relative w-full overflow-hidden rounded-2xl"
        style={{ aspectRatio: `${then.widthPx} / ${then.heightPx}` }}
      >
        <img src={addressOf(then)} alt="" className={picture} />
        <img
          src={addressOf(now)}
          alt=""
          className={picture}
          style={{ clipPath: `inset(0 0 0 ${share}%)`, filter: `brightness(${factor})` }}
        />
        <div className="absolute inset-y-0 w-1 bg-raised" style={{ left: `${share}%` }} />
      </div>
      <View className="h-11">
        <Slider.Root
          className="relative flex h-full w-full touch-none select-none items-center"
          min={0}
          max={100}
          step={1}
          value={[share]}
          onValueChange={([at]) => at !== undefined && setShare(at)}
        >
          <Slider.Track className="relative h-2 grow rounded-full bg-line" />
          <Slider.Thumb
            aria-label={t`How much of the older picture`}
            aria-valuetext={t`${share} %`}
            className="block h-9 w-9 rounded-full border-2 border-ink bg-saffron"
          />
        </Slider.Root>
      </View>
      <View className="flex-row justify-between">
        <Small>{days[0]}</Small>
        <Small>{days[1]}</Small>
      </View>
      <Small>{brightnessWords(factor)}</Small>
    </View>
  );
}

function brightnessWords(factor: number): string {
  const percent = Math.round(100 * Math.abs(factor - 1));
  if (percent < 3) return t`Both are about as bright.`;
  return factor > 1
    ? t`The newer one is shown ${percent} % brighter, to match.`
    : t`The newer one is shown ${percent} % darker, to match.`;
}

/** By what the newer picture is to be made brighter; 1 until both are looked at. */
function useBrightness(then: Photo, now: Photo): number {
  const [factor, setFactor] = useState(1);
  useEffect(() => {
    let current = true;
    void Promise.all([then, now].map(lightOf)).then(([older, newer]) => {
      if (current && older !== undefined && newer !== undefined) setFactor(brightnessFactor(older, newer));
    });
    return () => {
      current = false;
    };
  }, [then, now]);
  return factor;
}

/** A picture of so many pixels tells how bright it is. */
const SIDE = 24;

/** Mean luma of a picture, 0 to 255. */
async function lightOf(photo: Photo): Promise<number> {
  const image = new Image();
  image.src = addressOf(photo);
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = SIDE;
  canvas.height = SIDE;
  const context = canvas.getContext('2d');
  if (!context) return 0;
  context.drawImage(image, 0, 0, SIDE, SIDE);
  const { data } = context.getImageData(0, 0, SIDE, SIDE);
  let light = 0;
  for (let at = 0; at < data.length; at += 4)
    light += 0.299 * (data[at] ?? 0) + 0.587 * (data[at + 1] ?? 0) + 0.114 * (data[at + 2] ?? 0);
  return light / SIDE ** 2;
}

/** The year's months, each with a picture or without. */
export function MonthStreak({ photos, today }: { photos: readonly Photo[]; today: Photo['day'] }) {
  const months = monthsPictured(photos, today);
  const count = months.filter(({ has }) => has).length;
  return (
    <View className="gap-1">
      <View className="flex-row gap-1" role="img" aria-label={t`Pictures in the last twelve months`}>
        {months.map(({ month, has }) => (
          <View
            key={month}
            className={`h-3 flex-1 rounded-full ${has ? 'bg-link' : 'border border-line bg-raised'}`}
          />
        ))}
      </View>
      <Small>{t`A picture in ${plural(count, { one: '# month', other: '# months' })} of the last twelve.`}</Small>
    </View>
  );
}
