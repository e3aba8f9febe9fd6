import type { RecipeUse, RecipeVersion, UsedVersion } from '../../records/shapes';

/** All that a recipe is used as, what it is first of all leading. */
export function usesOf({ use, alsoAs = [] }: Pick<RecipeVersion, 'use' | 'alsoAs'>): RecipeUse[] {
  return [...new Set([use, ...alsoAs])];
}

/** This version, as what uses it names it. */
export function usedVersion({ recipeId, version, id }: RecipeVersion): Required<UsedVersion> {
  return { recipeId, recipeVersion: version, recipeRecordId: id };
}

/** Of versions with one number the first is called by it alone, the next by it and a letter: 2, 2b, 2c. @param all in the order of writing */
export function versionNames(all: readonly RecipeVersion[]): ReadonlyMap<string, string> {
  const counts = new Map<string, number>();
  const names = new Map<string, string>();
  for (const { id, recipeId, version } of all) {
    if (names.has(id)) continue;
    const key = `${recipeId}/${version}`;
    const before = counts.get(key) ?? 0;
    counts.set(key, before + 1);
    names.set(
      id,
      `${version}${before === 0 ? '' : String.fromCharCode('a'.charCodeAt(0) + Math.min(before, 25))}`,
    );
  }
  return names;
}

/** The newest version of every recipe, in the order in which the recipes were first written down. */
export function newestVersions(versions: readonly RecipeVersion[]): RecipeVersion[] {
  const newest = new Map<string, RecipeVersion>();
  for (const version of versions) {
    const known = newest.get(version.recipeId);
    // Of two with one number the one written later.
    if (!known || known.version <= version.version) newest.set(version.recipeId, version);
  }
  return [...newest.values()];
}
