import fc from 'fast-check';
import { rounded, sum } from '../../base/measures';
import { valueOf, verdictOf, weighedOf } from '../../lab/testing';
import { SCHOOLS, type School } from '../../records/shapes';
import { CATALOGUE } from '../ingredients';
import { compareLines, remainingGrams } from '../larder';
import { acidityOf } from './acidity';
import { detailsOf } from './details';
import type { TreatmentRole } from './fitness';
import { classifyLines } from './verdict';
import { acidityWords, flipWords } from './words';

const pHOf = (...lines: string[]) => {
  const weighed = weighedOf(lines);
  return acidityOf(weighed, sum(weighed.map(remainingGrams))).pH;
};
const detailsFor = (lines: readonly string[], school: School = 'my-hair') =>
  detailsOf(verdictOf(lines, school), weighedOf(lines));

describe('the estimated pH', () => {
  it('of one sour ingredient is its own', () => {
    for (const ingredient of CATALOGUE) {
      const { pH, actives, composition } = ingredient;
      if (pH === undefined || (actives.acid ?? 0) < 0.1 || composition.water < 30) continue;
      const line = { text: '', ingredient, preparation: null, grams: 100, line: 0, via: [] };
      const estimated = acidityOf([line], 100).pH ?? 0;
      expect({ id: ingredient.id, near: Math.abs(estimated - pH) < 0.35 }).toEqual({
        id: ingredient.id,
        near: true,
      });
    }
  });

  it('is held by what food takes up: milk with a spoon of lime is sour, not like the lime', () => {
    const milk = pHOf('200 ml coconut milk', '1 tbsp lime juice') ?? 0;
    expect(milk).toBeGreaterThan(3.6);
    expect(milk).toBeLessThan(4.8);
    expect(milk).toBeGreaterThan((pHOf('200 ml water', '1 tbsp lime juice') ?? 9) + 1);
    // A powdered plant takes up as much as it is there.
    const powders = [5, 20, 60].map(
      (grams) => pHOf('150 ml water', '1 tbsp lime juice', `${grams} g henna`) ?? 0,
    );
    expect([...powders].sort((a, b) => a - b)).toEqual(powders);
  });

  it('rises toward neutral when water goes in, and falls when acid does', () => {
    const dilutions = [0, 100, 400, 2000].map(
      (water) => pHOf('30 g cider vinegar', `${water + 1} ml water`) ?? 0,
    );
    expect([...dilutions].sort((a, b) => a - b)).toEqual(dilutions);
    expect(pHOf('200 ml water', '1 g citric acid')).toBeGreaterThan(
      pHOf('200 ml water', '5 g citric acid') ?? 9,
    );
  });

  it('of a tenth of a mole of citric acid a litre is 2.1', () => {
    // 19.2 g of citric acid in a litre, first step only: √(0.148 × 10^-3.13) M by this model's 130 g to a mole.
    expect(pHOf('19.2 g citric acid', '981 ml water')).toBeCloseTo(2, 0);
  });

  it('goes up with baking soda and is not said for oil', () => {
    expect(pHOf('1 tsp baking soda', '200 ml water')).toBeGreaterThan(8);
    expect(pHOf('50 g olive oil')).toBeNull();
    expect(acidityWords({ pH: null, error: 0.6 })).toBeNull();
    expect(acidityWords({ pH: 3.4, error: 0.6 })).toBe('about pH 3.4 (sour; give or take 0.6)');
  });

  it('stays between 0 and 14 whatever is mixed', () => {
    const line = fc.record({
      ingredient: fc.constantFrom(...CATALOGUE),
      grams: fc.double({ min: 0.01, max: 500, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (mix) => {
        const lines = mix.map((each, index) => ({
          text: '',
          preparation: null,
          line: index,
          via: [],
          ...each,
        }));
        const { pH } = acidityOf(lines, sum(lines.map(remainingGrams)));
        if (pH !== null) {
          expect(pH).toBeGreaterThanOrEqual(0);
          expect(pH).toBeLessThanOrEqual(14);
        }
      }),
    );
  });
});

describe('what would flip it', () => {
  const recipes = [
    ['10 g gelatin', '200 ml water', '3 tbsp honey'],
    ['100 g plain conditioner', '6 g hydrolysed wheat protein', '1 tsp honey'],
    ['1 egg', '2 tbsp olive oil', '1 tbsp honey'],
    ['1 avocado', '2 tbsp olive oil', '1 tbsp honey'],
    ['4 tbsp fenugreek, ground', '200 ml water', '2 tbsp yogurt'],
  ];

  it('really flips it, in every school, and just short of it does not', () => {
    let told = 0;
    for (const lines of recipes) {
      for (const school of SCHOOLS) {
        const weighed = weighedOf(lines);
        for (const { line, fromGrams, toGrams, to } of detailsFor(lines, school).flips) {
          told += 1;
          const kindWith = (grams: number) =>
            valueOf(
              classifyLines(
                weighed.flatMap((each) =>
                  each.line !== line ? [each] : grams > 0 ? [{ ...each, grams }] : [],
                ),
                school,
              ),
            ).kind;
          // The told grams are rounded to a hundredth: the edge lies within that.
          const beyond = toGrams < fromGrams ? Math.max(0, toGrams - 0.01) : toGrams + 0.01;
          expect(kindWith(beyond)).toBe(to);
          expect(kindWith(toGrams + (fromGrams - toGrams) * 0.05)).toBe(kindWith(fromGrams));
        }
      }
    }
    expect(told).toBeGreaterThan(10);
  });

  it('is said in words that a cook can follow', () => {
    const [first] = detailsFor(['10 g gelatin', '200 ml water', '3 tbsp honey']).flips;
    expect(first && flipWords(first)).toMatch(
      /^With [\d.]+ g (gelatin|honey) or (less|more) instead of \d+ g it would be/,
    );
    expect(flipWords({ line: 0, name: 'egg', fromGrams: 50, toGrams: 0, to: 'moisture' })).toBe(
      'Without the egg it would be moisture.',
    );
  });

  it('is silent about one ingredient alone', () => {
    expect(detailsFor(['3 tbsp coconut oil']).flips).toEqual([]);
  });
});

describe('what it is good as', () => {
  const fits = (lines: readonly string[]) =>
    Object.fromEntries(detailsFor(lines).roles.map(({ role, fits: how }) => [role, how])) as Record<
      TreatmentRole,
      string
    >;

  it.each<[string, string[], Partial<Record<TreatmentRole, string>>]>([
    [
      'coconut oil',
      ['3 tbsp coconut oil'],
      { 'pre-poo': 'good', 'scalp-oil': 'good', mask: 'no', rinse: 'no' },
    ],
    ['a sealing oil', ['3 tbsp castor oil'], { 'pre-poo': 'possible', 'scalp-oil': 'good' }],
    ['a herb tea', ['2 green tea bags', '400 ml water'], { rinse: 'good', mask: 'no', 'scalp-oil': 'no' }],
    [
      'a gelatin mask',
      ['14 g gelatin', '180 ml water'],
      { mask: 'good', rinse: 'no', 'deep-conditioner': 'no' },
    ],
    [
      'a conditioner',
      ['100 g plain conditioner', '1 tbsp honey'],
      { 'deep-conditioner': 'good', 'scalp-oil': 'no' },
    ],
    [
      'a powder paste',
      ['100 g plain conditioner', '4 tbsp amla powder'],
      { 'deep-conditioner': 'no', rinse: 'no' },
    ],
    ['a seed gel', ['3 tbsp linseed, boiled, strained', '300 ml water'], { rinse: 'possible' }],
  ])('%s', (_, lines, expected) => {
    expect(fits(lines)).toMatchObject(expected);
  });

  it('always gives its reason', () => {
    for (const { why } of detailsFor(['1 egg', '2 tbsp honey']).roles) expect(why.length).toBeGreaterThan(10);
  });
});

describe('two recipes side by side', () => {
  const a = weighedOf(['100 g banana', '20 g honey', '80 ml water']);
  const b = weighedOf(['100 g banana', '60 g glycerin', '40 ml water']);

  it('are compared by share, the greatest difference first', () => {
    const parts = compareLines(a, b);
    expect(parts.map(({ name }) => name)).toEqual(['glycerin', 'water', 'honey', 'banana']);
    expect(rounded(sum(parts.map((part) => part.a)), 6)).toBe(100);
    expect(rounded(sum(parts.map((part) => part.b)), 6)).toBe(100);
  });

  it('the same one has no difference, whatever its size', () => {
    const twice = a.map((line) => ({ ...line, grams: 2 * line.grams }));
    for (const part of compareLines(a, twice)) expect(part.a).toBeCloseTo(part.b, 9);
  });
});

describe('adding an ingredient', () => {
  const base = ['100 g banana', '50 ml water'];
  it.each([
    ['gelatin', 'firm', 1],
    ['egg white', 'firm', 1],
    ['amla powder', 'firm', 1],
    ['glycerin', 'soft', 1],
    ['honey', 'soft', 1],
    ['plain conditioner', 'soft', 1],
    ['olive oil', 'oil', 1],
    ['water', 'soft', -1],
  ] as const)('%s moves the push toward %s the right way', (name, push, way) => {
    fc.assert(
      fc.property(fc.double({ min: 2, max: 200, noNaN: true }), (grams) => {
        const before = verdictOf(base).push[push];
        const after = verdictOf([...base, `${rounded(grams, 1)} g ${name}`]).push[push];
        expect(Math.sign(after - before)).toBe(way);
      }),
      { numRuns: 20 },
    );
  });
});
