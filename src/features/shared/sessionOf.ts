import type { CalendarDay } from '@/core/base/measures';
import { usedVersion } from '@/core/recipe/larder';
import type { RecipeVersion, Session } from '@/core/records/shapes';
import { newStamp } from './stamp';

/** A use of a recipe on a head as the recipe says it; nobody weighed what went on. */
export function sessionOf(recipe: RecipeVersion, headId: string, day: CalendarDay): Session {
  const { contactMinutes, warmth } = recipe;
  return {
    ...newStamp(),
    kind: 'session',
    headId,
    day,
    ...usedVersion(recipe),
    contactMinutes,
    warmth,
    grams: null,
    note: '',
  };
}
