import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const EditScreen = lazyScreen(async () => (await import('@/rooms')).EditScreen);

export default function EditRecipe() {
  const { recipeId, text } = useLocalSearchParams<{ recipeId: string; text?: string }>();
  return <EditScreen recipeId={recipeId} text={text} />;
}
