import Svg, { Line, Rect } from 'react-native-svg';
import type { ChallengeWeek } from '@/core/plan/agenda';
import { useTokens } from '@/ui';

const SIZE = 20;
const STEP = 25;
const A_ROW = 13;

/** A square a week: filled where it was kept, crossed where it was missed, hollow ahead. */
export function StreakPicture({ weeks, label }: { weeks: readonly ChallengeWeek[]; label: string }) {
  const tokens = useTokens();
  const rows = Math.ceil(weeks.length / A_ROW);
  return (
    <Svg width={STEP * Math.min(A_ROW, weeks.length)} height={STEP * rows} role="img" aria-label={label}>
      {weeks.map(({ from, state }, index) => {
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
