import { t } from '@lingui/core/macro';
import { useMemo } from 'react';
import { View } from 'react-native';
import type { Head } from '@/core/records/shapes';
import type { HeadAnswer } from '@/store';
import { useWide, useWidth } from '@/ui';
import { ForecastPicture } from '@/ui/charts/ForecastPicture';
import {
  columnSpans,
  THREAD_DOMAIN,
  forecastLabel,
  forecastZone,
  forecastPictureOf,
} from '../shared/forecastPictureOf';
import { MarkKey } from '../shared/MarkLegend';
import { useHistory } from '../shared/useHistory';
import { weekRows } from '../shared/weekRows';

/** Pixels, with the names of the days. */
const HEIGHT = { phone: 176, wide: 330 } as const;

/** The week at a glance: where the hair is, where it goes, and what is planned with its name. */
export function WeekPicture({ head, answer }: { head: Head; answer: HeadAnswer }) {
  const wide = useWide();
  const { width, onLayout } = useWidth();
  const { sessions, larder } = useHistory(head.headId);
  const rows = useMemo(() => weekRows(answer, head, sessions, larder, 0), [answer, head, sessions, larder]);
  const drawing = useMemo(
    () => forecastPictureOf(rows, columnSpans(rows.length, width), true),
    [rows, width],
  );
  const height = wide ? HEIGHT.wide : HEIGHT.phone;
  return (
    <View className="rounded-2xl border border-line bg-raised p-2" testID="week-picture">
      <View onLayout={onLayout} style={{ minHeight: height }}>
        {width > 0 ? (
          <ForecastPicture
            days="across"
            width={width}
            height={height}
            comfortZone={forecastZone(head)}
            domain={THREAD_DOMAIN}
            {...drawing}
            dayNames={rows.map(({ weekday, isToday }) => ({
              text: isToday ? t`Today` : weekday,
              isToday,
            }))}
            label={forecastLabel(head, answer)}
          />
        ) : null}
      </View>
      <MarkKey kinds={drawing.marks.map(({ kind }) => kind)} />
    </View>
  );
}
