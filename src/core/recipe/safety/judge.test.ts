import { testHead, testRecipe, valueOf } from '../../lab/testing';
import { CATALOGUE_LARDER } from '../larder';
import { judge } from './judge';

const EGG = testRecipe('egg', ['1 egg, whole', '100 ml coconut milk']);
const judged = (...changes: Parameters<typeof testHead>) =>
  valueOf(judge(EGG.lines, testHead(...changes), CATALOGUE_LARDER));

describe('a recipe as it stands for one head', () => {
  it('is judged by the school of that head', () => {
    const any = judged({ school: 'any-protein' }).verdict;
    const strict = judged({ school: 'broken-down' }).verdict;
    expect(any.push.firm).toBeGreaterThan(strict.push.firm);
  });

  it('is stopped by what this head reacts to, with its name', () => {
    expect(judged().stops).toEqual([]);
    expect(judged({ allergies: ['egg'] }).stops.map(({ id, level }) => [id, level])).toEqual([
      ['known-allergy', 'stop'],
    ]);
  });

  it('is stopped by what its own words ask for', () => {
    const hot = testRecipe('hot', ['2 tbsp honey', 'apply while boiling hot']);
    expect(valueOf(judge(hot.lines, testHead(), CATALOGUE_LARDER)).stops).not.toEqual([]);
  });

  it('has no verdict where nothing of it is understood', () => {
    const unknown = [{ text: 'stardust', ingredientId: null, preparationId: null, grams: null }];
    expect(judge(unknown, testHead(), CATALOGUE_LARDER).ok).toBe(false);
  });
});
