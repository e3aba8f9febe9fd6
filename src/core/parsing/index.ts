export { tellingWord } from './lineText';
export { parseRecipe } from './parseRecipe';
export { isBalancing, SHARE_TOLERANCE } from './shares';
