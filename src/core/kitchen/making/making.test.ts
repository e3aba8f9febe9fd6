import fc from 'fast-check';
import loadHighs from 'highs';
import { invariant, sum } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import { parsedOf, STAMP, verdictOf, weighedOf } from '../../lab/testing';
import { ingredientById } from '../../recipe/ingredients';
import { remainingGrams } from '../../recipe/larder';
import type { PantryItem } from '../../records/shapes';
import { againstJar, costOf, inStock, pantryOf } from '../pantry';
import { makeFromPantry, WISHES, type WishId } from './fromPantry';
import { makingSteps, type MakingStep } from './steps';
import { substitutesFor, type StockedIngredient } from './substitutes';
import { timetableOf, type TimedStep } from './timetable';
import { afterMaking, realYieldGrams } from './usedUp';
import { SETTLED, settledWeight } from './weighIn';

const stepsOf = (lines: readonly string[]) => makingSteps(weighedOf(lines), null);
const stepDoing = (steps: readonly MakingStep[], what: MakingStep['do']) => {
  const step = steps.find((each) => each.do === what);
  invariant(step, `no step does ${what}`);
  return step;
};

/** Every step that must come before this one, through others. */
function allBefore(step: MakingStep, steps: readonly MakingStep[]): Set<string> {
  const before = new Set<string>();
  const open = [...step.after];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    before.add(id);
    open.push(...(steps.find((each) => each.id === id)?.after ?? []));
  }
  return before;
}

describe('the steps of a making', () => {
  const gel = stepsOf(['4 tbsp linseed, soaked', '300 ml water', '1 tbsp honey']);

  it('strain before anything is brought together, and cannot be left out', () => {
    const strain = stepDoing(gel, 'strain');
    expect(strain.mustDo).toBe(true);
    expect(allBefore(stepDoing(gel, 'combine'), gel)).toContain(strain.id);
  });

  it('weigh the water before the seeds soak in it', () => {
    const water = gel.find((step) => step.do === 'weigh' && step.text.includes('water'));
    expect(allBefore(stepDoing(gel, 'soak'), gel)).toContain(water?.id);
  });

  it('weigh every line of the recipe once', () => {
    expect(gel.flatMap(({ line }) => (line === null ? [] : [line])).sort()).toEqual([0, 1, 2]);
  });

  it('add in the cool-down what heat would spoil', () => {
    const steps = stepsOf(['2 tbsp linseed, boiled', '200 ml water', '5 drops lavender essential oil']);
    const add = stepDoing(steps, 'add');
    expect(add.text).toContain('lavender');
    expect(allBefore(add, steps)).toContain(stepDoing(steps, 'combine').id);
  });

  it('heat, join and cool a formula in its phases', () => {
    const text = [
      'Phase A',
      'water to 100%',
      'Phase B',
      '5% BTMS',
      '6% argan oil',
      'Phase C',
      '1% preservative',
    ];
    const recipe = parsedOf(text);
    const phases = new Map(
      recipe.lines.flatMap((line, index) =>
        line.status === 'read' && line.phase ? [[index, line.phase] as const] : [],
      ),
    );
    const steps = makingSteps(
      weighedOf(text).map((line, index) => ({ ...line, line: [...phases.keys()][index] ?? 0 })),
      phases,
    );
    const does = steps.map((step) => step.do);
    expect(does.filter((what) => what === 'heat')).toHaveLength(2);
    expect(does.indexOf('join')).toBeLessThan(does.indexOf('cool'));
    expect(allBefore(stepDoing(steps, 'add'), steps)).toContain(stepDoing(steps, 'cool').id);
  });
});

function handsOverlap(a: TimedStep, b: TimedStep): boolean {
  return a.startMinute < b.startMinute + b.hands && b.startMinute < a.startMinute + a.hands;
}

describe('the timetable', () => {
  const anyRecipe = fc.subarray(
    [
      '4 tbsp linseed, soaked',
      '300 ml water',
      '1 tbsp honey',
      '1 banana',
      '10 g gelatin',
      '3 tbsp amla powder',
      '2 eggs',
      '1/2 cup rice, soaked',
      '30 g shea butter',
      '5 drops lavender essential oil',
    ],
    { minLength: 1 },
  );

  it('keeps the order, one pair of hands, and every step', () => {
    fc.assert(
      fc.property(anyRecipe, (lines) => {
        const planned = stepsOf(lines);
        const { steps, totalMinutes, handsMinutes } = timetableOf(planned);
        expect(steps.map(({ id }) => id).sort()).toEqual(planned.map(({ id }) => id).sort());
        expect(handsMinutes).toBe(sum(planned.map(({ hands }) => hands)));
        for (const step of steps) {
          expect(step.startMinute).toBeGreaterThanOrEqual(0);
          expect(step.endMinute).toBeLessThanOrEqual(totalMinutes);
          for (const id of step.after)
            expect(steps.find((other) => other.id === id)?.endMinute).toBeLessThanOrEqual(step.startMinute);
        }
        const handy = steps.filter(({ hands }) => hands > 0);
        const clashes = handy.flatMap((a, index) => handy.slice(index + 1).filter((b) => handsOverlap(a, b)));
        expect(clashes).toEqual([]);
      }),
    );
  });

  it('runs beside one another what only waits', () => {
    const both = timetableOf(stepsOf(['4 tbsp linseed, soaked', '1/2 cup rice, soaked', '500 ml water']));
    const soaks = both.steps.filter((step) => step.do === 'soak');
    expect(soaks).toHaveLength(2);
    expect(both.totalMinutes).toBeLessThan(sum(soaks.map(({ minutes }) => minutes)));
  });

  it('weighs honey when it is needed, not a night before', () => {
    const { steps } = timetableOf(stepsOf(['4 tbsp linseed, soaked', '300 ml water', '1 tbsp honey']));
    const honey = steps.find(({ text }) => text.includes('honey'));
    const soak = steps.find((step) => step.do === 'soak');
    expect(honey?.startMinute).toBeGreaterThan((soak?.endMinute ?? Infinity) - 15);
  });

  it('throws at steps that wait for one another', () => {
    const [one, two] = [stepDoing(stepsOf(['1 egg']), 'weigh'), stepDoing(stepsOf(['1 egg']), 'whisk')];
    expect(() => timetableOf([{ ...one, after: [two.id] }, two])).toThrow('circle');
  });
});

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
