import { t } from '@lingui/core/macro';
import { router } from 'expo-router';
import { View } from 'react-native';
import { formatDay } from '@/core/base/measures';
import type { Head } from '@/core/records/shapes';
import { Button, Screen, Small } from '@/ui';
import { PrintSheet } from '../shared/PrintSheet';
import { useHistory } from '../shared/useHistory';
import { useToday } from '../shared/useToday';
import { withHead } from './FlowScreen';
import { reportOf } from './report';

/** One sheet for a stylist or a doctor: everything else on the page stays off the paper. */
export const ReportScreen = withHead(function Report({ head }: { head: Head }) {
  const history = useHistory(head.headId);
  const today = useToday();
  return (
    <Screen
      ofPerson
      headline={t`For a stylist or a doctor`}
      reason={t`One sheet: what was measured, what went on, what the skin did.`}
    >
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label={t`Print`} onPress={() => window.print()} testID="print" />
        <Button label={t`Back`} onPress={() => router.navigate('/hair/log')} />
      </View>
      <PrintSheet
        long
        title={`${head.name}, ${formatDay(today, 'd MMMM yyyy')}`}
        parts={reportOf(head, history, today)}
        foot={t`Measured and logged at home; no diagnosis.`}
      />
      <Small>{t`Nothing is sent anywhere: print it, or show it on the screen.`}</Small>
    </Screen>
  );
});
