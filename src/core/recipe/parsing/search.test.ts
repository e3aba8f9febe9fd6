import { testRecipe } from '../../lab/testing';
import { CATALOGUE_LARDER } from '../larder';
import { lexiconOf } from './lexicon';
import { near, RecipeSearch } from './search';

describe('a name that is not known', () => {
  it.each([
    ['linsede', 'linseed'],
    ['glycerinn', 'glycerin'],
    ['pumkin', 'pumpkin'],
  ])('%s is near %s', (text, id) => {
    expect(near(lexiconOf(CATALOGUE_LARDER), text, 3).map((item) => item.id)).toContain(id);
  });
});

describe('a search in her recipes', () => {
  const recipes = [
    testRecipe('a', ['2 tbsp honey', '1 banana'], { name: 'Harbour mask' }),
    testRecipe('b', ['12 g gelatin', '100 ml water'], { name: 'Kiln set' }),
    testRecipe('c', ['1 tbsp honey', '5 g gelatin'], { name: 'Harbour set' }),
  ];
  const found = async (words: string) =>
    (await RecipeSearch.over(recipes)).find(words).map(({ recipeId }) => recipeId);

  it('finds by name and by ingredient, all words together, misspelt and unfinished', async () => {
    expect((await found('harbor')).sort()).toEqual(['a', 'c']);
    expect(await found('honey gelatin')).toEqual(['c']);
    expect(await found('kil')).toEqual(['b']);
    expect(await found('banna')).toEqual(['a']);
    expect(await found('zzz')).toEqual([]);
  });

  it('puts a name before a text', async () => {
    const named = testRecipe('d', ['100 ml water'], { name: 'Honey' });
    const search = await RecipeSearch.over([...recipes, named]);
    expect(search.find('honey')[0]?.recipeId).toBe('d');
  });
});
