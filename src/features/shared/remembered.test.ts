import { addDays, calendarDay } from '@/core/base/measures';
import { testHead, testRecipe } from '@/core/lab/testing';
import { CATALOGUE_LARDER } from '@/core/recipe/larder';
import { storedRecordSchema, type StoredRecord } from '@/core/records/shapes';
import { dayMeant, NOTHING_REMEMBERED, rememberedRecords, type Remembered } from './remembered';

const today = calendarDay('2026-05-10');
const veil = testRecipe('veil', ['200 ml rice water']);
const told = (changes: Partial<Remembered>, recipe = veil): StoredRecord[] => {
  const remembered = { ...NOTHING_REMEMBERED, ...changes };
  const lastOn = dayMeant(remembered, today);
  if (lastOn === null) throw new Error('a day is meant');
  return rememberedRecords(recipe, testHead(), remembered, lastOn, today);
};

describe('what she remembers of a use', () => {
  it('is one treatment whose day is about right, or exact where she knows it', () => {
    expect(told({ last: 'a-month' })).toMatchObject([{ day: addDays(today, -30), about: true }]);
    const [exact] = told({ last: 'day', day: addDays(today, -9) });
    expect(exact).toMatchObject({ day: addDays(today, -9) });
    expect(exact).not.toHaveProperty('about');
  });

  it('means no day that has not come, or none', () => {
    expect(dayMeant({ last: 'day', day: '' }, today)).toBeNull();
    expect(dayMeant({ last: 'day', day: addDays(today, 1) }, today)).toBeNull();
  });

  it('of a regular one is some of those before it, and her rhythm from the last time on', () => {
    const records = told({ last: 'last-week', often: 'two-weeks' });
    expect(records.map((record) => record.kind)).toEqual([...Array<string>(4).fill('session'), 'rhythm']);
    expect(records.at(-1)).toMatchObject({
      of: { recipeId: 'veil' },
      when: { every: 'days', days: 14 },
      startsOn: addDays(today, -10),
      toldOn: today,
    });
    expect(records.every((record) => storedRecordSchema.safeParse(record).success)).toBe(true);
  });

  it('of which only the sort is known has a rhythm of that sort: there is no recipe to plan', () => {
    const protein = CATALOGUE_LARDER.lastVersion('some-protein');
    expect(protein && told({ often: 'monthly' }, protein).at(-1)).toMatchObject({ of: { sort: 'protein' } });
  });
});
