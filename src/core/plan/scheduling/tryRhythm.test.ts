import { addDays } from '../../base/measures';
import { ALL, BALM, FROM as from, problemOf } from '../../lab/testing';
import { searchSchedule } from './schedule';
import { tryRhythm, type TryoutRhythmId } from './tryRhythm';

const problem = problemOf({ history: { recipes: [...ALL, BALM] }, weeks: 12 });
const planned = searchSchedule(problem).drafts[0] ?? [];
const tried = (id: TryoutRhythmId, own?: Parameters<typeof tryRhythm>[4]) => {
  const found = tryRhythm(problem, 0, id, planned, own);
  if (!found) throw new Error(`${id} cannot be tried`);
  return found;
};

describe('a rhythm that is tried', () => {
  it('strong protein every week ends too firm, breaks rules, and says from when on', () => {
    const strong = tried('strong-weekly');
    expect(strong.daysTooFirm).toBeGreaterThan(tried('plan').daysTooFirm + 10);
    expect(strong.overloadFrom).not.toBeNull();
    expect(strong.breaks.some(({ label, times }) => label.includes('strong protein') && times > 5)).toBe(
      true,
    );
  });

  it('moisture alone drifts to the soft side', () => {
    const moisture = tried('moisture-only');
    expect(moisture.days.at(-1)?.mean).toBeLessThan(tried('nothing').days.at(-1)?.mean ?? 0);
    expect(moisture.overloadFrom).toBeNull();
  });

  it('the plan breaks nothing, and is outside the lane for less time than strong protein every week', () => {
    expect(tried('plan').breaks).toEqual([]);
    expect(tried('plan').daysOutside).toBeLessThan(tried('strong-weekly').daysOutside);
  });

  it('one recipe again and again is less sure than the same number of several', () => {
    const one = tried('own', [{ recipeId: 'cream', everyDays: 4 }]);
    const two = tried('own', [
      { recipeId: 'cream', everyDays: 8 },
      { recipeId: 'balm', everyDays: 8 },
    ]);
    expect(one.days.at(-1)?.sd).toBeGreaterThan(two.days.at(-1)?.sd ?? Infinity);
  });

  it('costs nothing and does nothing where nothing is done', () => {
    const nothing = tried('nothing');
    expect([nothing.minutes, nothing.cost, nothing.uses]).toEqual([0, 0, 0]);
    expect(nothing.days[0]?.day).toBe(from);
    expect(nothing.days.at(-1)?.day).toBe(addDays(from, 83));
  });

  it('is not there where no recipe could make it', () => {
    const soft = problemOf({ history: { recipes: [BALM] }, weeks: 2 });
    expect(tryRhythm(soft, 0, 'strong-weekly', [])).toBeNull();
  });
});
