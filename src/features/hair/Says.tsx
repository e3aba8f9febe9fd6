import { t } from '@lingui/core/macro';
import { View } from 'react-native';
import { measurementsOf, referralOf } from '@/core/hair/checks';
import { hairMassGrams } from '@/core/hair/state';
import { NOTHING_MEASURED, type Head, type Measured } from '@/core/records/shapes';
import { Heading, Small, Strong } from '@/ui';
import { Referral } from '../shared/Referral';
import { measurementWords } from './measurementWords';

/** What a reading says as it stands, with the arithmetic. */
export function Says({ head, measured }: { head: Head; measured: Partial<Measured> }) {
  const whole = { ...NOTHING_MEASURED, ...measured };
  const found = measurementsOf(whole, { hairGrams: hairMassGrams(head) });
  const referral = referralOf(whole);
  if (found.length === 0 && referral === null) return null;
  return (
    <View className="gap-3" testID="reading-says">
      {found.length > 0 ? <Heading level={2}>{t`This check alone says`}</Heading> : null}
      {found.map((measurement) => (
        <View key={measurement.test}>
          <Strong>{measurementWords(measurement)}</Strong>
          <Small>{measurement.why}</Small>
        </View>
      ))}
      {referral ? <Referral>{referral}</Referral> : null}
    </View>
  );
}
