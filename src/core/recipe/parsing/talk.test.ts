import fc from 'fast-check';
import { gramsIn, parsedOf } from '../../lab/testing';
import { readLines, unreadLines } from '../larder';

const toldOf = (text: string) => parsedOf([text]).told;
const namesOf = (text: string) => Object.keys(gramsIn(text)).sort();

describe('a group measured as a whole', () => {
  it.each([
    ['3 tbsp oils (castor, olive and argan)', { 'castor-oil': 14, 'olive-oil': 14, 'argan-oil': 14 }],
    [
      '20 g glycerin, 10 % oils (half argan, half jojoba), 70 g water',
      { glycerin: 20, 'argan-oil': 5, 'jojoba-oil': 5, water: 70 },
    ],
    ['30 g butters (shea and mango)', { 'shea-butter': 15, 'mango-butter': 15 }],
    [
      '3 cucharadas de aceites (coco, ricino y oliva)',
      { 'coconut-oil': 14, 'castor-oil': 14, 'olive-oil': 14 },
    ],
    ['2 tbsp butter (shea)', { 'shea-butter': 27 }],
    ['2 tbsp oil (olive or sunflower)', { 'olive-oil': 28 }],
    ['100 ml water (hot)', { water: 100 }],
  ])('%s', (text, grams) => {
    expect(gramsIn(text)).toEqual(grams);
  });

  it('is shared out without a rest, however many it is of', () => {
    const names = ['castor', 'olive', 'argan', 'jojoba', 'almond'];
    fc.assert(
      fc.property(fc.subarray(names, { minLength: 2 }), fc.integer({ min: 10, max: 200 }), (of, grams) => {
        const total = readLines(parsedOf([`${grams} g oils (${of.join(', ')})`]));
        expect(total).toHaveLength(of.length);
        expect(total.reduce((sum, line) => sum + line.grams, 0)).toBeCloseTo(grams, 6);
      }),
    );
  });
});

describe('amounts said again, in parts or of what was made', () => {
  it.each([
    ['A handful of shea, about 40 g, melted.', { 'shea-butter': 40 }],
    ['Half a cup of yogurt, which is 120 g, and an egg.', { yogurt: 120, egg: 50 }],
    ['One small pot of yogurt 125 g, 1 tbsp honey', { yogurt: 125, honey: 21 }],
    ['60 ml aloe gel 99 %, 15 ml jojoba', { 'aloe-gel': 61, 'jojoba-oil': 13 }],
    ['Two sachets of gelatin (20 g), 1 cup water', { gelatin: 20, water: 240 }],
    ['2 sachets of gelatin (12 g each), 1 cup water', { gelatin: 24, water: 240 }],
    [
      'A third aloe juice, a third rosewater and a third conditioner in a 300 ml bottle.',
      { 'aloe-juice': 101, 'rose-water': 100, conditioner: 98 },
    ],
    ['Aloe gel + honey. 2 tbsp, 1 tbsp.', { 'aloe-gel': 31, honey: 21 }],
    [
      'A teaspoon of tea tree… drops! Five drops of tea tree, 2 tbsp aloe gel.',
      { 'tea-tree-eo': 0, 'aloe-gel': 31 },
    ],
    ['In the bowl 70 grams of water and 3 of glycerin.', { water: 70, glycerin: 3 }],
    ['Two tablespoons of honey; when I measured it, it was one cup of milk.', { honey: 43, milk: 247 }],
  ])('%s', (text, grams) => {
    expect(gramsIn(text)).toEqual(grams);
  });

  it('half of something unknown beside a known half is asked about', () => {
    const recipe = parsedOf(['half blorbium, half conditioner']);
    expect(unreadLines(recipe).map(({ text }) => text)).toEqual(['half blorbium']);
  });
});

describe('what others take, and at other times', () => {
  it.each([
    ['2 tbsp honey, 1 egg. My sister adds beer.', ['egg', 'honey']],
    ['A handful of shea, about 40 g. My sister adds beer.', ['shea-butter']],
    ['Dos cucharadas de miel. Mi hermana le echa plátano, yo no.', ['honey']],
    ['Un œuf, 2 cuillères de miel. Ma mère y mettait du rhum, moi non.', ['egg', 'honey']],
    ["Mum's version had beer in it. So mine: one egg, a teaspoon of honey.", ['egg', 'honey']],
    // Nothing is told of her own: what her aunt takes is the recipe.
    ['It is from my aunt. She uses two eggs and a spoon of honey.', ['egg', 'honey']],
    ['3 tbsp yogurt, 20 minutes. The rest of the time just aloe gel.', ['yogurt']],
    ['3 tbsp yogurt. In summer I swap the honey for aloe, but now: 1 tbsp honey.', ['honey', 'yogurt']],
    ['3 tbsp yogurt. No idea why the honey, 1 tbsp.', ['honey', 'yogurt']],
    ['100 g shea, 5 drops of orange. Melt everything but the orange.', ['orange-eo', 'shea-butter']],
    ['Clay day. 4 tbsp kaolin, 1 cup water.', ['kaolin', 'water']],
    ['3 tbsp yogurt, 15 minutes, rinse, then a good conditioner.', ['yogurt']],
    ['1 egg, 20 minutes. It comes off with water.', ['egg']],
  ])('%s', (text, names) => {
    expect(namesOf(text)).toEqual(names);
  });
});

describe('numbers that measure nothing', () => {
  it.each([
    'My hair is 4b. 2 tbsp honey.',
    "I'm a 4b/4c mix. 2 tbsp honey.",
    '2 tbsp honey, costs about 90 cents a go.',
    'Step two is the mask: 2 tbsp honey.',
    'The third ingredient is honey, 2 tbsp.',
    'Things I learned: (1) rinse well, (2) start low. 2 tbsp honey.',
    'A few of you asked. 2 tbsp honey.',
    'Batch for a month, 500 g: 2 tbsp honey, 1 cup milk.',
  ])('%s', (text) => {
    const recipe = parsedOf([text]);
    expect(unreadLines(recipe)).toEqual([]);
    expect(gramsIn(text)['honey']).toBe(43);
  });
});

describe('times and what is done', () => {
  it.each([
    ['Due uova. Applica per 20 minuti.', { minutes: 20 }],
    ['2 eggs. After 20 minutes soak it off with warm water.', { minutes: 20 }],
    ['2 eggs. Hour under a heat cap.', { minutes: 60, warmth: 'warm' }],
    ['2 eggs. I keep it in for thirty minutes.', { minutes: 30, keepsDays: null }],
    ['1 banana, 2 tbsp oats. 25 mins. Bits? Sieve it.', { minutes: 25, strained: true }],
    ['2 eggs. 20 min if it is mushy, 10 if it is just tired.', { minutes: 20 }],
    ["1 egg. In the fridge it's okay for a week.", { keepsDays: 7, minutes: null }],
    ['1 egg. Fridge 1 wk / freezer 3 mo', { keepsDays: 7 }],
    ['1 egg. In the fridge for 5 days.', { keepsDays: 5, minutes: null }],
    ['100 ml water, 1 tsp glycerin. Spray bottle. Two weeks.', { keepsDays: 14, minutes: null }],
    ['1 banana, then through one of my old socks.', { strained: true }],
    ['3 EL Leinsamen in 300 ml Wasser, durchs Geschirrtuch gewrungen.', { strained: true }],
    ['1 egg, 40 mins, shampoo.', { beforeWash: true }],
    ['1 egg, 40 mins. Then a proper shampoo.', { beforeWash: true }],
    ['200 g henna. Sits 6 hours. On for 3 hours, wrap it.', { minutes: 180 }],
    [
      '1 cup rice water (left overnight), 1 tbsp oil. Spray and leave 15 minutes.',
      { minutes: 15, overnight: false },
    ],
    ['honey and castor oil (leave overnight)', { overnight: true }],
    ['1 egg. 30 under cling film', { minutes: 30, cap: true }],
    ['1 egg, on 30 under a heat cap', { minutes: 30, warmth: 'warm' }],
    ['coconut oil, enough to cover my hair, 20 minutes', { minutes: 20, cap: false }],
    ['1 jar baby food. Thirty minutes. If you must use bananas, push them through a sieve.', { minutes: 30 }],
    ['For the love of god sieve it: 1 banana, 1 egg', { strained: true }],
  ])('%s', (text, told) => {
    expect(toldOf(text)).toMatchObject(told);
  });
});

it('a tea of herbs that nobody names is asked about', () => {
  expect(unreadLines(parsedOf(['herbal tea, honey, egg'])).map(({ text }) => text)).toEqual(['herbal tea']);
});

describe('what goes in only then, or no longer', () => {
  it.each([
    ["2 tbsp honey, 1 cup milk. If it's mushy, leave the honey out and add an egg.", ['honey', 'milk']],
    ["If it's mushy I leave honey out and add an egg. 2 tbsp honey, 1 cup milk", ['honey', 'milk']],
    ['1 jar baby food. If you must use real bananas, push them through a sieve.', ['baby-food']],
    ['1 egg, 20 minutes, rinse. Then my usual conditioner.', ['egg']],
    ['castor 2 tbsp, hot water bath to warm it.', ['castor-oil']],
    ['2 tbsp honey\nor agave', ['honey']],
    ['Before: 3 tbsp castor oil. Now: 1 egg', ['egg']],
    ['Coconut + lime, the famous one. Tin of coconut milk, 4 limes', ['coconut-milk', 'lime-juice']],
  ])('%s', (text, names) => {
    expect(namesOf(text)).toEqual(names);
  });

  it('is said to be optional where it depends', () => {
    const recipe = parsedOf(['1 cup milk, 2 tbsp honey. If my hair feels dry I add an egg.']);
    expect(
      readLines(recipe)
        .filter(({ assumptions }) => assumptions.some(({ code }) => code === 'optional'))
        .map(({ name }) => name),
    ).toEqual(['egg']);
  });
});

describe('what is told with other words than a list has', () => {
  it.each([
    ['óleo de coco, quanto baste pra cobrir o cabelo', ['coconut-oil']],
    ['I put beer on my hair. A can, left open. I mix half of it with one egg.', ['beer', 'egg']],
    ['Mi abuela hervía romero, un puñado, en medio litro de agua. Yo hago lo mismo.', ['rosemary', 'water']],
    ['1/2 oz each of avocado and jojoba oil', ['avocado-oil', 'jojoba-oil']],
    ['aceite de coco y de ricino, una cucharada de cada', ['castor-oil', 'coconut-oil']],
    ['faço o gel com linhaça: meia xícara pra um litro, fogo médio', ['linseed', 'water']],
    ['a cup of herb tea (nettle), 1 egg', ['egg', 'nettle']],
    ['shea + mango + cocoa, 100g each, melted', ['cocoa-butter', 'mango-butter', 'shea-butter']],
    ['A cup of mung beans through the grinder, 3 tbsp of the flour', ['mung']],
    [
      '3 cuillères de ghassoul, de l’eau tiède, 1 cuillère d’huile d’argan, 15 min',
      ['argan-oil', 'rhassoul', 'water'],
    ],
  ])('%s', (text, names) => {
    expect(namesOf(text)).toEqual(names);
  });
});
