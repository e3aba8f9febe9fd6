import Svg, { Circle, Line, Rect } from 'react-native-svg';
import type { RhythmPeriod } from '@/core/plan/agenda';
import { useTokens } from '@/ui';

const SIZE = 20;
const STEP = 25;
const A_ROW = 13;

/** A square each time: filled where it was kept, crossed where it was missed, hollow ahead, a dot before she told of it. */
export function StreakPicture({ periods, label }: { periods: readonly RhythmPeriod[]; label: string }) {
  const tokens = useTokens();
  const rows = Math.ceil(periods.length / A_ROW);
  return (
    <Svg width={STEP * Math.min(A_ROW, periods.length)} height={STEP * rows} role="img" aria-label={label}>
      {periods.map(({ from, state }, index) => {
        const x = STEP * (index % A_ROW) + 2;
        const y = STEP * Math.floor(index / A_ROW) + 2;
        return [
          <Rect
            key={from}
            x={x}
            y={y}
            width={SIZE}
            height={SIZE}
            rx={4}
            fill={state === 'kept' ? tokens.saffron : tokens.paper}
            stroke={tokens.ink}
            strokeWidth={state === 'ahead' ? 1 : 2}
            strokeDasharray={state === 'open' ? '4 3' : undefined}
          />,
          state === 'before' ? (
            <Circle key={`${from}-before`} cx={x + SIZE / 2} cy={y + SIZE / 2} r={2} fill={tokens.ink} />
          ) : null,
          state === 'missed' ? (
            <Line
              key={`${from}-missed`}
              x1={x + 4}
              y1={y + 4}
              x2={x + SIZE - 4}
              y2={y + SIZE - 4}
              stroke={tokens.ink}
              strokeWidth={2}
            />
          ) : null,
        ];
      })}
    </Svg>
  );
}
