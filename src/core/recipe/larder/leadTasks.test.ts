import { weighedOf } from '../../lab/testing';
import type { RecipeVersion } from '../../records/shapes';
import { stepsBefore } from './leadTasks';
import { newestVersions } from './versions';

describe('what is prepared ahead', () => {
  it('comes with its hours, the longest first; what needs nothing is left out', () => {
    const tasks = stepsBefore(weighedOf(['10 g honey', '20 g linseed, boiled', '10 g fenugreek, strained']));
    expect(tasks.map(({ text, leadHours }) => [text.split(':')[0], leadHours])).toEqual([
      ['Fenugreek seed', 12],
      ['Linseed', 0.5],
    ]);
  });
});

describe('versions', () => {
  it('show the newest of each recipe, in the order of the recipes', () => {
    const version = (recipeId: string, number: number) => ({ recipeId, version: number }) as RecipeVersion;
    const newest = newestVersions([version('a', 1), version('b', 2), version('a', 3), version('b', 1)]);
    expect(newest.map(({ recipeId, version: number }) => `${recipeId}${number}`)).toEqual(['a3', 'b2']);
  });
});
