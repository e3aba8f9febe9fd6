import { t } from '@lingui/core/macro';
import * as Slider from '@radix-ui/react-slider';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { fixed } from '@/core/base/language';
import { prefsChanged, useAppDispatch } from '@/store';
import { Button, Screen, useTokens, useWide } from '@/ui';

/** Any standard bank card (ISO/IEC 7810, ID-1), mm. */
const CARD = { longMm: 85.6, shortMm: 53.98 } as const;
/** Where a screen that is not calibrated begins: 96 CSS pixels an inch on a wide one; most phones show more. */
const GUESS = { wide: 96 / 25.4, phone: 6.1 } as const;
const RANGE = { least: 2.5, most: 9, step: 0.01 } as const;
/** One press of − or +: half a millimetre on the card. */
const NUDGE = 0.5 / CARD.longMm;
/** The handle stands beside the card, where a finger can hold it. */
const HANDLE = 44;

interface CalibrateRulerProps {
  readonly start: number | null;
  readonly onDone: () => void;
  readonly onTyping: () => void;
}

/** Holds the screen against a bank card, once, so that a millimetre on it is a millimetre. */
export function CalibrateRuler({ start, onDone, onTyping }: CalibrateRulerProps) {
  const dispatch = useAppDispatch();
  const tokens = useTokens();
  const wide = useWide();
  const [pixelsPerMm, setPixelsPerMm] = useState(start ?? (wide ? GUESS.wide : GUESS.phone));
  const [long, short] = [CARD.longMm * pixelsPerMm, CARD.shortMm * pixelsPerMm];
  const longest = CARD.longMm * RANGE.most;
  const nudge = (side: 1 | -1) =>
    setPixelsPerMm((value) => Math.min(RANGE.most, Math.max(RANGE.least, value * (1 + side * NUDGE))));
  return (
    <Screen
      headline={t`Once: set the ruler`}
      reason={t`Hold a bank card on the outline, top at the dark line. Pull the handle to its lower edge.`}
    >
      <View className="flex-row flex-wrap items-center gap-3">
        <Button
          tone="main"
          label={t`It fits`}
          onPress={() => {
            dispatch(prefsChanged({ pixelsPerMm }));
            onDone();
          }}
          testID="calibrated"
        />
        <Button label="−" hint={t`A little smaller`} onPress={() => nudge(-1)} />
        <Button label="+" hint={t`A little larger`} onPress={() => nudge(1)} />
      </View>
      <View className="-ml-4" style={{ width: short + HANDLE + 4, height: long + HANDLE / 2 }}>
        <View aria-hidden>
          <Svg width={short + HANDLE} height={long + 6} style={{ overflow: 'visible' }}>
            <Rect
              x={2}
              y={2}
              width={short}
              height={long}
              rx={3.2 * pixelsPerMm}
              fill={tokens.zone}
              stroke={tokens.ink}
              strokeWidth={1.5}
            />
            <Line x1={0} x2={short + 4} y1={2} y2={2} stroke={tokens.ink} strokeWidth={4} />
            <Line
              x1={0}
              x2={short + HANDLE}
              y1={long + 2}
              y2={long + 2}
              stroke={tokens.rule}
              strokeWidth={4}
            />
          </Svg>
        </View>
        <View style={{ position: 'absolute', top: 0, right: 0, width: HANDLE, height: longest }}>
          <Slider.Root
            className="relative flex h-full w-full touch-none select-none"
            orientation="vertical"
            inverted
            min={0}
            max={RANGE.most}
            step={RANGE.step}
            value={[pixelsPerMm]}
            onValueChange={([value]) => value !== undefined && setPixelsPerMm(Math.max(RANGE.least, value))}
          >
            <Slider.Track className="h-full w-full" />
            <Slider.Thumb
              aria-label={t`Lower edge of the card on the screen`}
              aria-valuetext={t`${{ pixelsPerMm: fixed(pixelsPerMm, 2) }} pixels a millimetre`}
              className="block h-11 w-11 rounded-xl border-2 border-ink bg-saffron"
            />
          </Slider.Root>
        </View>
      </View>
      <View className="items-start">
        <Button tone="quiet" label={t`No card: type the lengths`} onPress={onTyping} />
      </View>
    </Screen>
  );
}
