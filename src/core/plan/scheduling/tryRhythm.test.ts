import { addDays, weekdayOf } from '../../base/measures';
import { ALL, BALM, FROM as from, problemOf } from '../../lab/testing';
import { tryRhythm, type RhythmTryout, type TryoutRhythmId } from './tryRhythm';

const problem = problemOf({ history: { recipes: [...ALL, BALM] }, weeks: 12 });
const known = new Map<string, RhythmTryout>();
const tried = (id: TryoutRhythmId, own?: Parameters<typeof tryRhythm>[3]) => {
  const key = `${id} ${JSON.stringify(own)}`;
  const found = known.get(key) ?? tryRhythm(problem, 0, id, own);
  if (!found) throw new Error(`${id} cannot be tried`);
  known.set(key, found);
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

  it('the plan breaks nothing, and is outside the comfort zone for less time than strong protein every week', () => {
    expect(tried('plan').breaks).toEqual([]);
    expect(tried('plan').daysOutside).toBeLessThan(tried('strong-weekly').daysOutside);
  });

  it('what is not known of a recipe adds up where it is used again and again', () => {
    const often = tried('own', [{ recipeId: 'cream', everyDays: 4 }]);
    const seldom = tried('own', [{ recipeId: 'cream', everyDays: 28 }]);
    expect(often.days.at(-1)?.sd).toBeGreaterThan(seldom.days.at(-1)?.sd ?? Infinity);
  });

  it('is outside the comfort zone for less time the more often the hair is felt', () => {
    const [daily, never] = [tried('plan'), tried('no-check')];
    expect(daily.daysOutside).toBeLessThan(never.daysOutside);
    expect(daily.outsideRange.low).toBeLessThanOrEqual(daily.daysOutside);
    expect(daily.outsideRange.high).toBeGreaterThanOrEqual(daily.daysOutside);
  });

  it('is the same however often it is asked for', () => {
    expect(tryRhythm(problem, 0, 'weekly-check')).toEqual(tried('weekly-check'));
  });

  it('does nothing on days without minutes', () => {
    const { head } = problem.heads[0] as (typeof problem.heads)[number];
    for (const { day, uses } of tried('plan').days)
      if (head.freeMinutes[weekdayOf(day)] === 0) expect(uses).toEqual([]);
  });

  it('counts the days by the comfort zone that is hers', () => {
    const [first] = problem.heads as [(typeof problem.heads)[number]];
    const firmness = { ...first.signals.firmness, comfortZone: { low: -1, high: 1 } };
    const wider = { ...problem, heads: [{ ...first, signals: { ...first.signals, firmness } }] };
    expect(tryRhythm(wider, 0, 'nothing')?.daysOutside).toBeLessThan(tried('nothing').daysOutside);
  });

  it('costs nothing and does nothing where nothing is done', () => {
    const nothing = tried('nothing');
    expect([nothing.minutes, nothing.cost, nothing.uses]).toEqual([0, 0, 0]);
    expect(nothing.days[0]?.day).toBe(from);
    expect(nothing.days.at(-1)?.day).toBe(addDays(from, 83));
  });

  it('is not there where no recipe could make it', () => {
    const soft = problemOf({ history: { recipes: [BALM] }, weeks: 2 });
    expect(tryRhythm(soft, 0, 'strong-weekly')).toBeNull();
  });
});
