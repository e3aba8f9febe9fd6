export { recordsOfHead } from './headExport';
export {
  readRecipes,
  recipeFileSchema,
  recipesTaken,
  writeRecipes,
  writeRhythm,
  type RecipesTaken,
} from './recipeFile';
