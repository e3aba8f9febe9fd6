import catalogueNames from '../../../../data/ingredients/names.json';
import { CATALOGUE } from '../ingredients';
import { CATALOGUE_LARDER } from '../larder';
import { lexiconOf, namesOf } from './lexicon';

describe('the names of the catalogue', () => {
  it('stand in one file, an entry for each ingredient and none beside', () => {
    expect(Object.keys(catalogueNames).sort()).toEqual(CATALOGUE.map(({ id }) => id).sort());
  });

  it('gives no name to two ingredients', () => {
    const owners = new Map<string, string>();
    for (const ingredient of CATALOGUE) {
      const { id, name } = ingredient;
      for (const each of [name, ...namesOf(ingredient)].map((text) => text.toLowerCase())) {
        expect(`${each}: ${owners.get(each) ?? id}`).toBe(`${each}: ${id}`);
        owners.set(each, id);
      }
    }
  });
});

describe('looking up', () => {
  it.each([
    ['coconut milk', 'coconut-milk'],
    ['2 ripe bananas, mashed', 'banana'],
    ['linhaça', 'linseed'],
    ['LINSEEDS', 'linseed'],
    ['óleo de coco', 'coconut-oil'],
    ['methi seeds', 'fenugreek'],
    ['curd', 'yogurt'],
  ])('%s is %s', (text, id) => {
    expect(lexiconOf(CATALOGUE_LARDER).inText(text)[0]?.item.id).toBe(id);
  });

  it('does not see milk inside coconut milk', () => {
    expect(
      lexiconOf(CATALOGUE_LARDER)
        .inText('coconut milk')
        .map((match) => match.item.id),
    ).toEqual(['coconut-milk']);
  });
});
