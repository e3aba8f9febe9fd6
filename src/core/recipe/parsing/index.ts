export { tellingWord } from './lineText';
export { parseRecipe } from './parseRecipe';
export { near, RecipeSearch } from './search';
export { isBalancing, SHARE_TOLERANCE } from './shares';
