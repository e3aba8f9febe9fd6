import { useState } from 'react';
import { View } from 'react-native';
import { SIGNALS, Z90, type SignalState } from '@/core/hair';
import { daysBetween, formatDay } from '@/core/measures';
import type { SignalId } from '@/core/readings';
import type { Session } from '@/core/sessions';
import { Button, Heading, Small, useWidth } from '@/ui';
import { SignalChart } from '@/ui/charts/SignalChart';
import { levelText } from './levelText';
import { MeasurementTable } from './MeasurementTable';

const HEIGHT = 150;

/** What the value axis of each signal shows: its span and its marks, in the signal's own units. */
const AXIS: Record<
  SignalId,
  { domain: readonly [number, number]; marks: readonly { value: number; text: string }[] }
> = {
  firmness: {
    domain: [-2, 2],
    marks: [
      { value: 1.6, text: 'firm' },
      { value: 0, text: '0' },
      { value: -1.6, text: 'soft' },
    ],
  },
  breakage: {
    domain: [Math.log(1), Math.log(40)],
    marks: [2, 8, 30].map((perDay) => ({ value: Math.log(perDay), text: String(perDay) })),
  },
  porosity: {
    domain: [-2, 2],
    marks: [
      { value: 1.6, text: 'high' },
      { value: 0, text: '0' },
      { value: -1.6, text: 'low' },
    ],
  },
};

interface SignalHistoryProps {
  readonly state: SignalState;
  readonly sessions: readonly Session[];
}

/** One signal: where it stands in words, its history as a picture, and the same as a table when asked. */
export function SignalHistory({ state, sessions }: SignalHistoryProps) {
  const { width, onLayout } = useWidth();
  const [asTable, setAsTable] = useState(false);
  const model = SIGNALS[state.signal];
  const first = state.path[0]?.day;
  const last = state.path.at(-1)?.day;
  const words = levelInWords(state);
  const hasPath = first !== undefined && last !== undefined && first !== last;
  return (
    <View onLayout={onLayout} className="gap-1">
      <Heading level={2}>{model.label}</Heading>
      <Small className="text-ink">{words}</Small>
      {hasPath && width > 0 ? (
        <SignalChart
          width={width}
          height={HEIGHT}
          lastDay={daysBetween(first, last)}
          domain={AXIS[state.signal].domain}
          lane={model.lane}
          path={state.path.map(({ day, mean, sd }) => ({ at: daysBetween(first, day), mean, sd }))}
          measurements={state.measurements.map(({ day, value, sd }) => ({
            at: daysBetween(first, day),
            mean: value,
            sd,
          }))}
          ticks={sessions
            .filter(({ day }) => day >= first && day <= last)
            .map(({ day }) => daysBetween(first, day))}
          values={AXIS[state.signal].marks}
          days={[first, last].map((day) => ({ at: daysBetween(first, day), text: formatDay(day, 'd MMM') }))}
          label={`${model.label} over time. ${words}`}
        />
      ) : null}
      {state.measurements.length > 0 ? (
        <View className="items-start">
          <Button
            tone="quiet"
            label={asTable ? 'Hide the figures' : 'Show the figures'}
            hint={`${asTable ? 'Hide' : 'Show'} the figures of ${model.label.toLowerCase()}`}
            expanded={asTable}
            onPress={() => setAsTable((shown) => !shown)}
          />
        </View>
      ) : null}
      {asTable ? <MeasurementTable state={state} /> : null}
    </View>
  );
}

/** "Likely high: about 11 broken pieces a day, between 8 and 16 (nine times in ten)." */
function levelInWords(state: SignalState): string {
  const { probabilities, signal, mean, sd } = state;
  const { words } = SIGNALS[signal];
  const sides = [
    { chance: probabilities.below, word: words.below },
    { chance: probabilities.within, word: words.within },
    { chance: probabilities.above, word: words.above },
  ].sort((a, b) => b.chance - a.chance);
  const best = sides[0];
  const surely = (best?.chance ?? 0) > 0.9 ? '' : (best?.chance ?? 0) > 0.6 ? 'Likely ' : 'Perhaps ';
  const unit = signal === 'breakage' ? ' broken pieces a day' : '';
  const sentence = `${surely}${best?.word}: about ${levelText(signal, mean)}${unit}, between ${levelText(signal, mean - Z90 * sd)} and ${levelText(signal, mean + Z90 * sd)} nine times in ten.`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
