import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const LabelScreen = lazyScreen(async () => (await import('@/rooms')).LabelScreen);

export default function Label() {
  const { batchId } = useLocalSearchParams<{ batchId: string }>();
  return <LabelScreen batchId={batchId} />;
}
