import { area, curveMonotoneX, line } from 'd3-shape';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTokens, type TokenName } from '../theme';
import { linearScale } from './linearScale';

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
  readonly comfortZone: { readonly low: number | null; readonly high: number | null };
  readonly path: readonly ChartPoint[];
  /** What may come if nothing is done, from the end of the path on. */
  readonly ahead: readonly ChartPoint[];
  readonly measurements: readonly (ChartPoint & { readonly off: boolean })[];
  /** Days on which a treatment was done. */
  readonly treatments: readonly number[];
  /** Days on which something else happened. */
  readonly events: readonly number[];
  /** Marks of the value axis, in the signal's units, with what is written beside them. */
  readonly values: readonly { readonly value: number; readonly text: string }[];
  readonly days: readonly { readonly at: number; readonly text: string }[];
  readonly label: string;
}

const EDGE = { left: 44, right: 8, top: 8, bottom: 44 } as const;

/**
 * A signal through time: comfort zone, level with its band, the fan ahead, each reading with its own error (hollow where it was probably a slip),
 * blocks for treatments and diamonds for events.
 */
export function SignalChart(props: SignalChartProps) {
  const { width, height, lastDay, domain, comfortZone, path, ahead, measurements, values, days, label } =
    props;
  const tokens = useTokens();
  const x = linearScale([0, lastDay], [EDGE.left, width - EDGE.right]);
  const y = linearScale(domain, [height - EDGE.bottom, EDGE.top]);
  const level = line<ChartPoint>()
    .x((point) => x(point.at))
    .y((point) => y(point.mean))
    .curve(curveMonotoneX);
  const band = area<ChartPoint>()
    .x((point) => x(point.at))
    .y0((point) => y(point.mean - point.sd))
    .y1((point) => y(point.mean + point.sd))
    .curve(curveMonotoneX);
  const top = y(comfortZone.high ?? domain[1]);
  const bottom = y(comfortZone.low ?? domain[0]);
  const now = path.at(-1);
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      <Rect
        x={EDGE.left}
        y={top}
        width={width - EDGE.left - EDGE.right}
        height={Math.max(0, bottom - top)}
        fill={tokens.zone}
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
          textAnchor={at < lastDay / 3 ? 'start' : at < (2 * lastDay) / 3 ? 'middle' : 'end'}
          fill={tokens['soft-ink']}
        >
          {text}
        </SvgText>
      ))}
      <Path d={band([...path]) ?? ''} fill={tokens.band} opacity={0.6} />
      {now && ahead.length > 0 ? (
        <>
          <Path d={band([now, ...ahead]) ?? ''} fill={tokens.band} opacity={0.35} />
          <Path
            d={level([now, ...ahead]) ?? ''}
            fill="none"
            stroke={tokens.ink}
            strokeWidth={3}
            strokeLinecap="round"
            strokeDasharray="0.5 7"
          />
          <Line
            x1={x(now.at)}
            x2={x(now.at)}
            y1={EDGE.top}
            y2={height - EDGE.bottom}
            stroke={tokens.rule}
            strokeWidth={2}
          />
        </>
      ) : null}
      <Path
        d={level([...path]) ?? ''}
        fill="none"
        stroke={tokens.ink}
        strokeWidth={3}
        strokeLinejoin="round"
      />
      <Readings {...{ measurements, x, y, tokens }} />
      <Underline {...{ ...props, x, y: height - EDGE.bottom + 9, tokens }} />
    </Svg>
  );
}

type Scale = (value: number) => number;
type Tokens = Readonly<Record<TokenName, string>>;

function Readings({
  measurements,
  x,
  y,
  tokens,
}: Pick<SignalChartProps, 'measurements'> & { x: Scale; y: Scale; tokens: Tokens }) {
  return (
    <>
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
          fill={point.off ? tokens.paper : tokens.saffron}
          stroke={tokens.ink}
          strokeWidth={1.5}
          strokeDasharray={point.off ? '1.5 2' : undefined}
        />
      ))}
    </>
  );
}

/** Events have a row of their own, so that weeks of both stay legible. */
const EVENTS_BELOW = 4;

/** What was done and what happened, under the picture. */
function Underline({
  treatments,
  events,
  x,
  y,
  tokens,
}: Pick<SignalChartProps, 'treatments' | 'events'> & { x: Scale; y: number; tokens: Tokens }) {
  return (
    <>
      {treatments.map((at, index) => (
        <Rect key={`treatment-${index}`} x={x(at) - 2} y={y - 7} width={4} height={9} fill={tokens.ink} />
      ))}
      {events.map((at, index) => (
        <G key={`event-${index}`}>
          <Path
            d={`M${x(at)} ${y + EVENTS_BELOW}l4 4.5l-4 4.5l-4 -4.5z`}
            fill={tokens.paper}
            stroke={tokens.accent}
            strokeWidth={1.5}
          />
        </G>
      ))}
    </>
  );
}
