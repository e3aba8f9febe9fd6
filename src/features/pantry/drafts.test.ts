import { ownIngredientSchema } from '@/core/records/shapes';
import { labelOf, NEW_OWN, ownFromDraft, type OwnDraft } from './ownDraft';
import { draftOfStock, stockFromDraft } from './stockDraft';

const STAMP = { id: 'x1', recordedAt: '2026-01-01T10:00:00Z' };
const own = (changes: Partial<OwnDraft>) =>
  ownFromDraft({ ...NEW_OWN, name: 'Moss jelly', ...changes }, STAMP);
const figures = (part: Partial<OwnDraft['figures']>) => ({
  by: 'figures' as const,
  figures: { ...NEW_OWN.figures, ...part },
});
const pathOf = (result: ReturnType<typeof own>) => (result.ok ? null : result.problems[0].path);

describe('an ingredient of her own', () => {
  it('is made from figures, with the rest of 100 g beside them', () => {
    const made = own(figures({ water: '90', mucilage: '2,5', sugars: '1' }));
    if (!made.ok) throw new Error(made.problems[0].message);
    expect(ownIngredientSchema.safeParse(made.value).success).toBe(true);
    expect(made.value.ingredient).toMatchObject({
      name: 'Moss jelly',
      actives: { mucilage: 2.5 },
      roles: ['slip'],
      proteinForm: 'none',
    });
    expect(made.value.ingredient.composition.other).toBe(9);
  });

  it('is made from a label, keeps its text, and both sorts of allergens', () => {
    const made = own({
      label: 'Aqua, Glycerin, Hydrolyzed Wheat Protein, Parfum',
      allergens: ['latex-fruit'],
    });
    if (!made.ok) throw new Error(made.problems[0].message);
    expect(made.value.ingredient.allergens.sort()).toEqual(['latex-fruit', 'wheat']);
    expect(made.value.note).toContain('Hydrolyzed Wheat Protein');
  });

  it.each<[string, Partial<OwnDraft>, string]>([
    ['no name', { name: ' ' }, 'name'],
    ['a label of nothing known', { label: 'blorb' }, 'label'],
    ['no figure', figures({}), 'figures.water'],
    ['a figure beyond 100', figures({ fat: '140' }), 'figures.fat'],
    ['a figure that is none', figures({ fat: 'much' }), 'figures.fat'],
    ['figures beyond 100 together', figures({ fat: '70', water: '40' }), 'figures.water'],
    ['an absurd density', { ...figures({ fat: '70' }), gramsPerMl: '9' }, 'gramsPerMl'],
  ])('is refused with %s, beside the field', (_, changes, path) => {
    expect(pathOf(own(changes))).toBe(path);
  });

  it('shows how a label is read while it is typed', () => {
    expect(labelOf({ ...NEW_OWN, label: '' })).toBeNull();
    expect(labelOf({ ...NEW_OWN, label: 'Aqua, Glycerin' })?.ok).toBe(true);
    expect(labelOf({ ...NEW_OWN, by: 'figures', label: 'Aqua' })).toBeNull();
  });
});

describe('what is there of an ingredient', () => {
  const stamp = { ...STAMP, ingredientId: 'honey' };
  const stock = (left: string, packGrams = '', packPrice = '') =>
    stockFromDraft({ left, packGrams, packPrice }, stamp);
  const value = (result: ReturnType<typeof stock>) => {
    if (!result.ok) throw new Error(result.problems[0].message);
    return result.value;
  };

  it('comes back from the record as it was typed', () => {
    for (const draft of [
      { left: '250', packGrams: '500', packPrice: '6.5' },
      { left: '', packGrams: '', packPrice: '' },
      { left: '0', packGrams: '', packPrice: '' },
    ]) {
      expect(draftOfStock(value(stockFromDraft(draft, stamp)))).toEqual(draft);
    }
    expect(draftOfStock(undefined)).toEqual({ left: '', packGrams: '', packPrice: '' });
  });

  it.each([
    [['lots'], 'left'],
    [['-3'], 'left'],
    [['1', '500'], 'packPrice'],
    [['1', '', '4'], 'packGrams'],
    [['1', '0', '4'], 'packGrams'],
  ] as const)('%j is refused at %s', (typed, path) => {
    const [left, grams, price] = typed as readonly [string, string?, string?];
    const result = stock(left, grams, price);
    expect(!result.ok && result.problems[0].path).toBe(path);
  });
});
