import { classify } from '../classification';
import { parseRecipe, readLines } from '../recipes';
import { CAUTIONS, cautionSchema, cautionsFor } from '.';

function cautionIds(...lines: string[]): string[] {
  const recipe = parseRecipe(lines.join('\n'));
  if (!recipe.ok) throw new Error(recipe.problems[0].message);
  const verdict = classify(recipe.value);
  if (!verdict.ok) throw new Error(verdict.problems[0].message);
  return cautionsFor(readLines(recipe.value), verdict.value).map((caution) => caution.id);
}

describe('cautions', () => {
  it('have the shape of cautions', () => {
    for (const caution of CAUTIONS) expect(cautionSchema.safeParse(caution).error?.issues ?? []).toEqual([]);
  });

  it('can each be called up by a recipe', () => {
    const recipes: Record<string, readonly string[]> = {
      'essential-oil-much': ['94 g jojoba oil', '6 g thyme essential oil'],
      'essential-oil': ['98 g jojoba oil', '2 g cedarwood essential oil'],
      'egg-cool': ['1 egg yolk', '2 tbsp sunflower oil'],
      'gelatin-hot': ['10 g gelatin', '100 ml water'],
      strain: ['1 banana', '100 ml water'],
      'aloe-sap': ['1 aloe leaf'],
      sour: ['2 tbsp cider vinegar', '50 ml water'],
      henna: ['50 g indigo powder', '150 ml water'],
      'powder-dust': ['2 tbsp brahmi powder', '100 ml water'],
      'hidden-protein': ['100 g conditioner with protein'],
      'firms-without-protein': ['50 g amla powder', '150 ml water'],
      'latex-cross': ['half an avocado'],
      'tree-nut': ['2 tbsp almond oil'],
      wheat: ['90 g plain conditioner', '10 g hydrolysed wheat protein'],
      'slippery-tub': ['3 tbsp coconut oil'],
    };
    expect(Object.keys(recipes).sort()).toEqual(CAUTIONS.map((caution) => caution.id).sort());
    for (const [id, lines] of Object.entries(recipes)) expect(cautionIds(...lines)).toContain(id);
  });

  it('are silent for plain honey and water', () => {
    expect(cautionIds('1 tbsp honey', '200 ml water')).toEqual([]);
  });

  it('stop a mixture with far too much essential oil and only warn above one percent', () => {
    expect(cautionIds('94 g jojoba oil', '6 g rosemary essential oil')).toContain('essential-oil-much');
    expect(cautionIds('94 g jojoba oil', '6 g rosemary essential oil')).not.toContain('essential-oil');
    expect(cautionIds('98 g jojoba oil', '2 g rosemary essential oil')).toContain('essential-oil');
    expect(cautionIds('99.5 g jojoba oil', '0.5 g rosemary essential oil')).not.toContain('essential-oil');
  });

  it('say to strain what leaves bits, and only that', () => {
    expect(cautionIds('2 tbsp linseed, boiled', '200 ml water')).toContain('strain');
    expect(cautionIds('2 tbsp honey', '200 ml water')).not.toContain('strain');
  });

  it('call out protein hidden in a moisture mask', () => {
    expect(cautionIds('100 g conditioner with protein', '20 g honey')).toContain('hidden-protein');
    expect(cautionIds('100 g plain conditioner', '20 g honey')).not.toContain('hidden-protein');
  });

  it('tell firming by tannin from firming by protein', () => {
    expect(cautionIds('100 g henna', '250 ml water')).toContain('firms-without-protein');
    expect(cautionIds('11 g gelatin', '150 ml water')).not.toContain('firms-without-protein');
  });
});
