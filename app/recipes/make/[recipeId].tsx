import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const MakeScreen = lazyScreen(async () => (await import('@/rooms')).MakeScreen);

export default function Make() {
  const { recipeId } = useLocalSearchParams<{ recipeId: string }>();
  return <MakeScreen key={recipeId} recipeId={recipeId} />;
}
