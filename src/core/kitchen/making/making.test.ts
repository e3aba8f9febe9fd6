import fc from 'fast-check';
import loadHighs from 'highs';
import { invariant, sum } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import { STAMP, verdictOf, weighedOf } from '../../lab/testing';
import { ingredientById } from '../../recipe/ingredients';
import { remainingGrams } from '../../recipe/larder';
import type { PantryItem } from '../../records/shapes';
import { againstJar, costOf, inStock, pantryOf } from '../pantry';
import { makeFromPantry, WISHES, type WishId } from './fromPantry';
import { substitutesFor, type StockedIngredient } from './substitutes';
import { afterMaking, realYieldGrams } from './usedUp';
import { SETTLED, settledWeight } from './weighIn';

describe('the weight on a scale', () => {
  const samples = (weights: readonly number[], everyMs = 150) =>
    weights.map((grams, index) => ({ grams, atMs: index * everyMs }));

  it('is known once it has stood still', () => {
    expect(settledWeight(samples([0, 40, 80, 100]))).toBeNull();
    expect(settledWeight(samples([40, 99, 100, 100.2, 99.9, 100.1, 100, 100]))).toBeCloseTo(100, 0);
  });

  it('is not known while it moves, or from too few readings', () => {
    expect(settledWeight([])).toBeNull();
    expect(settledWeight(samples([100, 100]))).toBeNull();
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 50 }), (slope) => {
        const moving = Array.from({ length: 12 }, (_, index) => index * slope);
        expect(settledWeight(samples(moving))).toBeNull();
      }),
    );
  });

  const STILL = 0.499 * SETTLED.withinGrams;
  it('lies within the readings it was made of', () => {
    const noise = fc.array(fc.double({ min: -STILL, max: STILL, noNaN: true }), {
      minLength: 8,
      maxLength: 20,
    });
    fc.assert(
      fc.property(noise, fc.integer({ min: 1, max: 900 }), (wobble, weight) => {
        const settled = settledWeight(samples(wobble.map((each) => weight + each)));
        expect(settled).not.toBeNull();
        expect(Math.abs((settled ?? 0) - weight)).toBeLessThanOrEqual(STILL + 1e-9);
      }),
    );
  });
});

const item = (
  ingredientId: string,
  gramsLeft: number | null,
  pack: PantryItem['pack'] = null,
): PantryItem => ({
  ...STAMP,
  id: `p-${ingredientId}`,
  kind: 'pantry',
  ingredientId,
  gramsLeft,
  pack,
});

describe('the pantry', () => {
  const pantry = pantryOf([
    item('honey', 250, { grams: 500, price: 6 }),
    item('water', null),
    item('banana', null),
    item('linseed', 0),
  ]);
  const lines = weighedOf(['50 g honey', '100 g banana', '200 ml water']);

  it('counts what is priced, names what is not, and water is free', () => {
    const cost = costOf(lines, pantry);
    expect(cost.total).toBeCloseTo(0.6, 9);
    expect(cost.unpriced).toEqual(['banana']);
    expect(cost.parts.map(({ name }) => name)).toEqual(['honey']);
  });

  it('compares the same weight with a bought jar', () => {
    const cost = costOf(lines, pantry);
    expect(againstJar(cost, 300, item('own-jar', 100, { grams: 200, price: 9 }))).toEqual({
      perHundred: expect.closeTo(0.2, 9),
      jarPerHundred: 4.5,
    });
    expect(againstJar(cost, 300, item('own-jar', 100))).toBeNull();
    expect(againstJar(cost, 0, item('own-jar', 100, { grams: 200, price: 9 }))).toBeNull();
  });

  it('knows what is there, the newest record of each counting', () => {
    expect([...pantry.values()].filter(inStock).map(({ ingredientId }) => ingredientId)).toEqual([
      'honey',
      'water',
      'banana',
    ]);
    expect(pantryOf([item('honey', 10), item('honey', 0)]).get('honey')?.gramsLeft).toBe(0);
  });

  it('gives what a making took, in what was really weighed, never below nothing', () => {
    const wentIn = { planned: [50, 100, 200], weighed: [60, null, null] };
    expect(
      afterMaking(pantry, lines, wentIn).map(({ ingredientId, gramsLeft }) => [ingredientId, gramsLeft]),
    ).toEqual([['honey', 190]]);
    const much = afterMaking(pantry, weighedOf(['900 g honey']), { planned: [900], weighed: [null] });
    expect(much[0]?.gramsLeft).toBe(0);
  });

  it('and the yield follows what was weighed, with the water that went in', () => {
    const yields = new Map([
      [0, 40],
      [1, 100],
    ]);
    expect(realYieldGrams(yields, { planned: [50, 100], weighed: [null, null] }, 0)).toBe(140);
    expect(realYieldGrams(yields, { planned: [50, 100], weighed: [100, 50] }, 25)).toBe(80 + 50 + 25);
  });
});

describe('with the solver', () => {
  let solve: SolveProgramme;
  beforeAll(async () => {
    solve = solverFrom(await loadHighs());
  });

  const stock = (...ids: (string | [string, number])[]): StockedIngredient[] =>
    ids.map((each) => {
      const [id, gramsLeft] = typeof each === 'string' ? [each, null] : each;
      const ingredient = ingredientById(id);
      invariant(ingredient, `no ${id}`);
      return { ingredient, gramsLeft };
    });
  const mask = ['100 g banana', '30 g honey', '20 g coconut oil'];

  it('syrup of agave takes the place of honey and hardly moves the verdict', async () => {
    const [best] = await substitutesFor(
      weighedOf(mask),
      1,
      stock('agave', 'gelatin', 'olive-oil', 'linseed'),
      'my-hair',
      solve,
    );
    expect(best?.parts[0]?.ingredient.id).toBe('agave');
    expect(best?.verdict.kind).toBe(verdictOf(mask).kind);
    expect(Math.abs((best?.verdict.push.soft ?? 0) - verdictOf(mask).push.soft)).toBeLessThan(0.02);
  });

  it('an oil takes the place of an oil', async () => {
    const found = await substitutesFor(
      weighedOf(mask),
      2,
      stock('babassu-oil', 'glycerin', 'gelatin'),
      'my-hair',
      solve,
    );
    expect(found[0]?.parts.map(({ ingredient }) => ingredient.id)).toContain('babassu-oil');
    expect(new Set(found.map(({ parts }) => parts.map(({ ingredient }) => ingredient.id).join())).size).toBe(
      found.length,
    );
  });

  it('takes no more than is there, and nothing of what is missing itself', async () => {
    const found = await substitutesFor(
      weighedOf(mask),
      1,
      stock(['agave', 4], 'honey', 'glycerin'),
      'my-hair',
      solve,
    );
    expect(found.length).toBeGreaterThan(0);
    for (const { parts } of found) {
      for (const { ingredient, grams } of parts) {
        expect(ingredient.id).not.toBe('honey');
        if (ingredient.id === 'agave') expect(grams).toBeLessThanOrEqual(4 + 1e-6);
      }
    }
  });

  it('has nothing to offer from an empty pantry, for a line that is not there, or with no solver', async () => {
    const broken: SolveProgramme = () => ({ status: 'failed', values: {}, objective: 0, bound: 0 });
    expect(await substitutesFor(weighedOf(mask), 1, [], 'my-hair', solve)).toEqual([]);
    expect(await substitutesFor(weighedOf(mask), 9, stock('agave'), 'my-hair', solve)).toEqual([]);
    expect(await substitutesFor(weighedOf(mask), 1, stock('agave'), 'my-hair', broken)).toEqual([]);
  });

  const full = stock(
    'water',
    'gelatin',
    'yogurt',
    'honey',
    'glycerin',
    'banana',
    'coconut-oil',
    'olive-oil',
    'linseed',
    'conditioner',
  );

  it.each(Object.keys(WISHES) as WishId[])('makes %s from a pantry, of the wished kind', async (wish) => {
    const found = await makeFromPantry(wish, full, 'my-hair', solve);
    expect(found.length).toBeGreaterThan(0);
    for (const { lines, verdict } of found) {
      expect(verdict.kind).toBe(WISHES[wish].kind);
      expect(lines.length).toBeGreaterThanOrEqual(2);
      expect(lines.length).toBeLessThanOrEqual(5);
      expect(sum(lines.map(remainingGrams))).toBeCloseTo(100, 0);
    }
  });

  it('says nothing where the pantry does not reach', async () => {
    expect(await makeFromPantry('strong-protein', stock('water', 'honey'), 'my-hair', solve)).toEqual([]);
  });
});
