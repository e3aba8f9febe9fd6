import { View } from 'react-native';
import type { SignalState } from '@/core/hair';
import { formatDay } from '@/core/measures';
import { Small } from '@/ui';
import { levelText } from './levelText';

const MOST_ROWS = 20;

/** The latest measurements of one signal, newest first. */
export function MeasurementTable({ state }: { state: SignalState }) {
  const show = (value: number) => levelText(state.signal, value);
  const rows = [...state.measurements].reverse().slice(0, MOST_ROWS);
  return (
    <View role="table" aria-label="Measurements" className="gap-1">
      {rows.map((row) => (
        <View
          key={`${row.readingId}-${row.test}`}
          role="row"
          className="flex-row gap-3 border-t border-line py-1"
        >
          <View role="cell" className="w-[64px]">
            <Small className="text-ink">{formatDay(row.day, 'd MMM')}</Small>
          </View>
          <View role="cell" className="w-[110px]">
            <Small className="text-ink">
              {show(row.value)} ({show(row.value - row.sd)} to {show(row.value + row.sd)})
            </Small>
          </View>
          <View role="cell" className="flex-1">
            <Small>{row.why}</Small>
          </View>
        </View>
      ))}
      {state.measurements.length > MOST_ROWS ? (
        <Small>
          {MOST_ROWS} of {state.measurements.length} are shown.
        </Small>
      ) : null}
    </View>
  );
}
