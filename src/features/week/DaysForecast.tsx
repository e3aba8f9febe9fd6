import { View } from 'react-native';
import type { TreatmentKind } from '@/core/recipe/classification';
import type { Head } from '@/core/records/shapes';
import { useWidth } from '@/ui';
import { ForecastPicture } from '@/ui/charts/ForecastPicture';
import { forecastZone } from '../shared/forecastPictureOf';
import { MARK_OF_KIND } from '../shared/treatmentWords';

interface DaysForecastProps {
  readonly head: Head;
  readonly days: readonly {
    readonly mean: number;
    readonly sd: number;
    readonly kinds: readonly TreatmentKind[];
  }[];
  readonly height: number;
  readonly domain: readonly [number, number];
  readonly label: string;
}

/** Many days of what is expected, firm is up; each treatment a mark without its strength, because they stand close. */
export function DaysForecast({ head, days, height, domain, label }: DaysForecastProps) {
  const { width, onLayout } = useWidth();
  const step = width / Math.max(1, days.length);
  const along = (index: number) => (index + 0.5) * step;
  return (
    <View onLayout={onLayout} style={{ minHeight: height }}>
      {width > 0 ? (
        <ForecastPicture
          days="across"
          width={width}
          height={height}
          comfortZone={forecastZone(head)}
          domain={domain}
          past={[]}
          ahead={days.map(({ mean, sd }, index) => ({ along: along(index), mean, sd }))}
          marks={days.flatMap(({ mean, kinds }, index) =>
            kinds.map((kind) => ({
              along: along(index),
              mean,
              kind: MARK_OF_KIND[kind],
              strength: 0,
              done: false,
            })),
          )}
          rule={null}
          label={label}
        />
      ) : null}
    </View>
  );
}
