import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const IngredientScreen = lazyScreen(async () => (await import('@/rooms')).IngredientScreen);

export default function OneIngredient() {
  const { ingredientId } = useLocalSearchParams<{ ingredientId: string }>();
  return <IngredientScreen key={ingredientId} ingredientId={ingredientId} />;
}
