import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { perLanguage } from '@/core/base/language';
import { Small, useTokens, type MarkKind } from '@/ui';
import { Mark } from '@/ui/charts/Mark';

interface Meaning {
  readonly kind: MarkKind;
  /** Where the mark begins in a drawing of its own; in the key, which is narrower, pixels. */
  readonly x: number;
  readonly keyX: number;
  readonly name: string;
  readonly text: string;
}

const marks = perLanguage((): readonly Meaning[] => [
  { kind: 'firm', x: 10, keyX: 11, name: t`protein`, text: t`protein, pushes firm` },
  { kind: 'soft', x: 38, keyX: 26, name: t`moisture`, text: t`moisture, pulls soft` },
  { kind: 'both', x: 28, keyX: 20, name: t`both`, text: t`both` },
  { kind: 'hold', x: 26, keyX: 26, name: t`oil`, text: t`oil, holds` },
  { kind: 'small', x: 26, keyX: 26, name: t`mist`, text: t`mist or refresh` },
]);

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

/** The marks of one picture in a line below it: a word each, only those that stand in it. */
export function MarkKey({ kinds }: { kinds: readonly MarkKind[] }) {
  const tokens = useTokens();
  return (
    <View className="flex-row flex-wrap gap-x-2 px-1 wide:gap-x-4">
      {marks()
        .filter(({ kind }) => kinds.includes(kind))
        .map(({ kind, keyX, name }) => (
          <View key={kind} className="flex-row items-center gap-1">
            <Svg width={KEY.width} height={KEY.height} viewBox={`0 0 ${KEY.box} 28`} aria-hidden>
              <Mark kind={kind} x={keyX} y={14} strength={1} done={false} firmIs="right" tokens={tokens} />
            </Svg>
            <Small>{name}</Small>
          </View>
        ))}
    </View>
  );
}

/** Pixels of a mark in the key, and the width of the drawing that is shown so small. */
const KEY = { width: 29, height: 18, box: 45 } as const;
