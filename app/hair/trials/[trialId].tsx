import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const Trial = lazyScreen(async () => (await import('@/rooms')).TrialScreen);

export default function TrialRoute() {
  const { trialId } = useLocalSearchParams<{ trialId: string }>();
  return <Trial trialId={trialId} />;
}
