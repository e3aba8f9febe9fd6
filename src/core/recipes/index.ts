export { RECIPE_LIMITS } from './limits';
export { parseRecipe } from './parseRecipe';
export {
  readLines,
  unreadLines,
  type Assumption,
  type ParsedLine,
  type ParsedRecipe,
  type ReadLine,
  type UnreadLine,
} from './parsedLine';
export { recipeVersionSchema, savedLine, type RecipeVersion } from './recipe';
export { newestVersions } from './versions';
export { stepsBefore, type LeadTask } from './leadTasks';
