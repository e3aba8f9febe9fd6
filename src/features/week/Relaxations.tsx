import { View } from 'react-native';
import type { Relaxation } from '@/core/plan/scheduling';
import { Button } from '@/ui';
import { useFix } from './useFix';
import { useWeek } from './WeekContext';

/** The smallest set of rules that would have to give way, one tap each. */
export function Relaxations({ relaxations }: { relaxations: readonly Relaxation[] }) {
  const { head, today } = useWeek();
  const fix = useFix(head, today);
  if (relaxations.length === 0) return null;
  return (
    <View className="items-start gap-2">
      {relaxations.map((relaxation) => (
        <Button key={relaxation.text} label={relaxation.text} onPress={() => fix(relaxation)} />
      ))}
    </View>
  );
}
