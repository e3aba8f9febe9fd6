import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const Treatment = lazyScreen(async () => (await import('@/rooms')).TreatmentScreen);

export default function CorrectTreatmentRoute() {
  const { sessionId } = useLocalSearchParams<{ sessionId: string }>();
  return <Treatment sessionId={sessionId} />;
}
