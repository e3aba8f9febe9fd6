import fc from 'fast-check';
import inciNames from '../../../../data/inci.json';
import { sum } from '../../base/measures';
import { STAMP, valueOf, verdictOf, weighedOf } from '../../lab/testing';
import { ingredientSchema } from '../../records/shapes';
import { classifyLines } from '../classification';
import { makeLarder } from '../larder';
import { inciEntrySchema, looksLikeLabel, productFromLabel, sharesByRank } from './label';

const LABEL =
  'Aqua, Cetearyl Alcohol, Glycerin, Behentrimonium Chloride, Hydrolyzed Wheat Protein, Cocos Nucifera Oil, Phenoxyethanol, Parfum';
const productOf = (text: string) => valueOf(productFromLabel('own-jar', 'Hill jar', text));

describe('a text', () => {
  it('that lists what labels list, without amounts, is that of a label', () => {
    expect(looksLikeLabel(LABEL)).toBe(true);
    expect(looksLikeLabel(`Ingredients: ${LABEL}, Ceteareth-20, CI 77891`)).toBe(true);
  });

  it.each([
    '2 tbsp honey, glycerin, cetyl alcohol, xanthan gum, panthenol, water, phenoxyethanol',
    'banana, honey, yogurt, olive oil, egg, coconut milk, aloe vera',
    'avocado and honey',
    '',
  ])('%s is not', (text) => {
    expect(looksLikeLabel(text)).toBe(false);
  });
});

describe('shares by the order of a label', () => {
  it('fall, and add to 100', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.boolean(),
        fc.option(fc.integer({ min: 1, max: 59 }), { nil: undefined }),
        (count, water, line) => {
          const shares = sharesByRank(count, water, line !== undefined && line < count ? line : undefined);
          expect(shares).toHaveLength(count);
          expect(sum(shares)).toBeCloseTo(100, 6);
          shares
            .slice(1)
            .forEach((share, index) => expect(share).toBeLessThanOrEqual((shares[index] ?? 0) + 1e-9));
          expect(shares.every((share) => share > 0)).toBe(true);
        },
      ),
    );
  });

  it('are at one percent or less from the first preservative on', () => {
    const shares = sharesByRank(8, true, 6);
    expect(shares.slice(6).every((share) => share <= 1)).toBe(true);
    expect(shares[5]).toBeGreaterThanOrEqual(1);
  });
});

describe('a bought product', () => {
  it('has names each known once, in the shape of the file', () => {
    for (const entry of inciNames) expect(inciEntrySchema.safeParse(entry).error?.issues ?? []).toEqual([]);
    const names = inciNames.flatMap((entry) => entry.names);
    expect(new Set(names).size).toBe(names.length);
  });

  it('becomes an ingredient with the protein of its label', () => {
    const { ingredient, rows, said } = productOf(LABEL);
    expect(ingredientSchema.safeParse(ingredient).error?.issues ?? []).toEqual([]);
    expect(ingredient.proteinForm).toBe('hydrolysed');
    expect(ingredient.composition.protein).toBeGreaterThan(0.5);
    expect(ingredient.allergens).toContain('wheat');
    expect(rows.find(({ name }) => name.includes('Wheat'))?.position).toBe(5);
    expect(said).toContain('times smaller or greater');
  });

  it('can be told by one name and its place', () => {
    const { ingredient, said } = productOf(
      'deep conditioner, contains hydrolysed wheat protein, position 5 of 20',
    );
    expect(ingredient.composition.protein).toBeGreaterThan(0.3);
    expect(ingredient.actives.cationic).toBeGreaterThan(0);
    expect(said).toContain('is taken as in a plain conditioner');
    const late = productOf('hydrolysed wheat protein, position 18 of 20').ingredient;
    expect(late.composition.protein).toBeLessThan(ingredient.composition.protein);
  });

  it('can be used in a recipe like any ingredient, less surely than a measured one', () => {
    const own = {
      ...STAMP,
      kind: 'ingredient' as const,
      id: 'i1',
      ingredient: productOf(LABEL).ingredient,
      note: '',
    };
    const larder = makeLarder({ own: [own] });
    const lines = weighedOf(['100 g hill jar', '20 g honey'], larder);
    const verdict = valueOf(classifyLines(lines, 'my-hair'));
    expect(verdict.ledger[0]?.name).toBe('Hill jar');
    expect(verdict.loads.protein).toBeGreaterThan(0.4);
    expect(verdict.confidence).toBeLessThan(verdictOf(['100 g plain conditioner', '20 g honey']).confidence);
  });

  it.each([
    ['', 'no-names'],
    ['   ,,, ', 'no-names'],
    ['Blorbium, Florpate', 'unknown-names'],
    ['x'.repeat(9000), 'too-long'],
    [Array.from({ length: 200 }, () => 'Glycerin').join(','), 'no-names'],
  ])('is refused with a reason: %j', (text, code) => {
    const result = productFromLabel('own', 'Jar', text);
    expect(!result.ok && result.problems[0].code).toBe(code);
  });

  it('is, whatever is pasted, a lawful ingredient or a problem', () => {
    const name = fc.constantFrom(
      'Aqua',
      'Glycerin',
      'Parfum',
      'Cetyl Alcohol',
      'Hydrolyzed Keratin',
      'Zzz',
      'Honey',
    );
    const text = fc.oneof(
      fc.string(),
      fc.array(name, { maxLength: 40 }).map((names) => names.join(', ')),
    );
    fc.assert(
      fc.property(text, (pasted) => {
        const result = productFromLabel('own-x', 'Jar', pasted);
        if (result.ok)
          expect(ingredientSchema.safeParse(result.value.ingredient).error?.issues ?? []).toEqual([]);
      }),
    );
  });
});
