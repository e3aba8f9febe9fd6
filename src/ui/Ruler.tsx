import { plural } from '@lingui/core/macro';
import * as Slider from '@radix-ui/react-slider';
import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import { useTokens } from './theme';

interface RulerProps {
  readonly label: string;
  /** Of this screen. */
  readonly pixelsPerMm: number;
  readonly lengthMm: number;
  readonly value: number;
  readonly onChange: (mm: number) => void;
  /** Lengths that were measured before, drawn across. */
  readonly marks: readonly { readonly at: number; readonly text: string }[];
  /** From here on it is better to stop; null for nowhere. */
  readonly stopFrom: number | null;
  readonly testID?: string;
}

const WIDTH = 148;
const SCALE_AT = 96;
/** A fingertip hides the line it holds, so the handle lies beside the scale. */
const HANDLE = { width: 44, height: 36 } as const;

/** A ruler on the screen, from top to bottom, with a line that is drawn by finger, pointer or arrow keys. */
export function Ruler(props: RulerProps) {
  const { label, pixelsPerMm, lengthMm, value, onChange, marks, stopFrom, testID } = props;
  const tokens = useTokens();
  const height = lengthMm * pixelsPerMm;
  const y = (mm: number) => mm * pixelsPerMm;
  return (
    <View style={{ width: WIDTH, height: height + HANDLE.height }} testID={testID}>
      <View style={{ position: 'absolute', left: 0, top: HANDLE.height / 2 }} aria-hidden>
        <Svg width={WIDTH} height={height} style={{ overflow: 'visible' }}>
          <Rect x={0} y={0} width={SCALE_AT} height={height} fill={tokens.raised} stroke={tokens.line} />
          {stopFrom !== null && stopFrom < lengthMm ? (
            <Rect
              x={0}
              y={y(stopFrom)}
              width={SCALE_AT}
              height={height - y(stopFrom)}
              fill={tokens.danger}
              opacity={0.14}
            />
          ) : null}
          {Array.from({ length: lengthMm + 1 }, (_, mm) => (
            <Line
              key={mm}
              x1={SCALE_AT - (mm % 10 === 0 ? 26 : mm % 5 === 0 ? 18 : 11)}
              x2={SCALE_AT}
              y1={y(mm)}
              y2={y(mm)}
              stroke={tokens.ink}
              strokeWidth={mm % 10 === 0 ? 1.8 : 1}
            />
          ))}
          {Array.from({ length: Math.floor(lengthMm / 10) + 1 }, (_, index) => (
            <SvgText
              key={index}
              x={SCALE_AT - 32}
              y={y(index * 10) + 5}
              fontSize={14}
              fontFamily="Atkinson"
              textAnchor="end"
              fill={tokens.ink}
            >
              {index * 10}
            </SvgText>
          ))}
          {marks.map(({ at, text }) => (
            <Line
              key={text}
              x1={0}
              x2={SCALE_AT}
              y1={y(at)}
              y2={y(at)}
              stroke={tokens['soft-ink']}
              strokeWidth={2}
              strokeDasharray="3 4"
            />
          ))}
          <Line
            x1={0}
            x2={WIDTH - HANDLE.width + 6}
            y1={y(value)}
            y2={y(value)}
            stroke={tokens.rule}
            strokeWidth={3}
          />
        </Svg>
      </View>
      <Slider.Root
        className="absolute inset-0 flex touch-none select-none"
        orientation="vertical"
        inverted
        min={0}
        max={lengthMm}
        step={0.5}
        value={[value]}
        onValueChange={([mm]) => mm !== undefined && onChange(mm)}
      >
        <Slider.Track className="h-full w-full" />
        <Slider.Thumb
          aria-label={label}
          aria-valuetext={plural(value, { one: '# millimetre', other: '# millimetres' })}
          className="ml-rail flex h-9 w-11 items-center justify-center rounded-xl border-2 border-ink bg-saffron"
        />
      </Slider.Root>
    </View>
  );
}
