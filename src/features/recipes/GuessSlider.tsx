import { t } from '@lingui/core/macro';
import * as Slider from '@radix-ui/react-slider';
import { useState } from 'react';
import { View } from 'react-native';
import { rounded, unitWord } from '@/core/base/measures';
import type { Assumption } from '@/core/recipe/larder';
import { Small } from '@/ui';

/** Steps from little to much; each is the same share more. */
const STEPS = 16;

type Between = NonNullable<Assumption['between']>;

/** At a step: in halves where it is more than one, else as it is. */
function quantityAt(step: number, { least, most }: Between): number {
  const exact = least * (most / least) ** (step / STEPS);
  return exact > 10 ? rounded(exact, 0) : exact > 1 ? rounded(exact * 2, 0) / 2 : rounded(exact, 2);
}

interface GuessSliderProps {
  readonly between: Between;
  readonly name: string;
  /** The line that says so much. */
  readonly onChoose: (line: string) => void;
}

/** A guessed amount, from little to much. */
export function GuessSlider({ between, name, onChoose }: GuessSliderProps) {
  const [step, setStep] = useState(STEPS / 2);
  const said = (at: number) => {
    const quantity = quantityAt(at, between);
    return `${quantity} ${unitWord(between.unit, quantity)}`;
  };
  return (
    <View className="basis-full flex-row items-center gap-3">
      <Small>{t`little`}</Small>
      <View className="h-11 flex-1">
        <Slider.Root
          className="relative flex h-full w-full touch-none select-none items-center"
          min={0}
          max={STEPS}
          step={1}
          value={[step]}
          onValueChange={([at]) => at !== undefined && setStep(at)}
          onValueCommit={([at]) => at !== undefined && onChoose(`${said(at)} ${name}`)}
        >
          <Slider.Track className="relative h-2 grow rounded-full bg-line" />
          <Slider.Thumb
            aria-label={t`How much ${name}`}
            aria-valuetext={said(step)}
            className="block h-9 w-9 rounded-full border-2 border-ink bg-saffron"
          />
        </Slider.Root>
      </View>
      <Small>{t`much`}</Small>
      <Small className="font-strong">{said(step)}</Small>
    </View>
  );
}
