import { RecipeEditor } from '@/features/bench/RecipeEditor';

export default function NewRecipe() {
  return <RecipeEditor />;
}
