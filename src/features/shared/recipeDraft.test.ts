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

describe('how a recipe that is typed is made', () => {
  const TOLD = 'Simmer 3 tbsp linseed in 2 cups water for 8 minutes, strain. Stir in a spoon of honey.';
  const saved = (part: Partial<RecipeDraft>, before?: Parameters<typeof versionFromDraft>[3]) => {
    const result = versionFromDraft({ ...good, ...part }, stamp, READING, before);
    if (!result.ok) throw new Error(result.problems[0].message);
    return result.value;
  };

  it('is kept where it is told, and left to be found where it is not', () => {
    expect(saved({ text: TOLD }).method?.every(({ by }) => by === 'told')).toBe(true);
    expect(saved({ text: '2 tbsp honey\n3 tbsp yogurt' }).method).toBeUndefined();
  });

  it('stays as it was put in order by hand as long as the text does', () => {
    const told = saved({ text: TOLD });
    const method = [...(told.method ?? [])].reverse();
    const before = { ...told, method, arranged: true as const };
    expect(saved({ text: TOLD, contactMinutes: '40' }, before)).toMatchObject({ method, arranged: true });
    const changed = saved({ text: `${TOLD} 1 tsp argan oil.` }, before);
    expect(changed.arranged).toBeUndefined();
    expect(changed.method).not.toEqual(method);
  });

  it('keeps her words of an amount, and none where they say another', () => {
    const words = (text: string) => saved({ text }).lines.map(({ told }) => told?.words);
    expect(words('two ripe bananas\na good glug of olive oil')).toEqual([
      'two ripe bananas',
      'a good glug of olive oil',
    ]);
    expect(words('2 eggs, or rather one')).toEqual([undefined]);
    expect(words('about 3/4 of a cup of aloe gel')).toEqual(['about 3/4 of a cup of aloe gel']);
    expect(words('banana (2)')).toEqual([undefined]);
  });
});
