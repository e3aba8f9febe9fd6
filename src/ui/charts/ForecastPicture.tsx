import { t } from '@lingui/core/macro';
import { area, curveMonotoneX, curveMonotoneY, line } from 'd3-shape';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { Z90 } from '@/core/base/measures';
import { useTokens } from '../theme';
import { linearScale } from './linearScale';
import { Mark, markBox, type MarkKind } from './Mark';
import { placeNames, type Box } from './placeNames';

export interface ForecastPoint {
  /** Centre of the day along the axis of days, pixels. */
  readonly along: number;
  readonly mean: number;
  readonly sd: number;
}

export interface ForecastMark {
  readonly along: number;
  readonly mean: number;
  readonly kind: MarkKind;
  readonly strength: number;
  readonly done: boolean;
  /** Stands beside it where days are columns. */
  readonly name?: string;
}

interface ForecastPictureProps {
  /** "down": days are rows, firm is right. "across": days are columns, firm is up. */
  readonly days: 'down' | 'across';
  readonly width: number;
  readonly height: number;
  /** The comfortable comfort zone, in the signal's units. */
  readonly comfortZone: { readonly low: number; readonly high: number };
  /** What the other axis shows, in the signal's units. */
  readonly domain: readonly [number, number];
  readonly past: readonly ForecastPoint[];
  readonly ahead: readonly ForecastPoint[];
  readonly marks: readonly ForecastMark[];
  /** Where today's rule is drawn, along the axis of days; null for none. */
  readonly rule: number | null;
  readonly label: string;
  /** Under the columns, one each, where nothing else names the days. */
  readonly dayNames?: readonly DayName[];
}

interface DayName {
  readonly text: string;
  readonly isToday: boolean;
}

/** Room under the drawing for the names of days, pixels. */
const DAYS_HEIGHT = 24;

/** Room beside the outermost level for its mark, pixels. */
const EDGE = 24;
/** Half the width of the drawn band, standard deviations: nine times in ten. */
const BAND_SD = Z90;

/** Hair through time: a comfort zone, the forecast with its error band, the fan ahead, and the treatments that push it. */
export function ForecastPicture(props: ForecastPictureProps) {
  const { days, width, comfortZone, domain, past, ahead, marks, rule, label, dayNames } = props;
  const height = dayNames ? props.height - DAYS_HEIGHT : props.height;
  const tokens = useTokens();
  const down = days === 'down';
  const scale = linearScale(domain, down ? [EDGE, width - EDGE] : [height - EDGE, EDGE]);
  const curve = down ? curveMonotoneY : curveMonotoneX;

  const path = line<ForecastPoint>()
    .x((point) => (down ? scale(point.mean) : point.along))
    .y((point) => (down ? point.along : scale(point.mean)))
    .curve(curve);
  const low = (point: ForecastPoint) => scale(point.mean - BAND_SD * point.sd);
  const high = (point: ForecastPoint) => scale(point.mean + BAND_SD * point.sd);
  const band = down
    ? area<ForecastPoint>()
        .x0(low)
        .x1(high)
        .y((point) => point.along)
        .curve(curve)
    : area<ForecastPoint>()
        .y0(low)
        .y1(high)
        .x((point) => point.along)
        .curve(curve);

  const from = scale(comfortZone.low);
  const to = scale(comfortZone.high);
  return (
    <Svg width={width} height={props.height} role="img" aria-label={label}>
      {down ? (
        <Rect x={from} y={0} width={to - from} height={height} fill={tokens.zone} />
      ) : (
        <Rect x={0} y={to} width={width} height={from - to} fill={tokens.zone} />
      )}
      <Path
        d={band([...past]) ?? ''}
        fill={tokens.band}
        stroke={tokens.band}
        strokeWidth={6}
        strokeLinejoin="round"
        opacity={0.75}
      />
      <Path
        d={band([...ahead]) ?? ''}
        fill={tokens.band}
        stroke={tokens.band}
        strokeWidth={6}
        strokeLinejoin="round"
        opacity={0.45}
      />
      {rule === null ? null : down ? (
        <Line x1={0} x2={width} y1={rule} y2={rule} stroke={tokens.rule} strokeWidth={2.5} />
      ) : (
        <Line x1={rule} x2={rule} y1={0} y2={height} stroke={tokens.rule} strokeWidth={2.5} />
      )}
      <Path
        d={path([...past]) ?? ''}
        fill="none"
        stroke={tokens.ink}
        strokeWidth={3.5}
        strokeLinecap="round"
      />
      <Path
        d={path([...ahead]) ?? ''}
        fill="none"
        stroke={tokens.ink}
        strokeWidth={3.5}
        strokeLinecap="round"
        strokeDasharray="0.5 8"
      />
      {down ? null : <AxisWords top={to} bottom={from} x={width - 4} />}
      {marks.map((mark, index) => (
        <Mark
          key={index}
          kind={mark.kind}
          strength={mark.strength}
          done={mark.done}
          firmIs={down ? 'right' : 'up'}
          x={down ? scale(mark.mean) : mark.along}
          y={down ? mark.along : scale(mark.mean)}
          tokens={tokens}
        />
      ))}
      {down ? null : (
        <MarkNames
          marks={marks}
          within={{ left: 0, right: width, top: 0, bottom: height }}
          yOf={scale}
          zone={{ top: to, bottom: from }}
          rule={rule}
        />
      )}
      {dayNames?.map(({ text, isToday }, index) => (
        <SvgText
          key={index}
          x={((index + 0.5) * width) / dayNames.length}
          y={props.height - 6}
          textAnchor="middle"
          fontSize={13}
          fontFamily={isToday ? 'AtkinsonBold' : 'Atkinson'}
          fill={isToday ? tokens.ink : tokens['soft-ink']}
        >
          {text}
        </SvgText>
      ))}
    </Svg>
  );
}

/**
 * What the height means, at the end of the comfort zone, where the forecast is and few marks stand.
 * @param top of the zone, pixels
 */
const axisWords = (top: number, bottom: number) => [
  { y: top - 6, text: t`too firm` },
  { y: top + 15, text: t`comfort zone` },
  { y: bottom + 16, text: t`too soft` },
];

/** Pixels of a letter of these words, about; how high they are. */
const AXIS_LETTER = 6.6;
const AXIS_LINE = 14;

function AxisWords({ top, bottom, x }: { top: number; bottom: number; x: number }) {
  const tokens = useTokens();
  return axisWords(top, bottom).map(({ y, text }) => (
    <SvgText
      key={text}
      x={x}
      y={y}
      textAnchor="end"
      fontSize={13}
      fontFamily="Atkinson"
      fill={tokens['soft-ink']}
    >
      {text}
    </SvgText>
  ));
}

/** Room that names leave beside today's rule, pixels. */
const RULE = 6;

/** Names beside their marks, where they cover least. */
function MarkNames({
  marks,
  within,
  yOf,
  zone,
  rule,
}: {
  readonly marks: readonly ForecastMark[];
  readonly within: Box;
  readonly yOf: (mean: number) => number;
  /** The comfort zone's edges, pixels. */
  readonly zone: { readonly top: number; readonly bottom: number };
  /** Today's rule, pixels from the left. */
  readonly rule: number | null;
}) {
  const tokens = useTokens();
  const boxes = marks.map(({ name, along, mean, kind, strength }) => ({
    name,
    mark: markBox({ kind, strength, x: along, y: yOf(mean) }),
  }));
  const named = boxes.flatMap(({ name, mark }) => (name === undefined ? [] : [{ name, mark }]));
  const others = boxes.flatMap(({ name, mark }) => (name === undefined ? [mark] : []));
  const words = axisWords(zone.top, zone.bottom).map(({ y, text }) => ({
    left: within.right - text.length * AXIS_LETTER,
    right: within.right,
    top: y - AXIS_LINE,
    bottom: y + 2,
  }));
  const ruled = rule === null ? [] : [{ ...within, left: rule - RULE, right: rule + RULE }];
  return placeNames(named, within, [...others, ...words, ...ruled]).map(({ name, x, y }, index) => (
    <SvgText
      key={index}
      x={x}
      y={y}
      fontSize={14}
      fontFamily="AtkinsonBold"
      fill={tokens.ink}
      stroke={tokens.raised}
      strokeWidth={4}
      // The outline lies under the letters, so that they can be read over the band.
      {...{ paintOrder: 'stroke' }}
    >
      {name}
    </SvgText>
  ));
}
