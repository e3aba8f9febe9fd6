import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const DaysScreen = lazyScreen(async () => (await import('@/rooms')).DaysScreen);

export default function Days() {
  const { of } = useLocalSearchParams<{ of?: string }>();
  return <DaysScreen key={of ?? ''} recipeId={of} />;
}
