import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import { comfortZoneOf, placeInWords } from '@/core/hair/state';
import { Heading, Small } from '@/ui';
import type { WeekRow } from '../shared/weekRows';
import { useWeek } from './WeekContext';
import { WeekDay } from './WeekDay';

/** The same days in words alone, for who reads better than she looks, and for a screen reader. */
export function PlanList({ rows }: { rows: readonly WeekRow[] }) {
  const comfortZone = comfortZoneOf(useWeek().head, 'firmness');
  return (
    <View role="list" aria-label={t`The days of the plan`} className="gap-4">
      {rows.map((row) => (
        <View key={row.day} role="listitem" className="gap-1 border-b border-line pb-3">
          <Heading level={3}>
            {row.isToday ? t`Today, ` : ''}
            {formatDay(row.day, 'EEEE d MMMM')}
          </Heading>
          <Small>
            {row.isPast
              ? t`It was ${{ place: placeInWords(row, comfortZone) }} in the evening.`
              : t`It should be ${{ place: placeInWords(row, comfortZone) }} in the evening.`}
          </Small>
          <WeekDay row={row} />
        </View>
      ))}
    </View>
  );
}
