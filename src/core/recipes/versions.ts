import type { RecipeVersion } from './recipe';

/** The newest version of every recipe, in the order in which the recipes were first written down. */
export function newestVersions(versions: readonly RecipeVersion[]): RecipeVersion[] {
  const newest = new Map<string, RecipeVersion>();
  for (const version of versions) {
    const known = newest.get(version.recipeId);
    if (!known || known.version < version.version) newest.set(version.recipeId, version);
  }
  return [...newest.values()];
}
