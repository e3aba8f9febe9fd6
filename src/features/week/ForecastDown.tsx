import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { View } from 'react-native';
import { Small, Strong } from '@/ui';
import { ForecastPicture } from '@/ui/charts/ForecastPicture';
import { THREAD_DOMAIN, forecastZone, forecastPictureOf, type DaySpan } from '../shared/forecastPictureOf';
import type { WeekRow } from '../shared/weekRows';
import { useWeek } from './WeekContext';
import { WeekDay } from './WeekDay';

interface ForecastDownProps {
  readonly rows: readonly WeekRow[];
  readonly label: string;
}

const DATE_WIDTH = 58;
const CHART_WIDTH = 100;
const LEAST_ROW_HEIGHT = 44;

/** The week on a phone: days are rows, the forecast runs down beside them. */
export function ForecastDown({ rows, label }: ForecastDownProps) {
  const { head } = useWeek();
  const [measured, setMeasured] = useState<Readonly<Record<string, DaySpan>>>({});
  const spans = rows.map(
    (row, index): DaySpan =>
      measured[row.day] ?? { start: index * LEAST_ROW_HEIGHT, length: LEAST_ROW_HEIGHT },
  );
  const end = spans.at(-1);
  const height = end ? end.start + end.length : 0;
  const drawing = forecastPictureOf(rows, spans);
  return (
    <View>
      <View className="flex-row pb-1" style={{ paddingLeft: DATE_WIDTH }}>
        <View className="flex-row justify-between" style={{ width: CHART_WIDTH }}>
          <Small>{t`soft`}</Small>
          <Small>{t`firm`}</Small>
        </View>
      </View>
      <View>
        <View className="absolute" style={{ left: DATE_WIDTH, top: 0 }}>
          <ForecastPicture
            days="down"
            width={CHART_WIDTH}
            height={height}
            comfortZone={forecastZone(head)}
            domain={THREAD_DOMAIN}
            {...drawing}
            label={label}
          />
        </View>
        {rows.map((row) => (
          <View
            key={row.day}
            className="flex-row"
            style={{ minHeight: LEAST_ROW_HEIGHT }}
            onLayout={(event) => {
              const { y, height: length } = event.nativeEvent.layout;
              setMeasured((known) => ({ ...known, [row.day]: { start: y, length } }));
            }}
          >
            <View className="pt-3" style={{ width: DATE_WIDTH }}>
              {row.isToday ? (
                <Strong>{t`Today`}</Strong>
              ) : (
                <Small className={row.isFree ? 'text-ink' : ''}>{`${row.weekday} ${row.date}`}</Small>
              )}
            </View>
            <View style={{ width: CHART_WIDTH + 10 }} />
            <View className="flex-1 justify-center py-1">
              <WeekDay row={row} />
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}
