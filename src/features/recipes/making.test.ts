import { calendarDay } from '@/core/base/measures';
import { STAMP, testBatch, testHead, testRecipe, testSession, valueOf } from '@/core/lab/testing';
import { makeLarder } from '@/core/recipe/larder';
import type { Head, StoredRecord } from '@/core/records/shapes';
import { usedGramsByHead } from '../shared/usedGrams';
import { makingOf } from './makingOf';
import { recipeCard } from './recipeCard';

describe('a making', () => {
  const recipe = testRecipe('bowl', ['1 banana', '2 tbsp honey', '100 ml water', 'stir']);
  const larder = makeLarder({ recipes: [recipe] });
  const made = (factor: number) => valueOf(makingOf(recipe, factor, larder, new Map(), 'my-hair'));

  it('is the same recipe in any size', () => {
    expect(made(3).finishedGrams).toBeCloseTo(3 * made(1).finishedGrams, 6);
    expect(made(3).verdict.strength).toBe(made(1).verdict.strength);
    expect(made(3).lines.map(({ grams }) => grams)).toEqual(
      recipe.lines.map(({ grams }) => (grams === null ? null : grams * 3)),
    );
  });

  it('has a problem, not a screen that breaks, when nothing weighs', () => {
    const empty = testRecipe('notes', ['stir well and wait']);
    expect(makingOf(empty, 1, larder, new Map(), 'my-hair').ok).toBe(false);
  });
});

describe('what really went on a head', () => {
  const mask = testRecipe('mask', ['1 banana', '2 tbsp honey']);
  const oil = testRecipe('oil', ['50 g coconut oil']);
  const larder = makeLarder({ recipes: [mask, oil] });
  const batch = (batchId: string, recipeId: string, portionGrams: number) =>
    testBatch(recipeId, calendarDay('2026-01-02'), { batchId, portions: 4, portionGrams });
  const used = (id: string, batchId: string, headId: string, portions: number): StoredRecord => ({
    ...STAMP,
    kind: 'batch-event',
    id,
    batchId,
    day: '2026-01-03' as never,
    what: 'used',
    portions,
    place: null,
    headId,
    reason: '',
  });
  const records = [
    batch('m', 'mask', 100),
    batch('o', 'oil', 20),
    used('u1', 'm', 'ada', 1.5),
    used('u2', 'm', 'bo', 1),
    used('u3', 'o', 'ada', 0.5),
  ];

  it('is learned for each head, and for masks and oils apart', () => {
    expect(Object.fromEntries(usedGramsByHead(records, larder, false))).toEqual({ ada: [150], bo: [100] });
    expect(Object.fromEntries(usedGramsByHead(records, larder, true))).toEqual({ ada: [10] });
  });

  it('counts what was weighed on a wash day too, and a portion from the shelf only once', () => {
    const washed = (recipeId: string, day: string, grams: number | null) => ({
      ...testSession(recipeId, day as never, { grams }),
      headId: 'ada',
      id: `${recipeId}${day}`,
    });
    const all = [
      ...records,
      washed('mask', '2026-01-03', 150),
      washed('mask', '2026-01-09', 80),
      washed('mask', '2026-01-12', null),
    ];
    expect(Object.fromEntries(usedGramsByHead(all, larder, false))).toEqual({ ada: [150, 80], bo: [100] });
  });
});

describe('a recipe on a card', () => {
  const recipe = testRecipe(
    'bowl',
    ['4 tbsp linseed, boiled, strained', '300 ml water', '2 tbsp honey', '2 egg yolks'],
    { warmth: 'warm', contactMinutes: 45 },
  );
  const larder = makeLarder({ recipes: [recipe] });
  const card = (head?: Head, hasScale = false) =>
    recipeCard(valueOf(makingOf(recipe, 1, larder, new Map(), 'my-hair')), larder, { head, hasScale });
  const part = (title: string, parts = card()) =>
    parts.find((each) => each.title.startsWith(title))?.lines.join('\n') ?? '';

  it('says what it is, how it is made with the amounts in it, and how long it keeps', () => {
    expect(card()[0]?.lines[0]).toBe('mask, 45 min on, warm under a cap.');
    expect(part('Making')).toMatch(/stir in .*2 tbsp honey/i);
    expect(part('Making', card(undefined, true))).toMatch(/\d+ g honey/);
    // Once: no second list that could say something else.
    expect(card().filter(({ lines }) => lines.join(' ').includes('honey'))).toHaveLength(1);
    expect(part('Making')).toMatch(/fine cloth/);
    // The egg decides.
    expect(part('How it keeps')).toMatch(/fridge: .*because of .*egg/i);
  });

  it('minds what this head reacts to', () => {
    expect(part('Mind')).not.toContain('There is a reaction to');
    expect(part('Mind', card(testHead({ allergies: ['egg'] })))).toContain('There is a reaction to');
  });
});
