import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const RecipeScreen = lazyScreen(async () => (await import('@/rooms')).RecipeScreen);

export default function Recipe() {
  const { recipeId, known } = useLocalSearchParams<{ recipeId: string; known?: string }>();
  return <RecipeScreen recipeId={recipeId} known={known} />;
}
