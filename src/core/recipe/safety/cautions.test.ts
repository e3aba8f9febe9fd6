import { verdictOf, weighedOf } from '../../lab/testing';
import { cautionSchema } from './cautions';
import { CAUTIONS, cautionsFor, type WhoseHead } from '.';

const NOBODY = { allergies: [], ageBand: 'adult', health: [], chemistry: [], proteinSensitive: false };

const idsFor = (head: Partial<WhoseHead>, ...lines: string[]): string[] =>
  cautionsFor(weighedOf(lines), verdictOf(lines), { ...NOBODY, ...head }, lines).map(({ id }) => id);

const cautionIds = (...lines: string[]): string[] => idsFor({}, ...lines);

describe('cautions', () => {
  it('have the shape of cautions', () => {
    for (const caution of CAUTIONS) expect(cautionSchema.safeParse(caution).error?.issues ?? []).toEqual([]);
  });

  it('can each be called up by a recipe', () => {
    const heads: Record<string, Partial<WhoseHead>> = {
      'essential-oil-child': { ageBand: 'child' },
      'essential-oil-pregnancy': { health: ['pregnant'] },
      'henna-over-bleach': { chemistry: ['bleached'] },
      'scalp-ill': { health: ['scalp-condition'] },
      medicine: { health: ['medicine'] },
      'known-allergy': { allergies: ['sesame'] },
      'firms-sensitive': { proteinSensitive: true },
    };
    const recipes: Record<string, readonly string[]> = {
      'essential-oil-child': ['99 g jojoba oil', '1 g lavender essential oil'],
      'essential-oil-pregnancy': ['99 g jojoba oil', '1 g lavender essential oil'],
      'henna-over-bleach': ['50 g henna', '150 ml water'],
      'scalp-ill': ['100 g aloe gel'],
      medicine: ['100 g aloe gel'],
      'hot-gel': ['3 tbsp linseed, boiled', '300 ml water'],
      'hot-on-skin': ['3 tbsp linseed, boiled', 'Apply while still hot'],
      'heated-oil': ['3 tbsp shea butter'],
      'known-allergy': ['2 tbsp sesame oil'],
      'firms-sensitive': ['8 g gelatin', '150 ml water'],
      'double-protein': ['10 g gelatin', '100 ml water', '40 g conditioner with protein'],
      'lemon-sun': ['1 tbsp lime juice', '200 ml water'],
      irritant: ['1 tsp mustard oil', '3 tbsp olive oil'],
      caustic: ['1 tsp lye', '200 ml water'],
      household: ['1 tbsp dish soap', '200 ml water'],
      'medicine-in-bowl': ['2 aspirin', '100 ml water'],
      'strong-preservative': ['99 g water', '1 g phenoxyethanol'],
      peanut: ['3 tbsp peanut oil'],
      'soap-eyes': ['2 tbsp shikakai', '200 ml water'],
      alkaline: ['1 tsp baking soda', '200 ml water'],
      'very-sour': ['30 g citric acid', '70 ml water'],
      'milk-fresh': ['100 ml milk', '1 tbsp honey'],
      'egg-allergy': ['1 egg'],
      'soy-allergy': ['90 g plain conditioner', '5 g hydrolysed soy protein'],
      ragweed: ['2 tbsp chamomile', '300 ml water'],
      grit: ['3 tbsp amla powder', '200 ml water'],
      'dye-stain': ['1 tsp turmeric', '200 ml milk'],
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
    for (const [id, lines] of Object.entries(recipes))
      expect(idsFor(heads[id] ?? {}, ...lines)).toContain(id);
  });

  it.each([
    ['Pour it boiling over the roots', true],
    ['Apply the gel straight from the stove', true],
    ['Work it hot into the lengths', true],
    ['Let it cool, then apply', false],
    ['Do not apply while hot', false],
    ['Apply and cover with a hot towel', false],
    ['Rinse with warm water', false],
  ])('“%s”: put on hot %s', (text, stops) => {
    expect(cautionIds('2 tbsp linseed, boiled', '200 ml water', text).includes('hot-on-skin')).toBe(stops);
  });

  it('stop what a head reacts to, and name it', () => {
    const lines = ['2 tbsp sesame oil', '1 tbsp honey'];
    const head = { ...NOBODY, allergies: ['sesame'] };
    const [first] = cautionsFor(weighedOf(lines), verdictOf(lines), head);
    expect([first?.id, first?.level]).toEqual(['known-allergy', 'stop']);
    expect(first?.text).toContain('sesame oil');
    expect(cautionIds(...lines)).not.toContain('known-allergy');
  });

  it('call out more protein in the conditioner that goes with a strong protein', () => {
    const strong = ['10 g gelatin', '100 ml water'];
    expect(cautionIds(...strong, '40 g conditioner with protein')).toContain('double-protein');
    expect(cautionIds(...strong, '40 g plain conditioner')).not.toContain('double-protein');
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
