import { parsedOf, STAMP, testRecipe, valueOf, weighedOf } from '../../lab/testing';
import type { Ingredient, OwnIngredient, RecipeVersion } from '../../records/shapes';
import { CATALOGUE } from '../ingredients';
import { makeLarder } from './larder';
import { readLines } from './parsedLine';
import { newestVersions, usedVersion } from './versions';
import { checkNoCycle, remainingGrams, weighedLines } from './weighedLine';

const base = CATALOGUE.find(({ id }) => id === 'conditioner')!;
const own = (changes: Partial<Ingredient>): OwnIngredient => ({
  ...STAMP,
  kind: 'ingredient',
  id: `record-${changes.id}`,
  ingredient: { ...base, names: [], ...changes },
  note: '',
});

describe('her own ingredients', () => {
  const larder = makeLarder({ own: [own({ id: 'own-1', name: 'Kiln Street cream' })] });

  it('are read by name like any other, capital letters or not', () => {
    expect(readLines(parsedOf(['3 tbsp kiln street cream'], larder))[0]?.ingredientId).toBe('own-1');
  });

  it('go before the catalogue where the name is the same', () => {
    const mine = makeLarder({ own: [own({ id: 'own-2', name: 'honey' })] });
    expect(readLines(parsedOf(['1 tbsp honey'], mine))[0]?.ingredientId).toBe('own-2');
  });

  it('stay readable in old versions after they are taken back, and cannot be written any more', () => {
    const lines = testRecipe('r', ['100 g kiln street cream'], {}, larder).lines;
    const after = makeLarder({ formerOwn: [own({ id: 'own-1', name: 'Kiln Street cream' })] });
    expect(valueOf(weighedLines(lines, after)).map(({ ingredient }) => ingredient.name)).toEqual([
      'Kiln Street cream',
    ]);
    expect(readLines(parsedOf(['100 g kiln street cream'], after))).toEqual([]);
  });
});

describe('a recipe used as an ingredient', () => {
  const gel = testRecipe('gel', ['20 g linseed, boiled', '300 ml water'], { name: 'Base gel' });
  const larder = makeLarder({ recipes: [gel] });

  it('is taken apart into its own ingredients in the proportion of what it yields', () => {
    const inner = valueOf(weighedLines(gel.lines, larder));
    const yields = inner.reduce((sum, line) => sum + remainingGrams(line), 0);
    const lines = weighedOf([`${yields / 2} g base gel`, '10 g honey'], larder);
    expect(lines.map(({ ingredient }) => ingredient.id)).toEqual(['linseed', 'water', 'honey']);
    expect(lines[0]?.grams).toBeCloseTo(10, 6);
    expect(lines.slice(0, 2).map(({ line, via }) => [line, via])).toEqual([
      [0, ['Base gel']],
      [0, ['Base gel']],
    ]);
  });

  it('keeps the version that was used when a newer one comes', () => {
    const cream = testRecipe('cream', ['100 g base gel'], {}, larder);
    const newer = testRecipe('gel', ['50 g chia, soaked', '300 ml water'], { version: 2, name: 'Base gel' });
    const later = makeLarder({ recipes: [gel, newer, cream] });
    expect(valueOf(weighedLines(cream.lines, later))[0]?.ingredient.id).toBe('linseed');
    expect(weighedOf(['100 g base gel'], later)[0]?.ingredient.id).toBe('chia');
  });

  it('does not change what a catalogue name means', () => {
    const honey = testRecipe('h', ['10 g sugar'], { name: 'Honey' });
    expect(readLines(parsedOf(['1 tbsp honey'], makeLarder({ recipes: [honey] })))[0]?.ingredientId).toBe(
      'honey',
    );
  });

  it('is refused when it would be made of itself, with the way round', () => {
    const cream = testRecipe('cream', ['100 g base gel'], { name: 'Cream' }, larder);
    const both = makeLarder({ recipes: [gel, cream] });
    const closing = readLines(parsedOf(['20 g linseed', '50 g cream'], both));
    const checked = checkNoCycle({ recipeId: 'gel', name: 'Base gel' }, closing, both);
    expect(!checked.ok && checked.problems[0]).toMatchObject({
      code: 'cycle',
      message: expect.stringContaining('Base gel → Cream → Base gel'),
    });
    expect(checkNoCycle({ recipeId: 'mask', name: 'Mask' }, closing, both).ok).toBe(true);
  });

  it('that comes in a file and goes round has a problem, not an endless loop', () => {
    const made = (recipeId: string) => ({
      text: recipeId,
      ingredientId: null,
      preparationId: null,
      grams: 10,
      made: { recipeId, version: 1 },
    });
    const a = { ...testRecipe('a', ['1 g honey']), lines: [made('b')] };
    const b = { ...testRecipe('b', ['1 g honey']), lines: [made('a')] };
    const round = weighedLines(a.lines, makeLarder({ recipes: [a, b] }));
    expect(!round.ok && round.problems[0].message).toContain('b → a → b');
  });
});

describe('the last version of a recipe', () => {
  const [one, two] = [1, 2].map((version) => testRecipe('gel', ['1 tbsp honey'], { version }));
  it('is the newest that counts, and of one that is out, its last', () => {
    if (!one || !two) throw new Error('two versions');
    expect(makeLarder({ recipes: [one, two] }).lastVersion('gel')).toBe(two);
    expect(makeLarder({ recipes: [one], formerRecipes: [two] }).lastVersion('gel')).toBe(one);
    expect(makeLarder({ formerRecipes: [one, two] }).lastVersion('gel')).toBe(two);
    expect(makeLarder({ formerRecipes: [one, two] }).recipes).toEqual([]);
    expect(makeLarder({}).lastVersion('gel')).toBeUndefined();
  });
});

describe('two versions with one number, written in two places', () => {
  const stamps = ['2026-02-01T10:00:00Z', '2026-02-01T11:00:00Z'] as const;
  const second = stamps.map((recordedAt, index) =>
    testRecipe('gel', [`${20 + index} g linseed, boiled`, '300 ml water'], {
      version: 2,
      id: `gel-2-${index}`,
      recordedAt,
    }),
  );
  const [here, there] = second as [(typeof second)[number], (typeof second)[number]];
  const larder = makeLarder({
    recipes: [testRecipe('gel', ['9 g linseed, boiled', '300 ml water']), there, here],
  });

  it('are both kept and told apart, and the later one is the newest', () => {
    expect([here, there].map((each) => larder.versionName(each))).toEqual(['2', '2b']);
    expect(larder.lastVersion('gel')).toBe(there);
    expect(larder.twinsOf(there)).toEqual([here]);
  });

  it('are each found by what used them; by the number alone the first', () => {
    expect([here, there].map((each) => larder.used(usedVersion(each)))).toEqual([here, there]);
    expect(larder.used({ recipeId: 'gel', recipeVersion: 2 })).toBe(here);
    expect(larder.used({ ...usedVersion(there), recipeRecordId: 'gone' })).toBe(here);
  });
});

describe('recipes within recipes, very deep', () => {
  const deep = (levels: number) =>
    makeLarder({
      recipes: Array.from({ length: levels }, (_, level) => ({
        ...testRecipe(`r${level}`, ['20 g honey']),
        lines:
          level === 0
            ? testRecipe('r0', ['20 g honey']).lines
            : [
                {
                  text: 'one more',
                  ingredientId: null,
                  preparationId: null,
                  grams: 20,
                  made: { recipeId: `r${level - 1}`, version: 1 },
                },
              ],
      })),
    });

  it('are taken apart as far as anybody makes them, and refused beyond with what to do', () => {
    const larder = deep(1900);
    const linesOf = (level: number) => larder.recipe(`r${level}`, 1)?.lines ?? [];
    expect(valueOf(weighedLines(linesOf(7), larder))).toHaveLength(1);
    for (const outcome of [
      weighedLines(linesOf(1899), larder),
      checkNoCycle({ recipeId: 'new', name: 'New' }, linesOf(1899), larder),
    ])
      expect(!outcome.ok && outcome.problems[0].message).toContain('recipes within one another');
  });
});

describe('versions', () => {
  it('show the newest of each recipe, in the order of the recipes', () => {
    const version = (recipeId: string, number: number) => ({ recipeId, version: number }) as RecipeVersion;
    const newest = newestVersions([version('a', 1), version('b', 2), version('a', 3), version('b', 1)]);
    expect(newest.map(({ recipeId, version: number }) => `${recipeId}${number}`)).toEqual(['a3', 'b2']);
  });
});
