export { recordsOfHead } from './headExport';
export { readRecipes, recipeFileSchema, recipesTaken, writeRecipes, type RecipesTaken } from './recipeFile';
