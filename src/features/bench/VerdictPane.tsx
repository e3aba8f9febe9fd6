import { View } from 'react-native';
import { confidenceWord, verdictHeadline, verdictReasons, type Verdict } from '@/core/classification';
import { Body, Heading, Small, Strong } from '@/ui';
import type { Caution } from '@/core/safety';
import { grams, Ledger, Schools } from './Ledger';

/** The verdict in words, the ledger, the schools, the cautions. */
export function VerdictPane({ verdict, cautions }: { verdict: Verdict; cautions: readonly Caution[] }) {
  return (
    <View className="gap-4" testID="verdict">
      <View className="gap-1">
        <Heading level={2} live>
          {verdictHeadline(verdict)}
        </Heading>
        {verdictReasons(verdict).map((reason) => (
          <Body key={reason} className="text-soft-ink">
            {reason}
          </Body>
        ))}
        <Small>
          {capital(confidenceWord(verdict.confidence))} ({Math.round(100 * verdict.confidence)} %) · strength{' '}
          {verdict.strength} of 5 · {grams(verdict.grams)} measured out, {grams(verdict.finishedGrams)} to put
          on
        </Small>
        {verdict.doubts.map((doubt) => (
          <Small key={doubt}>{doubt}</Small>
        ))}
      </View>
      {cautions
        .filter((caution) => caution.level === 'stop')
        .map((caution) => (
          <View key={caution.id} role="alert" className="rounded-2xl border-2 border-danger p-3">
            <Strong>{caution.text}</Strong>
            <Body>{caution.act}</Body>
          </View>
        ))}
      <Ledger verdict={verdict} />
      <Schools verdict={verdict} />
      <Arithmetic verdict={verdict} />
      <View className="gap-2">
        {cautions
          .filter((caution) => caution.level === 'care')
          .map((caution) => (
            <View key={caution.id}>
              <Strong>{caution.text}</Strong>
              <Small>{caution.act}</Small>
            </View>
          ))}
      </View>
    </View>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The loads behind the verdict, per 100 g of finished mask: asked for, so shown. */
function Arithmetic({ verdict }: { verdict: Verdict }) {
  const { loads, push } = verdict;
  const rows = [
    ['Acting protein', `${loads.protein.toFixed(2)} g`],
    ['Tannin', `${loads.tannin.toFixed(2)} g`],
    [
      'Water holders',
      `${loads.humectant.toFixed(1)} g sugars and humectants, ${loads.mucilage.toFixed(2)} g mucilage`,
    ],
    ['Oil', `${(loads.penetratingOil + loads.sealingOil).toFixed(1)} g`],
    ['Push toward firm', `${Math.round(100 * push.firm)} of 100`],
    ['Pull toward soft', `${Math.round(100 * push.soft)} of 100`],
  ] as const;
  return (
    <View className="gap-1" role="table" aria-label="Arithmetic per 100 g of finished mask">
      <Small>Per 100 g of finished mask</Small>
      {rows.map(([name, value]) => (
        <View key={name} role="row" className="flex-row gap-3">
          <View role="cell" className="w-[130px]">
            <Small>{name}</Small>
          </View>
          <View role="cell" className="flex-1">
            <Small className="text-ink">{value}</Small>
          </View>
        </View>
      ))}
    </View>
  );
}
