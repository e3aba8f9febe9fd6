import { t } from '@lingui/core/macro';
import * as RadioGroup from '@rn-primitives/radio-group';
import { curveCatmullRom, line } from 'd3-shape';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { BALL_MM, ballWords, SHED_IN_BALL } from '@/core/hair/checks';
import { SHED_BALLS, type ShedBall } from '@/core/records/shapes';
import { Small, useTokens } from '@/ui';

const BOX = 64;

const curl = line<readonly [number, number]>().curve(curveCatmullRom);

/** A loose tangle, a pixel to a millimetre. */
function tangle(width: number): string {
  const points = Array.from({ length: 44 }, (_, index): [number, number] => {
    const angle = 2.4 * index;
    const out = (width / 2) * (0.35 + 0.65 * Math.abs(Math.sin(0.9 * index)));
    return [BOX / 2 + out * Math.cos(angle), BOX / 2 + out * Math.sin(angle)];
  });
  return curl(points) ?? '';
}

interface BallChoiceProps {
  readonly value: ShedBall | null;
  readonly onChange: (size: ShedBall) => void;
}

/** How big the ball of shed hair is: the picture and the thing of the kitchen, and about how many hairs that is. */
export function BallChoice({ value, onChange }: BallChoiceProps) {
  const tokens = useTokens();
  return (
    <View className="gap-1">
      <RadioGroup.Root
        aria-label={t`Size of the ball`}
        value={value ?? undefined}
        onValueChange={(size) => onChange(size as ShedBall)}
        className="flex-row flex-wrap gap-2"
        testID="shed-ball"
      >
        {SHED_BALLS.map((size) => (
          <RadioGroup.Item
            key={size}
            value={size}
            aria-label={t`${{ ball: ballWords()[size] }}, about ${{ count: SHED_IN_BALL[size] }} hairs`}
            className={`min-h-target items-center rounded-xl border-2 px-2 py-1 ${
              value === size ? 'border-ink bg-zone' : 'border-line bg-raised'
            }`}
          >
            <Svg width={BOX} height={BOX} aria-hidden>
              <Path d={tangle(BALL_MM[size])} fill="none" stroke={tokens.ink} strokeWidth={0.8} />
            </Svg>
            <Small className="text-ink">{ballWords()[size]}</Small>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {value === null ? null : (
        <Small live>{t`About ${{ count: SHED_IN_BALL[value] }} hairs, give or take half.`}</Small>
      )}
    </View>
  );
}
