export { recordsOfHead } from './headExport';
export { recipeJsonLd, recipeText, textOfJsonLd } from './recipeWords';
export {
  readRecipes,
  recipeFileSchema,
  recipesTaken,
  writeRecipes,
  writeRhythm,
  type RecipesTaken,
} from './recipeFile';
