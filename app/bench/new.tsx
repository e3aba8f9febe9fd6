import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const RecipeEditor = lazyScreen(async () => (await import('@/rooms')).RecipeEditor);

export default function NewRecipe() {
  const { text } = useLocalSearchParams<{ text?: string }>();
  return <RecipeEditor key={text ?? ''} text={text} />;
}
