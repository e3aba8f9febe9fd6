import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import {
  schoolWords,
  kindLabels,
  strengthWord,
  type LedgerRow,
  type Verdict,
} from '@/core/recipe/classification';
import { SCHOOLS } from '@/core/records/shapes';
import { Body, Small, Strong, useWidth } from '@/ui';
import { PushBar } from '@/ui/charts/PushBar';
import { grams } from '../shared/amounts';

/** Which ingredient brings how much: one row each, on the axis from soft to firm. */
export function Ledger({ verdict }: { verdict: Verdict }) {
  const { width, onLayout } = useWidth();
  // The whole of the stronger side reaches the edge, so that the rows can be told apart.
  const scale = 1 / Math.max(verdict.push.firm, verdict.push.soft, LEAST_FULL_PUSH);
  return (
    <View onLayout={onLayout} className="gap-1">
      <AxisEnds />
      <View>
        <View className="absolute bottom-0 left-1/2 top-0 -ml-4.5 w-9 bg-zone" />
        {verdict.ledger.map((row, index) => (
          <LedgerLine key={index} row={row} width={width} scale={scale} />
        ))}
      </View>
    </View>
  );
}

/** The axis in words, once over what stands on it. */
export function AxisEnds() {
  return (
    <View className="flex-row justify-between">
      <Small>{t`softens`}</Small>
      <Small>{t`firms`}</Small>
    </View>
  );
}

function LedgerLine({ row, width, scale }: { row: LedgerRow; width: number; scale: number }) {
  const { firm, soft, oil } = row.push;
  const says = ledgerWords(row);
  return (
    <View className="pb-2">
      <View className="flex-row justify-between gap-4">
        <Strong className="flex-1">{row.name}</Strong>
        <Body>{grams(row.grams)}</Body>
      </View>
      {width > 0 ? (
        <PushBar width={width} firm={firm * scale} soft={soft * scale} oil={oil} label={says} />
      ) : null}
      <Small>{says}</Small>
    </View>
  );
}

/** A weak recipe is not drawn as a strong one. */
const LEAST_FULL_PUSH = 0.3;
const WORTH_SAYING = 0.02;

/** "62 % of the softening, 8 % of the firming". */
function ledgerWords(row: LedgerRow): string {
  const oil = row.push.oil;
  const parts = [
    { share: row.shares.soft, of: t`softening` },
    { share: row.shares.firm, of: t`firming` },
  ]
    .filter(({ share }) => share >= WORTH_SAYING)
    .map(({ share, of }) => t`${{ share: Math.round(100 * share) }} % of the ${of}`);
  if (oil >= WORTH_SAYING) parts.push(t`oil`);
  return parts.length > 0 ? parts.join(', ') : t`adds next to nothing`;
}

/** The three schools side by side, the one in force marked by a rule and by word. */
export function Schools({ verdict }: { verdict: Verdict }) {
  return (
    <View className="flex-row gap-3" role="list" aria-label={t`Verdict by view of protein`}>
      {SCHOOLS.map((school) => {
        const inForce = school === verdict.school;
        const { kind, strength } = verdict.schools[school];
        return (
          <View
            key={school}
            role="listitem"
            className={`flex-1 border-t-4 pt-2 ${inForce ? 'border-rule' : 'border-line'}`}
          >
            <Small>
              {schoolWords()[school].label}
              {inForce ? t`, yours` : ''}
            </Small>
            <Strong>{kindLabels()[kind]}</Strong>
            <Small>{strengthWord(strength)}</Small>
          </View>
        );
      })}
    </View>
  );
}
