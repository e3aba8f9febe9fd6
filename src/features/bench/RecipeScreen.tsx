import { selectRecipes, useAppSelector } from '@/store';
import { NotFound } from '../shared/NotFound';
import { RecipeEditor } from './RecipeEditor';

export function RecipeScreen({ recipeId }: { recipeId: string }) {
  const recipe = useAppSelector(selectRecipes).find((known) => known.recipeId === recipeId);
  return recipe ? <RecipeEditor key={recipe.id} existing={recipe} /> : <NotFound />;
}
