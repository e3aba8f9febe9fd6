import { router } from 'expo-router';
import { Text, View } from 'react-native';
import type { Head } from '@/core/hair';
import { formatDay } from '@/core/measures';
import { Button, Screen, Small } from '@/ui';
import { HeadPicker } from '../shared/HeadPicker';
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
      over={head.name}
      headline="For a stylist or a doctor"
      reason="One sheet: what was measured, what went on, what the skin did."
    >
      <HeadPicker />
      <View className="flex-row flex-wrap gap-3">
        <Button tone="main" label="Print" onPress={() => window.print()} testID="print" />
        <Button label="Back" onPress={() => router.navigate('/strand/log')} />
      </View>
      <View
        nativeID="print-sheet"
        testID="print-sheet"
        className="max-w-[760px] gap-3 rounded-xl border-2 border-line bg-raised p-5"
      >
        <Text className="font-head text-title text-ink">
          {head.name}, {formatDay(today, 'd MMMM yyyy')}
        </Text>
        {reportOf(head, history, today).map(({ title, lines }) => (
          <View key={title} className="gap-1">
            <Text role="heading" aria-level={2} className="font-strong text-body text-ink">
              {title}
            </Text>
            {lines.map((line) => (
              <Text key={line} className="font-text text-small text-ink">
                {line}
              </Text>
            ))}
          </View>
        ))}
        <Text className="font-text text-small text-ink">
          Measured and written down at home; no diagnosis.
        </Text>
      </View>
      <Small>Nothing is sent anywhere: print it, or show it on the screen.</Small>
    </Screen>
  );
});
