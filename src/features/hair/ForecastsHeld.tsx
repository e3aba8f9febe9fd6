import { plural, t } from '@lingui/core/macro';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { fixed } from '@/core/base/language';
import { Z90 } from '@/core/base/measures';
import { SIGNALS, type HeldForecast, type ForecastsHeld as Held } from '@/core/hair/state';
import { Body, Heading, Small, useTokens, useWidth } from '@/ui';

const HEIGHT = 96;
/** Errors that are drawn above and below; what lies further is drawn at the edge. */
const MOST = 4;
const DOT = 4.5;

/** How what was forecast before each check held: each a dot, within the band or beside it. */
export function ForecastsHeld({ forecasts }: { forecasts: Held }) {
  const { points, held, widenedBy } = forecasts;
  if (points.length === 0) return null;
  return (
    <View className="gap-1" testID="forecasts-held">
      <Heading level={2}>{t`Forecasts that held`}</Heading>
      <Body>
        {t`Of your last ${plural({ of: points.length }, { one: '# forecast', other: '# forecasts' })} ${held} held. They should nine times in ten.`}
      </Body>
      {widenedBy > 1 ? (
        <Body>{t`That’s too seldom, so ranges are shown ${{ times: fixed(widenedBy, 1) }} times as wide.`}</Body>
      ) : null}
      <Dots points={points} held={held} />
      <Small>{t`Oldest at the left. In the band: it held. Above: firmer, more porous or more breakage than forecast.`}</Small>
    </View>
  );
}

function Dots({ points, held }: { points: readonly HeldForecast[]; held: number }) {
  const tokens = useTokens();
  const { width, onLayout } = useWidth();
  const y = (off: number) =>
    HEIGHT / 2 - (Math.max(-MOST, Math.min(MOST, off)) / MOST) * (HEIGHT / 2 - 2 * DOT);
  const x = (index: number) => ((index + 0.5) * width) / points.length;
  return (
    <View onLayout={onLayout} style={{ height: HEIGHT }}>
      {width > 0 ? (
        <Svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={t`${held} of ${{ of: points.length }} within the forecast: ${{ outside: outsideWords(points) }}`}
        >
          <Rect x={0} width={width} y={y(Z90)} height={y(-Z90) - y(Z90)} fill={tokens.zone} />
          <Line x1={0} x2={width} y1={y(0)} y2={y(0)} stroke={tokens.line} strokeWidth={1} />
          {points.map(({ day, signal, off, held: isIn }, index) => (
            <Circle
              key={`${day}-${signal}-${index}`}
              cx={x(index)}
              cy={y(off)}
              r={DOT}
              fill={isIn ? tokens.ink : tokens.raised}
              stroke={tokens.ink}
              strokeWidth={2}
            />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}

function outsideWords(points: readonly HeldForecast[]): string {
  const outside = points.filter(({ held }) => !held);
  if (outside.length === 0) return t`none outside`;
  return outside.map(({ day, signal }) => `${SIGNALS[signal].label} ${day}`).join(', ');
}
