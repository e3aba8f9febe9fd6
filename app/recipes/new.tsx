import { useLocalSearchParams } from 'expo-router';
import { lazyScreen } from '@/features/shared/lazyScreen';

const RecipeEditor = lazyScreen(async () => (await import('@/rooms')).RecipeEditor);

export default function NewRecipe() {
  // Another program that shares a recipe gives a title, too.
  const { title, text: shared } = useLocalSearchParams<{ title?: string; text?: string }>();
  const text = title && shared ? `${title}\n\n${shared}` : (shared ?? title);
  return <RecipeEditor key={text ?? ''} text={text} />;
}
