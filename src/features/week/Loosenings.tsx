import { View } from 'react-native';
import type { Loosening } from '@/core/scheduling';
import { Button } from '@/ui';
import { useFix } from './useFix';
import { useWeek } from './WeekContext';

/** The smallest set of rules that would have to give way, one tap each. */
export function Loosenings({ loosenings }: { loosenings: readonly Loosening[] }) {
  const { head, today } = useWeek();
  const fix = useFix(head, today);
  if (loosenings.length === 0) return null;
  return (
    <View className="items-start gap-2">
      {loosenings.map((loosening) => (
        <Button key={loosening.text} label={loosening.text} onPress={() => fix(loosening)} />
      ))}
    </View>
  );
}
