import type { CalendarDay } from '@/core/measures';
import type { RecipeVersion } from '@/core/recipes';
import type { Session } from '@/core/sessions';
import { newStamp } from './stamp';

/** A use of a recipe on a head as the recipe says it; nobody weighed what went on. */
export function sessionOf(
  { recipeId, version, contactMinutes, warmth }: RecipeVersion,
  headId: string,
  day: CalendarDay,
): Session {
  return {
    ...newStamp(),
    kind: 'session',
    headId,
    day,
    recipeId,
    recipeVersion: version,
    contactMinutes,
    warmth,
    grams: null,
    note: '',
  };
}
