import { t } from '@lingui/core/macro';
import Svg, { Circle, Line, Rect, Text as SvgText } from 'react-native-svg';
import { useTokens } from '../theme';
import { linearScale } from './linearScale';

interface EffectBarProps {
  readonly width: number;
  readonly domain: readonly [number, number];
  readonly mean: number;
  readonly low: number;
  readonly high: number;
  /** What was expected before any use. */
  readonly expected: number;
  readonly label: string;
}

const HEIGHT = 34;
const MIDDLE = 17;
const EDGE = 10;

/** An effect on the one axis, no effect in the middle: its interval, its middle, and hollow what the recipe read as. */
export function EffectBar({ width, domain, mean, low, high, expected, label }: EffectBarProps) {
  const tokens = useTokens();
  const x = linearScale(domain, [EDGE, width - EDGE]);
  return (
    <Svg width={width} height={HEIGHT} role="img" aria-label={label}>
      <Line x1={EDGE} x2={width - EDGE} y1={MIDDLE} y2={MIDDLE} stroke={tokens.line} strokeWidth={1.5} />
      <Line x1={x(0)} x2={x(0)} y1={3} y2={HEIGHT - 3} stroke={tokens['soft-ink']} strokeWidth={1.5} />
      <Rect
        x={x(low)}
        y={MIDDLE - 6}
        width={Math.max(2, x(high) - x(low))}
        height={12}
        rx={3}
        fill={tokens.band}
      />
      <Circle
        cx={x(expected)}
        cy={MIDDLE}
        r={6}
        fill="none"
        stroke={tokens.ink}
        strokeWidth={1.5}
        strokeDasharray="2 2"
      />
      <Circle cx={x(mean)} cy={MIDDLE} r={6} fill={tokens.saffron} stroke={tokens.ink} strokeWidth={2} />
    </Svg>
  );
}

/** The ends of the axis in words, once over all bars. */
export function EffectAxis({ width, left, right }: { width: number; left: string; right: string }) {
  const tokens = useTokens();
  const text = { y: 14, fontSize: 13, fontFamily: 'Atkinson', fill: tokens['soft-ink'] } as const;
  return (
    <Svg width={width} height={20} aria-hidden>
      <SvgText x={EDGE} {...text}>
        {left}
      </SvgText>
      <SvgText x={width / 2} textAnchor="middle" {...text}>{t`no effect`}</SvgText>
      <SvgText x={width - EDGE} textAnchor="end" {...text}>
        {right}
      </SvgText>
    </Svg>
  );
}
