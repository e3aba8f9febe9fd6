import { addDays, countingIds, dayRange, invariant, type CalendarDay } from '../../base/measures';
import { classifyVersion } from '../../recipe/classification';
import { CATALOGUE_LARDER } from '../../recipe/larder';
import { NOTHING_MEASURED, type Head, type RecipeVersion, type StoredRecord } from '../../records/shapes';
import { VirtualHead } from '../simulation';

const DAYS = 5 * 365;
/** Washed on two days of a week. */
const WASH_EVERY = [0, 3] as const;

/**
 * Five years of two washes a week on one head: read with five strands, a count and a mist before, and with five strands when dry; each
 * time another of the recipes; heat once a month. For timing and for tests of what grows with years.
 */
export function fiveYears(head: Head, recipes: readonly RecipeVersion[], today: CalendarDay): StoredRecord[] {
  const newId = countingIds('years');
  const virtual = new VirtualHead(head, {
    seed: 11,
    halfLifeDays: 9,
    restShift: { firmness: -0.2, breakage: 0.2, porosity: 0 },
  });
  const pushes = recipes.map((recipe) => {
    const verdict = classifyVersion(recipe, 'my-hair', CATALOGUE_LARDER);
    invariant(verdict.ok, `${recipe.name} has no verdict`);
    return verdict.value.push;
  });
  let washes = 0;
  return dayRange(addDays(today, -DAYS), DAYS).flatMap((day, index): StoredRecord[] => {
    virtual.passDay();
    const base = () => ({
      id: newId(),
      recordedAt: `${day}T19:00:00Z`,
      headId: head.headId,
      day,
    });
    const weekday = index % 7;
    if (WASH_EVERY.some((wash) => wash + 1 === weekday)) {
      const { strands, feel } = virtual.read(5, null);
      return [{ ...base(), ...NOTHING_MEASURED, kind: 'reading', moment: 'dry', strands, feel }];
    }
    if (index % 30 === 5) {
      virtual.suffer('heat');
      return [{ ...base(), kind: 'event', what: 'heat', note: '' }];
    }
    if (!WASH_EVERY.some((wash) => wash === weekday)) return [];
    const which = (washes++ * 7) % recipes.length;
    const [recipe, push] = [recipes[which], pushes[which]];
    invariant(recipe && push, 'five years need recipes');
    const reading: StoredRecord = { ...base(), ...virtual.read(5, 3), kind: 'reading', moment: 'before' };
    virtual.treat(recipe.recipeId, push, recipe.contactMinutes, recipe.warmth);
    const { recipeId, version: recipeVersion, contactMinutes, warmth } = recipe;
    return [
      reading,
      { ...base(), kind: 'session', recipeId, recipeVersion, contactMinutes, warmth, grams: null, note: '' },
    ];
  });
}
