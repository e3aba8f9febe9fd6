import { t } from '@lingui/core/macro';
import * as RadioGroup from '@rn-primitives/radio-group';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { feelWords } from '@/core/hair/checks';
import { Small, Strong, useTokens } from '@/ui';

const STEP = { width: 34, height: 64 } as const;
const MIDDLE = 3;

/** A strand as it hangs: limp waves at the soft end, straight and split at the firm one. */
function strandPath(index: number): string {
  const swing = Math.max(0, 11 - 2.6 * index);
  const [x, top, step] = [STEP.width / 2, 4, 14];
  const waves = Array.from(
    { length: 4 },
    (_, wave) =>
      `C${x + swing} ${top + step * wave + 4} ${x - swing} ${top + step * wave + 9} ${x} ${top + step * (wave + 1)}`,
  );
  const splits = index > 4 ? `M${x} ${top + 42}l${3 + index} 9M${x} ${top + 48}l-${2 + index} 8` : '';
  return `M${x} ${top}${waves.join('')}${splits}`;
}

/** Seven steps from gummy to straw on the one axis, soft at the left. */
export function FeelScale({ value, onChange }: { value: number | null; onChange: (feel: number) => void }) {
  const tokens = useTokens();
  return (
    <View className="gap-1">
      <RadioGroup.Root
        aria-label={t`Feel`}
        value={value === null ? undefined : String(value)}
        onValueChange={(text) => onChange(Number(text))}
        className="flex-row flex-wrap gap-1"
        testID="feel-scale"
      >
        {feelWords().map((word, index) => {
          const chosen = value === index - MIDDLE;
          return (
            <RadioGroup.Item
              key={word}
              value={String(index - MIDDLE)}
              aria-label={word}
              className={`min-w-target max-w-column-xs flex-1 items-center rounded-xl border-2 py-2 ${
                chosen
                  ? 'border-ink bg-saffron'
                  : index === MIDDLE
                    ? 'border-line bg-zone'
                    : 'border-line bg-raised'
              }`}
            >
              <Svg width={STEP.width} height={STEP.height} aria-hidden>
                <Path
                  d={strandPath(index)}
                  fill="none"
                  stroke={chosen ? '#221A3A' : tokens.ink}
                  strokeWidth={2.5}
                  strokeLinecap="round"
                />
              </Svg>
            </RadioGroup.Item>
          );
        })}
      </RadioGroup.Root>
      <View className="max-w-note flex-row justify-between" aria-hidden>
        <Small>{t`gummy`}</Small>
        <Small>{t`springy`}</Small>
        <Small>{t`straw`}</Small>
      </View>
      {value === null ? null : <Strong live>{feelWords()[value + MIDDLE] ?? ''}</Strong>}
    </View>
  );
}
