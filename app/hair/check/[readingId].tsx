import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const Reading = lazyScreen(async () => (await import('@/rooms')).ReadingScreen);

export default function CorrectReadingRoute() {
  const { readingId } = useLocalSearchParams<{ readingId: string }>();
  return <Reading readingId={readingId} />;
}
