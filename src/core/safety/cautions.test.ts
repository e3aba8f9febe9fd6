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
