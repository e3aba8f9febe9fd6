import { View } from 'react-native';
import { hairMassGrams, type Head } from '@/core/hair';
import { t } from '@/core/language';
import { measurementsOf, NOTHING_MEASURED, referralOf, type Measured } from '@/core/readings';
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
      {found.length > 0 ? <Heading level={2}>{t`This reading alone says`}</Heading> : null}
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
