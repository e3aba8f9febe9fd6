import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { formatDay, type CalendarDay } from '@/core/base/measures';
import type { SignalState } from '@/core/hair/state';
import { Button, Small } from '@/ui';
import { levelText } from './levelText';

const ROWS_AT_ONCE = 20;

export interface HistoryMark {
  readonly day: CalendarDay;
  readonly text: string;
}

/** Checks, treatments and events of one signal, newest first: the picture as a table. */
export function HistoryTable({ state, marks }: { state: SignalState; marks: readonly HistoryMark[] }) {
  const [shown, setShown] = useState(ROWS_AT_ONCE);
  const show = (value: number) => levelText(state.signal, value);
  const rows = [
    ...state.measurements.map((row) => ({
      day: row.day,
      value: t`${{ value: show(row.value) }} (${{ low: show(row.value - row.sd) }} to ${{ high: show(row.value + row.sd) }})`,
      text: row.off ? t`${{ why: row.why }}; probably a slip, it counted little` : row.why,
    })),
    ...marks.map((mark) => ({ ...mark, value: '' })),
  ].sort((a, b) => (a.day < b.day ? 1 : -1));
  return (
    <View className="gap-1">
      <View role="table" aria-label={t`Checks, treatments and events`} className="gap-1">
        {rows.slice(0, shown).map((row, index) => (
          <View key={index} role="row" className="flex-row gap-3 border-t border-line py-1">
            <View role="cell" className="w-column-xs">
              <Small className="text-ink">{formatDay(row.day, 'd MMM')}</Small>
            </View>
            <View role="cell" className="w-field-m">
              <Small className="text-ink">{row.value}</Small>
            </View>
            <View role="cell" className="flex-1">
              <Small>{row.text}</Small>
            </View>
          </View>
        ))}
      </View>
      {rows.length > shown ? (
        <View className="items-start">
          <Button
            tone="quiet"
            label={t`Show ${{ rowsAtOnce: Math.min(ROWS_AT_ONCE, rows.length - shown) }} more of ${{ count: rows.length }}`}
            onPress={() => setShown(shown + ROWS_AT_ONCE)}
          />
        </View>
      ) : null}
    </View>
  );
}
