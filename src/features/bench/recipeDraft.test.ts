import { CATALOGUE_LARDER } from '@/core/recipe/larder';
import type { RecipeDraft } from '@/store';
import { draftOf, EMPTY_RECIPE, versionFromDraft } from './recipeDraft';

const READING = { larder: CATALOGUE_LARDER, cup: 'us' } as const;
const stamp = { id: 'r1', recordedAt: '2026-05-10T10:00:00Z', recipeId: 'r1', version: 1 };
const good: RecipeDraft = { ...EMPTY_RECIPE, name: 'Cream', text: '2 tbsp honey\nblorb\nMix well together' };
const problem = (part: Partial<RecipeDraft>) => {
  const result = versionFromDraft({ ...good, ...part }, stamp, READING);
  return result.ok ? null : result.problems[0];
};

describe('a recipe as typed', () => {
  it('keeps every line, also those that weigh nothing, and comes back as it was typed', () => {
    const version = versionFromDraft(good, stamp, READING);
    expect(version.ok && version.value.lines.map((line) => [line.text, line.ingredientId])).toEqual([
      ['2 tbsp honey', 'honey'],
      ['blorb', null],
      ['Mix well together', null],
    ]);
    expect(version.ok && draftOf(version.value)).toEqual(good);
  });

  it.each([
    [{ text: '' }, 'text', 'no recipe yet'],
    [{ text: 'blorb' }, 'text', 'Not one line'],
    [{ name: ' ' }, 'name', 'needs a name'],
    [{ name: 'x'.repeat(200) }, 'name', ''],
    [{ contactMinutes: 'long' }, 'contactMinutes', 'whole minutes'],
    [{ contactMinutes: '0' }, 'contactMinutes', 'whole minutes'],
    [{ contactMinutes: '' }, 'contactMinutes', 'whole minutes'],
  ])('%j is refused at %s', (part, path, said) => {
    expect(problem(part)?.path).toBe(path);
    expect(problem(part)?.message).toContain(said);
  });
});
