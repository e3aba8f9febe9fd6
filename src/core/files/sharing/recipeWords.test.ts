import fc from 'fast-check';
import { testRecipe, valueOf } from '../../lab/testing';
import { CATALOGUE_LARDER, readLines } from '../../recipe/larder';
import { parseRecipe } from '../../recipe/parsing';
import { recipeJsonLd, recipeText, textOfJsonLd } from './recipeWords';

const recipe = {
  ...testRecipe('glaze', ['12 g gelatin', '150 ml water', '2 tbsp honey']),
  name: 'Kiln glaze',
};

describe('a recipe in words', () => {
  it('goes out under its name, said once', () => {
    const text = recipeText({ name: 'Kiln glaze', text: '12 g gelatin\n150 ml water' });
    expect(text).toBe('Kiln glaze\n\n12 g gelatin\n150 ml water\n');
    expect(recipeText({ name: 'Kiln glaze', text: text })).toBe(text);
  });

  it('goes out for other programs and comes back as the same lines', () => {
    const out = recipeJsonLd(recipe, ['Sprinkle the gelatin on the water.', 'Stir in the honey.']);
    expect(JSON.parse(out)).toMatchObject({ '@type': 'Recipe', name: 'Kiln glaze' });
    const back = textOfJsonLd(JSON.parse(out)) ?? '';
    const read = valueOf(parseRecipe(back, { larder: CATALOGUE_LARDER }));
    expect(readLines(read).map(({ ingredientId, grams }) => [ingredientId, Math.round(grams ?? 0)])).toEqual(
      recipe.lines.map(({ ingredientId, grams }) => [ingredientId, Math.round(grams ?? 0)]),
    );
    expect(back).toContain('2. Stir in the honey.');
  });

  it.each([
    [
      'a list',
      [{ '@type': 'WebSite' }, { '@type': ['Thing', 'Recipe'], name: 'A', recipeIngredient: ['1 egg'] }],
    ],
    [
      'a graph',
      { '@graph': [{ '@type': 'https://schema.org/Recipe', name: 'A', recipeIngredient: ['1 egg'] }] },
    ],
    ['the old property', { '@type': 'Recipe', name: 'A', ingredients: '1 egg\n' }],
    [
      'sections with tags',
      {
        '@type': 'Recipe',
        name: 'A',
        recipeIngredient: ['<b>1</b>&nbsp;egg'],
        recipeInstructions: [
          { '@type': 'HowToSection', itemListElement: [{ '@type': 'HowToStep', text: 'Beat <i>it</i>.' }] },
        ],
      },
    ],
  ])('is found in %s', (_, value) => {
    expect(textOfJsonLd(value)).toMatch(/^A\n\n1 egg\n/);
  });

  it.each([
    [null],
    ['text'],
    [{ '@type': 'Person', name: 'A' }],
    [{ '@type': 'Recipe', name: 'A' }],
    [[[[[[[[{ '@type': 'Recipe' }]]]]]]]],
  ])('is not found in %j', (value) => {
    expect(textOfJsonLd(value)).toBeNull();
  });

  it('is looked for in anything without a throw', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) =>
        [null, 'string'].includes(textOfJsonLd(value) === null ? null : 'string'),
      ),
    );
  });
});
