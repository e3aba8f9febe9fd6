import {
  CATALOGUE,
  ingredientSchema,
  namesInText,
  nearestIngredients,
  ROLES,
  sourceById,
  sourceSchema,
} from '.';
import sources from '../../../data/ingredients/sources.json';

describe('the catalogue', () => {
  it.each(CATALOGUE.map((ingredient) => [ingredient.id, ingredient] as const))(
    '%s has the shape of an ingredient',
    (_, ingredient) => {
      expect(ingredientSchema.safeParse(ingredient).error?.issues ?? []).toEqual([]);
    },
  );

  it('holds at least a hundred ingredients, each id once', () => {
    expect(CATALOGUE.length).toBeGreaterThanOrEqual(100);
    expect(new Set(CATALOGUE.map(({ id }) => id)).size).toBe(CATALOGUE.length);
  });

  it('has compositions whose parts add to no more than the whole', () => {
    for (const { id, composition } of CATALOGUE) {
      const total = Object.values(composition).reduce((sum, part) => sum + part, 0);
      expect({ id, fits: total <= 101.5 }).toEqual({ id, fits: true });
    }
  });

  it('has protein only where it says in which form', () => {
    for (const { id, composition, proteinForm } of CATALOGUE) {
      if (composition.protein > 5.5) expect({ id, proteinForm }).not.toEqual({ id, proteinForm: 'none' });
    }
  });

  it('names a source for every group of figures', () => {
    for (const { sources: named } of CATALOGUE) {
      for (const id of Object.values(named)) expect(sourceById(id).title).not.toBe('');
    }
    for (const source of sources) expect(sourceSchema.safeParse(source).success).toBe(true);
  });

  it('has at most one usual preparation an ingredient, and one wherever there are any', () => {
    for (const { id, preparations } of CATALOGUE) {
      const usual = preparations.filter((preparation) => preparation.usual).length;
      expect({ id, usual }).toEqual({ id, usual: preparations.length === 0 ? 0 : 1 });
    }
  });

  it('uses every role', () => {
    const used = new Set(CATALOGUE.flatMap(({ roles }) => roles));
    expect(ROLES.filter((role) => !used.has(role))).toEqual([]);
  });

  it('gives no name to two ingredients', () => {
    const owners = new Map<string, string>();
    for (const { id, name, names } of CATALOGUE) {
      for (const each of [name, ...names].map((text) => text.toLowerCase())) {
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
    expect(namesInText(text)[0]?.ingredient.id).toBe(id);
  });

  it('does not see milk inside coconut milk', () => {
    expect(namesInText('coconut milk').map((match) => match.ingredient.id)).toEqual(['coconut-milk']);
  });

  it.each([
    ['linsede', 'linseed'],
    ['glycerinn', 'glycerin'],
    ['pumkin', 'pumpkin'],
  ])('%s is near %s', (text, id) => {
    expect(nearestIngredients(text, 3).map((ingredient) => ingredient.id)).toContain(id);
  });
});
