import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { perLanguage } from '@/core/base/language';
import { Small, useTokens, type MarkKind } from '@/ui';
import { Mark } from '@/ui/charts/Mark';

const marks = perLanguage(
  (): readonly { readonly kind: MarkKind; readonly x: number; readonly text: string }[] => [
    { kind: 'firm', x: 10, text: t`protein, pushes firm` },
    { kind: 'soft', x: 38, text: t`moisture, pulls soft` },
    { kind: 'both', x: 28, text: t`both` },
    { kind: 'hold', x: 26, text: t`oil, holds` },
    { kind: 'small', x: 26, text: t`mist or refresh` },
  ],
);

/** What each mark means; hollow is planned, filled is done. */
export function MarkLegend() {
  const tokens = useTokens();
  return (
    <View className="flex-row flex-wrap gap-x-6 gap-y-2">
      {marks().map(({ kind, x, text }) => (
        <View key={kind} className="flex-row items-center gap-2">
          <Svg width={58} height={28} aria-hidden>
            <Mark kind={kind} x={x} y={14} strength={2} done firmIs="right" tokens={tokens} />
          </Svg>
          <Small className="text-ink">{text}</Small>
        </View>
      ))}
      <Small>{t`Hollow is planned, filled is done.`}</Small>
    </View>
  );
}

const names = perLanguage((): Record<MarkKind, string> => ({
  firm: t`protein`,
  soft: t`moisture`,
  both: t`both`,
  hold: t`oil`,
  small: t`mist`,
}));

/** The marks of one picture in a line below it: a word each, only those that stand in it. */
export function MarkKey({ kinds }: { kinds: readonly MarkKind[] }) {
  const tokens = useTokens();
  return (
    <View className="flex-row flex-wrap gap-x-2 px-1 wide:gap-x-4">
      {marks()
        .filter(({ kind }) => kinds.includes(kind))
        .map(({ kind }) => (
          <View key={kind} className="flex-row items-center gap-1">
            <Svg width={KEY.width} height={KEY.height} viewBox={`0 0 ${KEY.box} 28`} aria-hidden>
              <Mark
                kind={kind}
                x={KEY.x[kind]}
                y={14}
                strength={1}
                done={false}
                firmIs="right"
                tokens={tokens}
              />
            </Svg>
            <Small>{names()[kind]}</Small>
          </View>
        ))}
    </View>
  );
}

/** Pixels of a mark in the key; where each begins within the width of the widest. */
const KEY = {
  width: 29,
  height: 18,
  box: 45,
  x: { firm: 11, soft: 26, both: 20, hold: 26, small: 26 },
} as const;
