/** The screens of the pantry in one file, fetched together. */
export { IngredientScreen } from './IngredientScreen';
export { OwnIngredientScreen } from './OwnIngredientScreen';
export { PantryScreen } from './PantryScreen';
