import { View } from 'react-native';
import type { TreatmentKind } from '@/core/recipe/classification';
import type { Head } from '@/core/records/shapes';
import { useWidth } from '@/ui';
import { Thread } from '@/ui/charts/Thread';
import { MARK_OF_KIND } from '../shared/beatWords';
import { threadLane } from '../shared/threadOf';

interface DaysThreadProps {
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
export function DaysThread({ head, days, height, domain, label }: DaysThreadProps) {
  const { width, onLayout } = useWidth();
  const step = width / Math.max(1, days.length);
  const along = (index: number) => (index + 0.5) * step;
  return (
    <View onLayout={onLayout} style={{ minHeight: height }}>
      {width > 0 ? (
        <Thread
          days="across"
          width={width}
          height={height}
          lane={threadLane(head)}
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
