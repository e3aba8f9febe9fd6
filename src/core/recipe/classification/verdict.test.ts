import fc from 'fast-check';
import { parsedOf, valueOf, verdictOf as verdictOfLines } from '../../lab/testing';
import { SCHOOLS } from '../../records/shapes';
import { CATALOGUE } from '../ingredients';
import { parseRecipe } from '../parsing';
import { LOAD_KINDS } from './loads';
import { hasStrongProtein, type TreatmentKind } from './schoolVerdict';
import { classify, type Verdict } from './verdict';
import { verdictHeadline } from './words';

const verdictOf = (...lines: string[]): Verdict => verdictOfLines(lines);

/** As the page reads it: with what was assumed and not understood. */
const readVerdict = (...lines: string[]): Verdict => valueOf(classify(parsedOf(lines)));

const GOLDEN: readonly [lines: string[], kinds: Record<'any' | 'broken' | 'mine', TreatmentKind>][] = [
  [
    ['11 g gelatin', '150 ml water', '1 tbsp plain conditioner'],
    { any: 'protein', broken: 'protein', mine: 'protein' },
  ],
  [
    ['1 banana', '2 tbsp honey', '1 tbsp coconut oil'],
    { any: 'moisture', broken: 'moisture', mine: 'moisture' },
  ],
  [['2 tbsp coconut oil', '1 tbsp castor oil'], { any: 'oil', broken: 'oil', mine: 'oil' }],
  [['2 green tea bags', '2 cups water'], { any: 'rinse', broken: 'rinse', mine: 'rinse' }],
  [['1 egg', '2 tbsp olive oil', '1 tbsp honey'], { any: 'protein', broken: 'moisture', mine: 'balanced' }],
  [['1/2 cup plain yogurt', '1 egg'], { any: 'protein', broken: 'moisture', mine: 'protein' }],
  [['1/2 cup white rice', '2 cups water'], { any: 'moisture', broken: 'moisture', mine: 'moisture' }],
  [['100 g henna', '250 ml water'], { any: 'protein', broken: 'protein', mine: 'protein' }],
  [
    ['3 tbsp linseed, boiled, strained', '300 ml water'],
    { any: 'moisture', broken: 'moisture', mine: 'moisture' },
  ],
  [['4 tbsp plain conditioner', '1 tbsp honey'], { any: 'moisture', broken: 'moisture', mine: 'moisture' }],
];

describe('the verdict', () => {
  it.each(GOLDEN)('%j is %j', (lines, { any, broken, mine }) => {
    const { schools, kind } = verdictOf(...lines);
    expect({
      any: schools['any-protein'].kind,
      broken: schools['broken-down'].kind,
      mine: schools['my-hair'].kind,
    }).toEqual({ any, broken, mine });
    expect(kind).toBe(mine);
  });

  it('counts only the protein that survives preparation', () => {
    const whole = verdictOf('5 tbsp fenugreek, ground', '200 ml water');
    const strained = verdictOf('5 tbsp fenugreek, soaked, strained', '200 ml water');
    expect(strained.loads.protein).toBeLessThan(whole.loads.protein / 5);
    expect(strained.finishedGrams).toBeLessThan(whole.finishedGrams);
  });

  it('does not change when everything is doubled', () => {
    const one = verdictOf('1 egg', '2 tbsp olive oil', '50 ml water');
    const two = verdictOf('2 eggs', '4 tbsp olive oil', '100 ml water');
    expect(two.strength).toBe(one.strength);
    expect(two.grams).toBeCloseTo(2 * one.grams, 6);
  });

  it('moves toward firm when gelatin is added and toward soft when honey is', () => {
    const base = verdictOf('200 ml oat milk', '2 tbsp plain conditioner');
    expect(verdictOf('200 ml oat milk', '2 tbsp plain conditioner', '5 g gelatin').push.firm).toBeGreaterThan(
      base.push.firm,
    );
    expect(
      verdictOf('200 ml oat milk', '2 tbsp plain conditioner', '2 tbsp honey').push.soft,
    ).toBeGreaterThan(base.push.soft);
  });

  it('is less sure with lines that are not understood', () => {
    const clear = readVerdict('11 g gelatin', '150 ml water');
    const murky = readVerdict('11 g gelatin', '150 ml water', '2 cups blorb');
    expect(murky.confidence).toBeLessThan(clear.confidence);
    expect(clear.doubts).toEqual([]);
    expect(murky.doubts[0]).toContain('75 % of the weight is not understood');
  });

  it('says what takes its confidence away, the gravest first', () => {
    expect(readVerdict('3 eggs', '2 tbsp olive oil', '2 tbsp honey').doubts.join(' ')).toContain(
      'guessed size',
    );
    expect(verdictOf('100 g henna', '250 ml water').doubts.join(' ')).toContain('assumed, not measured');
    expect(verdictOf('1 egg', '2 tbsp olive oil', '1 tbsp honey').doubts[0]).toContain(
      'edge between balanced and moisture',
    );
  });

  it('names a strong protein whatever else is in the bowl, with what it does beside', () => {
    for (const conditioner of ['4 tbsp', '100 g', '200 g']) {
      const verdict = verdictOf('11 g gelatin', '100 ml water', `${conditioner} plain conditioner`);
      expect(verdict.kind).toBe('protein');
      expect(verdict.also?.kind).toBe('moisture');
      expect(verdictHeadline(verdict)).toMatch(/^Protein, .*, with conditioning$/);
      expect(hasStrongProtein(verdict)).toBe(true);
    }
    expect(verdictOf('11 g gelatin', '150 ml water').also).toBeNull();
  });

  it('is strong protein to the rules where moisture leads it, too', () => {
    const verdict = verdictOf('5 g gelatin', '60 ml water', '120 g glycerin');
    expect(verdict).toMatchObject({ kind: 'moisture', also: { kind: 'protein' } });
    expect(hasStrongProtein(verdict)).toBe(true);
    expect(verdictHeadline(verdict)).toMatch(/^Moisture, .*, with .* protein$/);
  });

  it('makes no moisture treatment of water alone, nor of what is only wet', () => {
    for (const lines of [
      ['100 ml water', '10 g salt'],
      ['100 ml water'],
      ['4 tbsp rhassoul clay', '100 ml water'],
    ])
      expect(verdictOf(...lines).kind).toBe('rinse');
    expect(verdictOf('4 tbsp rhassoul clay', '100 ml water', '1 tbsp honey').kind).toBe('moisture');
  });

  it('is less sure near every edge, that of oil too, and names what lies beyond', () => {
    const rich = (grams: number) => verdictOf('100 ml coconut milk', '20 g honey', `${grams} g olive oil`);
    const kinds = Array.from({ length: 30 }, (_, index) => rich(4 * index));
    const edge = kinds.findIndex(({ kind }, index) => kind !== kinds[index + 1]?.kind);
    const [before, after] = [kinds[edge], kinds[edge + 1]];
    expect([before?.kind, after?.kind]).toEqual(['moisture', 'oil']);
    for (const verdict of [before, after]) {
      expect(verdict?.confidence).toBeLessThan(0.8);
      expect(verdict?.doubts.join(' ')).toMatch(/edge between (moisture and oil|oil and moisture)/);
    }
  });

  it('says under how many other views of the science it stays the same', () => {
    const sure = verdictOf('11 g gelatin', '150 ml water').readings;
    expect(sure).toEqual({ same: 12, of: 12, others: [] });
    const egg = verdictOf('1 egg', '2 tbsp olive oil', '1 tbsp honey');
    expect(egg.readings.same).toBeLessThan(12);
    expect(egg.readings.others.length).toBeGreaterThan(0);
    expect(egg.doubts.join(' ')).toContain(`Under ${egg.readings.same} of 12 other views of the science`);
  });

  it('has a problem, not a verdict, when nothing could be weighed', () => {
    const recipe = parseRecipe('blorb');
    expect(recipe.ok && classify(recipe.value).ok).toBe(false);
  });

  it('is said in words', () => {
    expect(verdictHeadline(verdictOf('3 tbsp linseed, boiled', '300 ml water', '1 tbsp honey'))).toBe(
      'Moisture, fairly strong',
    );
    expect(verdictHeadline(verdictOf('2 cups water', '1 tsp nettle'))).toBe('A rinse, faint');
  });

  it('makes a disagreement of the schools its headline', () => {
    expect(verdictHeadline(verdictOf('1/2 cup white rice, soaked', '2 cups water', '1 tbsp honey'))).toMatch(
      /^Moisture|for some/,
    );
    expect(verdictHeadline(verdictOf('1/2 cup plain yogurt', '1 egg'))).toBe(
      'Depends who you ask: protein for some, moisture for others',
    );
  });

  it('keeps its books: shares add to one or nothing, strengths and shares stay in range, in every mixture', () => {
    const line = fc
      .tuple(fc.integer({ min: 1, max: 300 }), fc.constantFrom(...CATALOGUE))
      .map(([grams, ingredient]) => `${grams} g ${ingredient.name}`);
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 8 }), (lines) => {
        const verdict = verdictOf(...lines);
        for (const load of LOAD_KINDS) {
          const total = verdict.ledger.reduce((sum, row) => sum + row.shares[load], 0);
          expect(Math.min(Math.abs(total - 1), Math.abs(total))).toBeLessThan(1e-9);
        }
        for (const school of SCHOOLS) {
          const { strength } = verdict.schools[school];
          expect(strength >= 0 && strength <= 5).toBe(true);
        }
        expect(verdict.schools['any-protein'].push.firm).toBeGreaterThanOrEqual(
          verdict.schools['broken-down'].push.firm - 1e-9,
        );
        expect(verdict.finishedGrams).toBeLessThanOrEqual(verdict.grams + 1e-6);
        expect(verdict.confidence).toBeGreaterThan(0);
      }),
      { numRuns: 150 },
    );
  });
});
