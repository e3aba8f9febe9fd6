import fc from 'fast-check';
import { addDays, calendarDay } from '../../base/measures';
import { testSession } from '../../lab/testing';
import { firstUses, firstUsesTogether } from './firstUses';

const day = calendarDay('2026-03-02');
const on = (recipeId: string, at: number) => testSession(recipeId, addDays(day, at));

describe('first uses', () => {
  it('are the earliest day of each recipe, whatever order they were written down in', () => {
    expect(firstUses([on('b', 9), on('a', 4), on('b', 2), on('a', 12)])).toEqual([
      { recipeId: 'b', day: addDays(day, 2) },
      { recipeId: 'a', day: addDays(day, 4) },
    ]);
  });

  it('within a week of each other stand together, and a week apart they do not', () => {
    const groups = firstUsesTogether([on('a', 0), on('b', 6), on('c', 12), on('d', 19), on('e', 40)]);
    expect(groups.map((group) => group.map(({ recipeId }) => recipeId))).toEqual([['a', 'b', 'c']]);
    expect(firstUsesTogether([on('a', 0), on('a', 1), on('b', 7)])).toEqual([]);
  });

  it('of a recipe that is told from memory there is none: it was used before', () => {
    const told = { ...on('a', 4), about: true as const };
    expect(firstUses([told, on('a', 12), on('b', 5)]).map(({ recipeId }) => recipeId)).toEqual(['b']);
  });

  it('each recipe has one, and groups hold each at most once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.integer({ min: 0, max: 60 }))),
        (uses) => {
          const sessions = uses.map(([recipeId, at]) => on(recipeId, at));
          const first = firstUses(sessions);
          expect(first.map(({ recipeId }) => recipeId).sort()).toEqual(
            [...new Set(uses.map(([recipeId]) => recipeId))].sort(),
          );
          const grouped = firstUsesTogether(sessions).flat();
          expect(new Set(grouped.map(({ recipeId }) => recipeId)).size).toBe(grouped.length);
        },
      ),
    );
  });
});
