import Svg, { Circle, Line, Path } from 'react-native-svg';
import { useTokens } from '../theme';
import { blockPath, wavePath } from './Mark';

interface PushBarProps {
  readonly width: number;
  /** 0 to 1 each; 1 reaches the edge of the drawing. */
  readonly firm: number;
  readonly soft: number;
  readonly oil: number;
  readonly label: string;
}

const HEIGHT = 26;
const WAVE_STEP = 7.5;
const LEAST_SHOWN = 0.015;

/** One ingredient's pushes on the axis: waves to the left, a block to the right, a ring in the middle for oil. */
export function PushBar({ width, firm, soft, oil, label }: PushBarProps) {
  const tokens = useTokens();
  const middle = width / 2;
  const reach = middle - 12;
  const y = HEIGHT / 2;
  const waves = soft < LEAST_SHOWN ? 0 : Math.max(1, Math.round((soft * reach) / WAVE_STEP));
  const ring = oil < LEAST_SHOWN ? 0 : 4 + 8 * Math.sqrt(oil);
  const start = ring > 0 ? ring + 4 : 3;
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
      <Line x1={middle} x2={middle} y1={0} y2={HEIGHT} stroke={tokens['soft-ink']} strokeWidth={1.5} />
      {Array.from({ length: waves }, (_, index) => (
        <Path
          key={index}
          d={wavePath(middle - start - 3 - index * WAVE_STEP, y)}
          fill="none"
          stroke={tokens.ink}
          strokeWidth={3}
          strokeLinecap="round"
        />
      ))}
      {firm < LEAST_SHOWN ? null : (
        <Path
          d={blockPath(middle + start, y, Math.max(8, firm * reach))}
          fill={tokens.saffron}
          stroke={tokens.ink}
          strokeWidth={2.5}
          strokeLinejoin="round"
        />
      )}
      {ring === 0 ? null : (
        <Circle cx={middle} cy={y} r={ring} fill="none" stroke={tokens.ink} strokeWidth={2.5} />
      )}
    </Svg>
  );
}
