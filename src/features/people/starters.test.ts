import { STAMP, testHead } from '@/core/lab/testing';
import { CATALOGUE_LARDER } from '@/core/recipe/larder';
import { recipeVersionSchema } from '@/core/records/shapes';
import starterList from '../../../data/starters.json';
import { startersFor, suggested } from './starters';

const kinds = (head: ReturnType<typeof testHead>) => {
  const starters = startersFor(head, CATALOGUE_LARDER);
  return suggested(head, starters).map((id) => starters.find((each) => each.id === id)?.verdict.kind);
};

describe('recipes to begin with', () => {
  it('are all understood to the last line, and can be stored', () => {
    const starters = startersFor(testHead(), CATALOGUE_LARDER);
    expect(starters).toHaveLength(starterList.length);
    for (const { version } of starters) {
      expect(version.lines.every(({ ingredientId, grams }) => ingredientId !== null && grams !== null)).toBe(
        true,
      );
      expect(recipeVersionSchema.safeParse({ ...STAMP, id: version.recipeId, ...version }).success).toBe(
        true,
      );
    }
  });

  it('suggest moisture, a light protein and an oil, and no protein where it would harm', () => {
    expect(kinds(testHead({ complaints: ['limp'] }))).toEqual(['moisture', 'protein', 'oil']);
    for (const head of [
      testHead({ complaints: ['stiff'] }),
      testHead({ ageBand: 'child' }),
      testHead({ proteinSensitive: true }),
    ])
      expect(kinds(head)).toEqual(['moisture', 'oil']);
  });

  it('offer no strong protein to anybody on the first day', () => {
    for (const { verdict } of startersFor(testHead(), CATALOGUE_LARDER))
      if (verdict.kind === 'protein') expect(verdict.strength).toBeLessThan(3);
  });

  it('offer nothing that a head reacts to', () => {
    const ids = startersFor(
      testHead({ allergies: ['milk', 'bee-products', 'ragweed-family'] }),
      CATALOGUE_LARDER,
    ).map(({ id }) => id);
    expect(ids).not.toContain('starter-yogurt');
    expect(ids).not.toContain('starter-oat-honey');
    expect(ids).not.toContain('starter-chamomile-mist');
    expect(ids.length).toBeGreaterThan(1);
  });
});
