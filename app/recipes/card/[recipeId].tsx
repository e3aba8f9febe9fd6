import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const CardScreen = lazyScreen(async () => (await import('@/rooms')).CardScreen);

export default function Card() {
  const { recipeId } = useLocalSearchParams<{ recipeId: string }>();
  return <CardScreen recipeId={recipeId} />;
}
