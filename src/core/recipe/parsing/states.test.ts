import { readLines } from '../larder';
import { parseRecipe } from './parseRecipe';
import { wordsOfStates } from './states';

function gramsOf(text: string): Record<string, number> {
  const recipe = parseRecipe(text);
  if (!recipe.ok) throw new Error(recipe.problems[0].message);
  return Object.fromEntries(readLines(recipe.value).map(({ ingredientId, grams }) => [ingredientId, grams]));
}

describe('the states of things', () => {
  it.each([
    '1 cup of chamomile tea',
    'chá de camomila, 1 xícara',
    'uma xícara de chá de camomila',
    'té de manzanilla, una taza',
    'une tasse de tisane de camomille',
    'eine Tasse Kamillentee',
    'una tazza di infuso di camomilla',
  ])('“%s” is a cup of the tea, not of the flowers', (text) => {
    expect(gramsOf(text)['chamomile']).toBeCloseTo(240);
  });

  it.each(['1 xícara (chá) de alecrim', '1 cup of the rosemary'])(
    '“%s” is a cup of leaves: which cup says no state',
    (text) => expect(gramsOf(text)['rosemary']).toBeLessThan(60),
  );

  it.each([
    ['banana cozida', 'cooked'],
    ['plátano cocido', 'cooked'],
    ['pommes de terre crues', 'raw'],
    ['gekochte Banane', 'cooked'],
    ['riso in ammollo', 'soaked'],
    ['Kartoffelsaft', 'juice'],
    ['methi bhigoya', 'soaked'],
  ])('“%s” is %s', (text, state) => expect(wordsOfStates(text)).toContain(state));

  it('takes “the”, “te” and “po” for no tea and no powder', () => {
    const words = wordsOfStates('the nettle, te digo, po');
    expect(words).not.toContain('tea');
    expect(words).not.toContain('powder');
  });

  it('does what is done in brackets only with what stands before them', () => {
    const grams = gramsOf('1 cup rice water (soaked a day, strained), half a cup of green tea');
    expect(grams['green-tea']).toBeCloseTo(120);
  });
});

describe('what one sentence says of another', () => {
  it.each([
    ['250 water, 5 glycerin, 3 panthenol. Grams, all of it.', { water: 250, glycerin: 5, panthenol: 3 }],
    ['Tudo em gramas: 250 água, 5 glicerina', { water: 250, glycerin: 5 }],
    ['Okra! About six, chopped.', { okra: 72 }],
    ['Honey, 2 tbsp. Three of us share it. Six. Done.', { honey: 42.6 }],
    ['3 parts water, 1 part glycerin in a 200 ml bottle', { water: 150, glycerin: 63 }],
  ])('%s', (text, wanted) => {
    const grams = gramsOf(text);
    for (const [id, weight] of Object.entries(wanted)) expect(grams[id]).toBeCloseTo(weight, 0);
  });
});
