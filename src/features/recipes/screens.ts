/** The screens of *Recipes* in one file, fetched together. */
export { RecipesScreen } from './RecipesScreen';
export { CardScreen } from './CardScreen';
export { CompareScreen } from './CompareScreen';
export { MakeScreen } from './MakeScreen';
export { RecipeEditor } from './RecipeEditor';
export { EditScreen, RecipeScreen } from './RecipeScreen';
