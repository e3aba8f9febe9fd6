import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const PersonScreen = lazyScreen(async () => (await import('@/rooms')).PersonScreen);

export default function ChangeHead() {
  const { headId } = useLocalSearchParams<{ headId: string }>();
  return <PersonScreen headId={headId} />;
}
