import { STAMP, weighedOf } from '../../lab/testing';
import { pantryItemSchema, type PantryItem } from '../../records/shapes';
import { againstJar, costOf, inStock, pantryOf } from './pantry';

const lines = weighedOf(['100 g plain conditioner', '20 g honey', '50 g water']);
const [conditioner, honey] = lines.map(({ ingredient }) => ingredient);
const item = (ingredientId = '', changes: Partial<PantryItem> = {}): PantryItem => ({
  ...STAMP,
  kind: 'pantry',
  id: `p-${ingredientId}`,
  ingredientId,
  gramsLeft: null,
  pack: null,
  ...changes,
});

describe('the pantry', () => {
  it('holds the newest record of each ingredient', () => {
    const pantry = pantryOf([item('a', { gramsLeft: 5 }), item('b'), item('a', { gramsLeft: 0 })]);
    expect(pantry.get('a')?.gramsLeft).toBe(0);
    expect(pantry.size).toBe(2);
  });

  it('has what she has some of, and has not what ran out or was never written down', () => {
    expect(
      [item('a'), item('a', { gramsLeft: 12 }), item('a', { gramsLeft: 0 }), undefined].map(inStock),
    ).toEqual([true, true, false, false]);
  });

  it('costs each line by its pack; water is free, and what has no price is named once', () => {
    const pantry = pantryOf([item(conditioner?.id, { pack: { grams: 400, price: 8 } })]);
    const cost = costOf([...lines, ...lines.slice(1, 2)], pantry);
    expect(cost.total).toBeCloseTo(2, 9);
    expect(cost.parts).toEqual([{ name: conditioner?.name, price: 2 }]);
    expect(cost.unpriced).toEqual([honey?.name]);
  });

  it('is held against a bought jar by the same weight, where the jar has a price', () => {
    const cost = costOf(lines, pantryOf([item(conditioner?.id, { pack: { grams: 400, price: 8 } })]));
    const jar = item('jar', { pack: { grams: 250, price: 10 } });
    expect(againstJar(cost, 170, jar)).toEqual({ perHundred: 200 / 170, jarPerHundred: 4 });
    expect(againstJar(cost, 170, item('jar'))).toBeNull();
    expect(againstJar(cost, 0, jar)).toBeNull();
    expect(againstJar(cost, 170, undefined)).toBeNull();
  });

  it.each([
    [{ gramsLeft: -1 }],
    [{ gramsLeft: 50_001 }],
    [{ pack: { grams: 0, price: 2 } }],
    [{ pack: { grams: 100, price: -1 } }],
    [{ pack: { grams: 100, price: 2, extra: 1 } }],
  ])('%j is refused', (part) => {
    expect(pantryItemSchema.safeParse({ ...item('a'), ...part }).success).toBe(false);
  });
});
