import { perLanguage } from '@/core/base/language';
import { classifyVersion, type Verdict } from '@/core/recipe/classification';
import type { Larder } from '@/core/recipe/larder';
import type { School, RecipeVersion } from '@/core/records/shapes';

/** With the names of what goes in. */
const verdicts = perLanguage(
  () => new WeakMap<Larder, WeakMap<RecipeVersion, Map<School, Verdict | null>>>(),
);

/** The verdict of a stored version, worked out once as long as the larder is the same; null where it has none. */
export function verdictOf(version: RecipeVersion, school: School, larder: Larder): Verdict | null {
  const known = verdicts();
  const versions = known.get(larder) ?? new WeakMap<RecipeVersion, Map<School, Verdict | null>>();
  known.set(larder, versions);
  const schools = versions.get(version) ?? new Map<School, Verdict | null>();
  versions.set(version, schools);
  const found = schools.get(school);
  if (found !== undefined) return found;
  const result = classifyVersion(version, school, larder);
  const verdict = result.ok ? result.value : null;
  schools.set(school, verdict);
  return verdict;
}
