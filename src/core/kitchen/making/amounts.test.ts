import fc from 'fast-check';
import { invariant, sum } from '../../base/measures';
import { parsedOf, testRecipe, valueOf, verdictOf, weighedOf } from '../../lab/testing';
import { CATALOGUE, ingredientById, usualPreparation } from '../../recipe/ingredients';
import { CATALOGUE_LARDER, readLines } from '../../recipe/larder';
import { densityOf } from '../formulation';
import { errorText, fractionText, spoonable, weighable } from './kitchenAmount';
import { withReplaced } from './replaced';
import { percentsOf, scaledLines, scaleFactor, type ScaleTarget } from './scale';
import { rewriteIn } from './views';

const honey = ingredientById('honey');
const egg = ingredientById('egg');
invariant(honey && egg, 'the catalogue has honey and eggs');

describe('amounts that a kitchen can measure', () => {
  it.each([
    [21.3, '1 tbsp'],
    [7.1, '1 tsp'],
    [42.6, '2 tbsp'],
    [28.4, '1 tbsp + 1 tsp'],
    [341, '1 cup'],
    [3.55, '½ tsp'],
    [0.28, '4 drops'],
  ])('%d g of honey is %s', (grams, text) => {
    expect(spoonable(grams, honey, null).text).toBe(text);
  });

  it('counts in pieces what comes in pieces, when that is near enough', () => {
    expect(spoonable(100, egg, null).text).toBe('2 medium');
    expect(spoonable(5, egg, null).text).not.toContain('medium');
  });

  it.each([
    [0.04, '0.1 g'],
    [3.26, '3.3 g'],
    [12.3, '12.5 g'],
    [151.4, '151 g'],
  ])('a scale shows %d g as %s', (grams, text) => {
    expect(weighable(grams).text).toBe(text);
  });

  it('are never nothing, and say how far they miss', () => {
    const anyIngredient = fc.constantFrom(...CATALOGUE);
    fc.assert(
      fc.property(anyIngredient, fc.double({ min: 0.05, max: 3000, noNaN: true }), (ingredient, grams) => {
        const way = usualPreparation(ingredient) ?? null;
        for (const amount of [spoonable(grams, ingredient, way), weighable(grams)]) {
          expect(amount.grams).toBeGreaterThan(0);
          expect(amount.grams).toBeCloseTo(grams * (1 + amount.error), 6);
        }
      }),
    );
  });

  it('miss by no more than an eighth from a teaspoon on', () => {
    fc.assert(
      fc.property(fc.double({ min: 7.2, max: 2000, noNaN: true }), (grams) => {
        expect(Math.abs(spoonable(grams, honey, null).error)).toBeLessThanOrEqual(0.125);
      }),
    );
  });

  it('write fractions and errors as people do', () => {
    expect([1.5, 0.25, 2, 2 / 3, 1.2].map(fractionText)).toEqual(['1 ½', '¼', '2', '⅔', '1.2']);
    expect([0.004, 0.04, -0.12].map(errorText)).toEqual([null, '+4 %', '−12 %']);
  });
});

describe('scaling', () => {
  const recipe = testRecipe('gel', [
    '3 tbsp linseed, boiled, strained',
    '300 ml water',
    '1 tbsp honey',
    'stir',
  ]);
  const lines = ['3 tbsp linseed, boiled, strained', '300 ml water', '1 tbsp honey'];
  const facts = {
    lines: recipe.lines.map(({ grams }) => grams),
    finishedGrams: verdictOf(lines).finishedGrams,
    density: densityOf(weighedOf(lines)),
  };
  const factorTo = (target: ScaleTarget) => valueOf(scaleFactor(facts, target));

  it.each([
    ['grams', { to: 'grams', grams: 500 }, 500],
    ['portions', { to: 'portions', portions: 4, portionGrams: 90 }, 360],
    ['jars by their volume', { to: 'jar', millilitres: 250, jars: 2 }, 500 * facts.density],
  ] as const)('reaches a target in %s', (_, target, finished) => {
    expect(factorTo(target) * facts.finishedGrams).toBeCloseTo(finished, 6);
  });

  it('uses up what is left of one ingredient', () => {
    const scaled = scaledLines(recipe.lines, factorTo({ to: 'left', line: 2, gramsLeft: 50 }));
    expect(scaled[2]?.grams).toBeCloseTo(50, 6);
    expect(scaled[3]?.grams).toBeNull();
  });

  it('is linear: twice the target, twice of everything, and the same verdict', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 5000, noNaN: true }), (grams) => {
        const [one, two] = [factorTo({ to: 'grams', grams }), factorTo({ to: 'grams', grams: 2 * grams })];
        expect(two).toBeCloseTo(2 * one, 9);
        const percents = percentsOf(scaledLines(recipe.lines, one).map((line) => line.grams));
        expect(percents).toEqual(percentsOf(facts.lines));
      }),
    );
  });

  it.each([
    [{ to: 'grams', grams: 0 }, 'more than 0'],
    [{ to: 'grams', grams: Number.NaN }, 'more than 0'],
    [{ to: 'grams', grams: 1e9 }, 'a thousand times'],
    [{ to: 'jar', millilitres: -5, jars: 1 }, 'millilitres'],
    [{ to: 'portions', portions: 0, portionGrams: 10 }, 'portions'],
    [{ to: 'left', line: 9, gramsLeft: 10 }, 'Choose an ingredient'],
    [{ to: 'left', line: 3, gramsLeft: 10 }, 'Choose an ingredient'],
  ] as const)('refuses %j', (target, message) => {
    const result = scaleFactor(facts, target);
    expect(!result.ok && result.problems[0].message).toContain(message);
  });

  it('refuses a recipe of which nothing is left', () => {
    const result = scaleFactor({ ...facts, finishedGrams: 0 }, { to: 'grams', grams: 100 });
    expect(result.ok).toBe(false);
  });

  it('finds a density between that of oil and that of honey', () => {
    expect(densityOf(weighedOf(['100 g olive oil']))).toBeCloseTo(0.92, 2);
    expect(densityOf(weighedOf(['100 ml water']))).toBeCloseTo(1, 2);
    expect(densityOf(weighedOf(['100 g honey']))).toBeGreaterThan(1.3);
    expect(densityOf([])).toBeGreaterThan(0.9);
  });
});

describe('grams, spoons and percent', () => {
  const written = parsedOf([
    'Evening bowl:',
    '2 tbsp honey',
    '1 banana',
    '3 tbsp linseed, boiled, strained',
    '250 ml water',
    'Blend it well',
  ]);
  const gramsIn = (text: string) => readLines(parsedOf(text.split('\n'))).map(({ grams }) => grams);
  const shares = (grams: readonly number[]) => grams.map((each) => each / sum(grams));

  it.each(['grams', 'spoons', 'percent'] as const)('written in %s it is the same recipe', (view) => {
    const text = rewriteIn(view, written, CATALOGUE_LARDER);
    const again = parsedOf(text.split('\n'));
    expect(again.lines.map(({ status }) => status)).toEqual(written.lines.map(({ status }) => status));
    expect(readLines(again).map(({ name, preparationId }) => [name, preparationId])).toEqual(
      readLines(written).map(({ name, preparationId }) => [name, preparationId]),
    );
    const [before, after] = [readLines(written).map(({ grams }) => grams), gramsIn(text)].map(shares);
    after?.forEach((share, index) => expect(share).toBeCloseTo(before?.[index] ?? 0, 1));
  });

  it('come back from grams to a hundredth', () => {
    const text = rewriteIn('grams', written, CATALOGUE_LARDER);
    const before = readLines(written).map(({ grams }) => grams);
    gramsIn(text).forEach((grams, index) => expect(grams).toBeCloseTo(before[index] ?? 0, 1));
  });

  it('keep what is a note and what is not understood as it stands', () => {
    const odd = parsedOf(['2 cups blorb', '1 tbsp honey', 'Stir.']);
    expect(rewriteIn('percent', odd, CATALOGUE_LARDER).split('\n')).toEqual([
      '2 cups blorb',
      '100% honey',
      'Stir.',
    ]);
  });
});

describe('a line that is replaced', () => {
  const agave = ingredientById('agave');
  invariant(agave, 'the catalogue has agave');
  const replaced = (lines: readonly string[], index: number) =>
    withReplaced(testRecipe('r', lines), index, [{ ingredient: agave, grams: 30 }], CATALOGUE_LARDER).split(
      '\n',
    );

  it('leaves the other rows as they were written', () => {
    expect(replaced(['Bowl:', '2 tbsp honey', 'half a banana', 'stir'], 1)).toEqual([
      'Bowl:',
      '30 g agave syrup',
      'half a banana',
      'stir',
    ]);
  });

  it('leaves all else in a row that names several things as it was told', () => {
    expect(replaced(['honey and olive oil, 1 tbsp each', '1 egg'], 0)).toEqual([
      '30 g agave syrup and olive oil, 1 tbsp each',
      '1 egg',
    ]);
  });

  it('tells rows that read the same apart', () => {
    const twice = ['1 tbsp honey', '1 tbsp honey', '1 egg'];
    expect(replaced(twice, 1)).toEqual(['1 tbsp honey', '30 g agave syrup', '1 egg']);
  });
});
