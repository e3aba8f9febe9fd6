export { MADE_GRAMS_PER_ML, RECIPE_LIMITS } from './limits';
export {
  readLines,
  unreadLines,
  type Alternative,
  type Assumption,
  type MadeRef,
  type ParsedLine,
  type ParsedRecipe,
  type ReadLine,
  type UnreadLine,
} from './parsedLine';
export { CATALOGUE_LARDER, makeLarder, type Larder, type LarderItem } from './larder';
export {
  checkNoCycle,
  failedDepth,
  partGrams,
  remainingGrams,
  surviving,
  usualLine,
  weighedLines,
  type WeighedLine,
} from './weighedLine';
export {
  RECIPE_USES,
  recipeVersionSchema,
  savedLine,
  type RecipeUse,
  type RecipeVersion,
  type SavedLine,
} from './recipe';
export { newestVersions, usedVersion, usedVersionShape, type UsedVersion } from './versions';
export { stepsBefore, type LeadTask } from './leadTasks';
export { compareLines, type ComparedPart } from './compare';
