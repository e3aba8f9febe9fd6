import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTokens } from '../theme';

export interface ChartPoint {
  /** Days from the left edge of the chart. */
  readonly at: number;
  readonly mean: number;
  readonly sd: number;
}

interface SignalChartProps {
  readonly width: number;
  readonly height: number;
  readonly lastDay: number;
  readonly domain: readonly [number, number];
  readonly lane: { readonly low: number | null; readonly high: number | null };
  readonly path: readonly ChartPoint[];
  readonly measurements: readonly ChartPoint[];
  /** Days on which something was done. */
  readonly ticks: readonly number[];
  /** Marks of the value axis, in the signal's units, with what is written beside them. */
  readonly values: readonly { readonly value: number; readonly text: string }[];
  readonly days: readonly { readonly at: number; readonly text: string }[];
  readonly label: string;
}

const EDGE = { left: 44, right: 8, top: 8, bottom: 22 } as const;

/** A signal through time: lane, level with its band, each reading with its own error, ticks for treatments. */
export function SignalChart(props: SignalChartProps) {
  const { width, height, lastDay, domain, lane, path, measurements, ticks, values, days, label } = props;
  const tokens = useTokens();
  const x = scaleLinear()
    .domain([0, lastDay])
    .range([EDGE.left, width - EDGE.right]);
  const y = scaleLinear()
    .domain([...domain])
    .range([height - EDGE.bottom, EDGE.top])
    .clamp(true);
  const level = line<ChartPoint>()
    .x((point) => x(point.at))
    .y((point) => y(point.mean))
    .curve(curveMonotoneX);
  const band = area<ChartPoint>()
    .x((point) => x(point.at))
    .y0((point) => y(point.mean - point.sd))
    .y1((point) => y(point.mean + point.sd))
    .curve(curveMonotoneX);
  const top = y(lane.high ?? domain[1]);
  const bottom = y(lane.low ?? domain[0]);
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      <Rect
        x={EDGE.left}
        y={top}
        width={width - EDGE.left - EDGE.right}
        height={Math.max(0, bottom - top)}
        fill={tokens.lane}
      />
      {values.map(({ value, text }) => (
        <SvgText
          key={text}
          x={EDGE.left - 6}
          y={y(value) + 4}
          fontSize={12}
          fontFamily="Atkinson"
          textAnchor="end"
          fill={tokens['soft-ink']}
        >
          {text}
        </SvgText>
      ))}
      {days.map(({ at, text }) => (
        <SvgText
          key={at}
          x={x(at)}
          y={height - 5}
          fontSize={12}
          fontFamily="Atkinson"
          textAnchor={at < lastDay / 2 ? 'start' : 'end'}
          fill={tokens['soft-ink']}
        >
          {text}
        </SvgText>
      ))}
      <Path d={band([...path]) ?? ''} fill={tokens.band} opacity={0.6} />
      <Path
        d={level([...path]) ?? ''}
        fill="none"
        stroke={tokens.ink}
        strokeWidth={3}
        strokeLinejoin="round"
      />
      {measurements.map((point, index) => (
        <Line
          key={`error-${index}`}
          x1={x(point.at)}
          x2={x(point.at)}
          y1={y(point.mean - point.sd)}
          y2={y(point.mean + point.sd)}
          stroke={tokens['soft-ink']}
          strokeWidth={1.5}
        />
      ))}
      {measurements.map((point, index) => (
        <Circle
          key={index}
          cx={x(point.at)}
          cy={y(point.mean)}
          r={3.5}
          fill={tokens.saffron}
          stroke={tokens.ink}
          strokeWidth={1.5}
        />
      ))}
      {ticks.map((at, index) => (
        <Line
          key={`tick-${index}`}
          x1={x(at)}
          x2={x(at)}
          y1={height - EDGE.bottom - 7}
          y2={height - EDGE.bottom}
          stroke={tokens.ink}
          strokeWidth={2}
        />
      ))}
    </Svg>
  );
}
