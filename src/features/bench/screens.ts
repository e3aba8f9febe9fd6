/** The screens of the bench in one file, fetched together. */
export { BenchScreen } from './BenchScreen';
export { CardScreen } from './CardScreen';
export { CompareScreen } from './CompareScreen';
export { MakeScreen } from './MakeScreen';
export { RecipeEditor } from './RecipeEditor';
export { EditScreen, RecipeScreen } from './RecipeScreen';
