import { selectRecipes, useAppSelector } from '@/store';
import { NotFound } from '../shared/NotFound';
import { RecipeEditor } from './RecipeEditor';

/** @param text stands in the editor instead of the saved text, when a change was proposed elsewhere */
export function RecipeScreen({ recipeId, text }: { recipeId: string; text?: string | undefined }) {
  const recipe = useAppSelector(selectRecipes).find((known) => known.recipeId === recipeId);
  return recipe ? (
    <RecipeEditor key={`${recipe.id} ${text ?? ''}`} existing={recipe} text={text} />
  ) : (
    <NotFound />
  );
}
