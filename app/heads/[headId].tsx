import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const HeadScreen = lazyScreen(async () => (await import('@/rooms')).HeadScreen);

export default function ChangeHead() {
  const { headId } = useLocalSearchParams<{ headId: string }>();
  return <HeadScreen headId={headId} />;
}
