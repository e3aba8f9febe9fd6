export type { OwnMeasures, OwnUnit } from './grams';
export { lexiconOf, namesOf } from './lexicon';
export { tellingWord } from './lineText';
export { parseRecipe } from './parseRecipe';
export { withLineSaid } from './replace';
export { recipesIn } from './split';
export { near, RecipeSearch } from './search';
export { isBalancing, SHARE_TOLERANCE } from './shares';
