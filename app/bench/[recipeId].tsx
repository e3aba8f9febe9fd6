import { useLocalSearchParams } from 'expo-router';
import { RecipeScreen } from '@/features/bench/RecipeScreen';

export default function Recipe() {
  const { recipeId } = useLocalSearchParams<{ recipeId: string }>();
  return <RecipeScreen recipeId={recipeId} />;
}
