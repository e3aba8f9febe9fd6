import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { perLanguage } from '@/core/base/language';
import { NEEDS, type Need } from '@/core/hair/state';
import { Small } from '@/ui';

const needWords = perLanguage((): Record<(typeof NEEDS)[number], string> => ({
  protein: t`protein`,
  moisture: t`moisture`,
  both: t`both, one day`,
  oil: t`oil, to seal`,
  keep: t`keep going`,
}));
/** What is less probable than this is not listed. */
const LEAST = 0.02;

/** How probably each need is the right one, largest first. */
export function NeedBars({ need }: { need: Need }) {
  const rows = NEEDS.map((kind) => ({ kind, chance: need.probabilities[kind] }))
    .filter(({ chance }) => chance >= LEAST)
    .sort((a, b) => b.chance - a.chance);
  return (
    <View role="list" aria-label={t`What it needs, and how likely`} className="gap-1">
      {rows.map(({ kind, chance }) => (
        <View key={kind} role="listitem" className="flex-row items-center gap-3">
          <View className="w-rail">
            <Small className="text-ink">{needWords()[kind]}</Small>
          </View>
          <View className="h-3 flex-1 overflow-hidden rounded-full bg-sunken" aria-hidden>
            <View className="h-3 rounded-full bg-ink" style={{ width: `${Math.round(100 * chance)}%` }} />
          </View>
          <View className="w-11 items-end">
            <Small className="text-ink">{Math.round(100 * chance)} %</Small>
          </View>
        </View>
      ))}
    </View>
  );
}
