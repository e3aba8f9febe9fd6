import { parsedOf, testRecipe } from '../../lab/testing';
import { CATALOGUE_LARDER, makeLarder, readLines, unreadLines } from '../larder';
import { parseRecipe } from './parseRecipe';

const read = (text: string) =>
  readLines(parsedOf([text])).map(
    ({ ingredientId, preparationId, grams }) =>
      `${ingredientId} ${Math.round(grams)}${preparationId ? ` ${preparationId}` : ''}`,
  );

describe('what a name means with the words around it', () => {
  it.each([
    // Infused, macerated and carrier oils are oils, never the herb nor its essential oil.
    ['2 tbsp calendula macerate', ['infused-oil 28']],
    ['1 tbsp nettle-infused oil', ['burdock-oil 14']],
    ['2 tbsp olive oil infused with mint', ['olive-oil 28']],
    ['2 tbsp rosemary oil', ['rosemary-infused-oil 28']],
    ['10 drops rosemary oil', ['rosemary-eo 0']],
    ['1 tbsp rosemary essential oil', ['rosemary-eo 14']],
    ['3 colheres de sopa de óleo macerado de alecrim', ['rosemary-infused-oil 41']],
    ['2 chammach nariyal ka tel', ['coconut-oil 28']],
    ['1 tbsp carrier oil', ['vegetable-oil 14']],
    // Powder, leaf, juice, gel, milk of one plant.
    ['1 cup almond milk', ['almond-milk 245']],
    ['2 tbsp almond oil', ['almond-oil 28']],
    ['3 tbsp coconut flour', ['coconut-flour 21 flour']],
    ['2 cups coconut mlik', ['coconut-milk 456']],
    ['a handful of neem leaves', ['neem 27 infused']],
    // A soak beside a grain strains it; soaked is not boiled.
    ['rice, half a cup, soak 24 hours and strain', ['rice 94 soaked']],
    ['Soak half a cup of rice. Strain.', ['rice 94 soaked']],
    ['half a cup of rice, boil and strain', ['rice 94 cooked']],
    ['3 tbsp amla powder, stir, let it stand 20 minutes', ['amla 25 powder']],
    // What a product says that it holds is of the product.
    ['conditioner (contains hydrolysed wheat protein) 3 tbsp', ['protein-conditioner 44']],
    ['3 tbsp conditioner (contains aloe, glycerin)', ['conditioner 44']],
    // Water until a texture.
    ['60 g henna and water until it is like yoghurt', ['henna 60 powder', 'water 175']],
    ['60 g henna, mix to a thick paste with water', ['henna 60 powder', 'water 120']],
    ['4 colheres de sopa de argila branca e água até ponto de iogurte', ['kaolin 48 rested', 'water 58']],
    // Said of all that stands before.
    ['an avocado, 2 tbsp honey. Halve everything above except the honey', ['avocado 75 blended', 'honey 43']],
    ['dois abacates, 2 colheres de sopa de mel. Metade de tudo', ['avocado 150 blended', 'honey 21']],
    // What others do is not in the bowl.
    ['one egg, a cup of yogurt. My sister uses two eggs.', ['egg 50 whisked', 'yogurt 247']],
    ['1 sachet gelatin, 2 tbsp honey. 1 ampoule no.', ['gelatin 7 dissolved', 'honey 43']],
    // Done, or a thing.
    ['2 tbsp honey, 1 egg, 20 minutes, then shampoo', ['honey 43', 'egg 50 whisked']],
    ['2 tbsp shampoo, 1 tsp salt', ['shampoo 31', 'salt 6']],
  ])('%s', (text, expected) => {
    expect(read(text)).toEqual(expected);
  });

  it('asks about one wrong letter where another thing by the spoon would harm', () => {
    const [line] = unreadLines(parsedOf(['2 tbsp peppermint esential oil']));
    expect(line?.problem.code).toBe('unknown-ingredient');
    for (const text of line?.suggestions ?? []) expect(read(text).join()).not.toContain('-eo');
  });

  it('finds a recipe of hers by a word of its name', () => {
    const oat = testRecipe('oat-veil', ['1 cup oats', '500 ml water'], { name: 'Thursday oat veil' });
    const recipe = parseRecipe('a mug of the oat thing and 2 tbsp honey', {
      larder: makeLarder({ recipes: [oat] }),
    });
    expect(recipe.ok && readLines(recipe.value).map(({ name }) => name)).toEqual([
      'Thursday oat veil',
      'honey',
    ]);
    // Two that have it are not chosen between.
    const other = testRecipe('oat-rinse', ['2 tbsp oats', '500 ml water'], { name: 'Oat rinse' });
    const two = parseRecipe('a mug of the oat thing', { larder: makeLarder({ recipes: [oat, other] }) });
    // Which one it is has to be asked.
    expect(two.ok && two.value.lines.map(({ status }) => status)).toEqual(['unread']);
  });

  it('counts her cup and her spoon as she filled them, and says so until she has', () => {
    const text = '2 of my cups of yogurt, my spoon of honey';
    const grams = (own?: { 'my cup'?: number; 'my spoon'?: number }) => {
      const recipe = parseRecipe(text, { larder: CATALOGUE_LARDER, own });
      return recipe.ok ? readLines(recipe.value).map((line) => Math.round(line.grams)) : [];
    };
    expect(grams()).toEqual([494, 21]);
    expect(grams({ 'my cup': 180, 'my spoon': 20 })).toEqual([371, 28]);
    const assumed = readLines(parsedOf([text])).map(({ assumptions }) => assumptions.map(({ code }) => code));
    expect(assumed.every((codes) => codes.includes('own-measure'))).toBe(true);
  });
});
