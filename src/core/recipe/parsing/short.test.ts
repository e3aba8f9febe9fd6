import { gramsIn, parsedOf } from '../../lab/testing';
import { unreadLines } from '../larder';

describe('so much of one as of another', () => {
  it.each([
    ['as much honey as yogurt, 3 tbsp each', { honey: 64, yogurt: 46 }],
    ['autant de miel que de yaourt, 3 cuillères à soupe de chaque', { honey: 64, yogurt: 46 }],
    ['2 tbsp honey, half as much olive oil', { honey: 43, 'olive-oil': 14 }],
    ['2 tbsp honey, twice as much oil', { honey: 43, 'vegetable-oil': 55 }],
    ['3 colheres de creme, o dobro de babosa', { conditioner: 44, 'aloe-gel': 92 }],
    ['3 EL Joghurt, doppelt so viel Honig', { yogurt: 46, honey: 128 }],
    ['half banana half avocado, about 6 spoons', { banana: 42, avocado: 44 }],
  ])('%s', (text, grams) => {
    expect(gramsIn(text)).toEqual(grams);
  });

  it.each([
    ['conditioner 3, honey 1'],
    ['honey 1, conditioner 3, that is it'],
    ['three parts conditioner, one part honey'],
  ])('%s: three to one', (text) => {
    const { conditioner = 0, honey = 0 } = gramsIn(text);
    // By volume: honey is heavier by 1.45.
    expect(conditioner / honey).toBeCloseTo(3 / 1.45, 1);
  });

  it('a ratio behind what stands before it', () => {
    const grams = gramsIn('Vinegar rinse! 1:4 with water.');
    expect(grams['water']! / grams['cider-vinegar']!).toBeCloseTo(4, 1);
  });
});

describe('measures that nobody counts', () => {
  it.each([
    ['coconut milk, the whole can, and an egg', { 'coconut-milk': 380, egg: 50 }],
    ['leite de coco, a lata inteira, e um ovo', { 'coconut-milk': 380, egg: 50 }],
    [
      'I take a tin of coconut milk and an egg, spoon off the top – about half the tin',
      { 'coconut-milk': 190, egg: 50 },
    ],
    ['pumpkin from a tin, 5 big spoons, 1 egg', { pumpkin: 77, egg: 50 }],
    ['cider vinegar, two tablespoons in a litre', { 'cider-vinegar': 30, water: 1000 }],
    ['1 tbsp cider vinegar per litre', { 'cider-vinegar': 15, water: 1000 }],
    ['gelatine, 1 tbsp in 1/4 cup cold, then 1/4 cup hot', { gelatin: 9, water: 120 }],
    ['Okra. Ten of them? Sliced.', { okra: 120 }],
    ['Spirulina?? Yes. Teaspoon in 4 tbsp conditioner.', { spirulina: 2, conditioner: 59 }],
    ['No, sugar: half a teaspoon. Half a teaspoon of sugar.', { sugar: 2 }],
    ['murumuru 20, cupuacu 20 (in grams)', { 'murumuru-butter': 20, 'cupuacu-butter': 20 }],
    ['shea 40, vit e 1 - grams', { 'shea-butter': 40, 'vitamin-e': 1 }],
  ])('%s', (text, grams) => {
    expect(gramsIn(text)).toMatchObject(grams);
  });
});

describe('what a word stands for beside others', () => {
  const idsOf = (text: string) => Object.keys(gramsIn(text)).sort();

  it.each([
    ['castor + coconut + almond, a tbsp of each', ['almond-oil', 'castor-oil', 'coconut-oil']],
    ['2 tbsp castor, 2 tbsp coconut', ['castor-oil', 'coconut-oil']],
    ['oil (sunflower will do), 2 tbsp', ['sunflower-oil']],
    ['2 tbsp oil (half a small coffee cup)', ['vegetable-oil']],
    ['2 tbsp honey, 3 drops clove', ['clove-eo', 'honey']],
    ['rosmarinöl: 3 zweige, 200 ml olivenöl', ['olive-oil', 'rosemary']],
    ['2 tbsp vinegar (white, clear)', ['cider-vinegar']],
    ['uma xícara de água do arroz', ['rice-water']],
    ['dos cucharadas de aceite del coco', ['coconut-oil']],
    ['banane écrasée, bien mûre', ['banana']],
    ['rice flour gel - 2 tbsp flour', ['rice-flour']],
    ['2 tbsp kaolin, 1 kiwi, but do not overdo the kiwi', ['kaolin', 'kiwi']],
    ['2 tbsp linseed oil, 1 egg. Mix till there is no oil on top.', ['egg', 'linseed-oil']],
    ['quiabo, 8 picados, cobre de água, ferve', ['okra', 'water']],
    ['3 tbsp rhassoul, warm water as needed', ['rhassoul', 'water']],
    ['conditioner to cover my head, honey, 1 tbsp olive oil', ['conditioner', 'honey', 'olive-oil']],
    ['aquafaba, half a cup (that is the water off tinned chickpeas)', ['aquafaba']],
    ['mi abuela usaba cerveza, yo también: una lata', ['beer']],
    ['before wash - amla oil, enough to coat', ['amla-oil']],
    ["fill it halfway with flax goo, then conditioner until it's thick", ['conditioner', 'linseed-gel']],
    ['Bowl filled halfway with the flax goo, then cream until it is pale.', ['cream', 'linseed-gel']],
  ])('%s', (text, ids) => {
    expect(idsOf(text)).toEqual(ids);
    expect(unreadLines(parsedOf([text]))).toEqual([]);
  });

  it('powder alone is of what was named, and never of what stands behind', () => {
    expect(gramsIn('Milk powder mask. 3 tbsp powder, enough warm water')).toMatchObject({
      'milk-powder': expect.any(Number) as number,
    });
  });
});

describe('times and titles of short tellings', () => {
  it.each([
    ['castor oil, bonnet, wash next morning', { overnight: true }],
    ['2 eggs. Scalp, 20, shampoo twice', { minutes: 20 }],
    ['1 egg, rest 8 hrs, on for 3', { minutes: 180 }],
    ['2 eggs. Twenty-ish minutes', { minutes: 20 }],
    ['2 eggs. Leave 20, rinse cold', { minutes: 20, coolRinse: true }],
    ['2 mashed bananas. 45 mins warm', { minutes: 45, warmth: 'warm' }],
    ['100 ml water, 1 tsp glycerin, shake, two weeks max', { keepsDays: 14 }],
    ['2 tbsp oats, 100 ml milk, squeezed in a sock', { strained: true }],
    ['ein Ei, dann wie immer waschen', { beforeWash: true }],
  ])('%s', (text, told) => {
    expect(parsedOf([text]).told).toMatchObject(told);
  });

  it.each([
    ['protein one - 1 tsp gelatine, 3 tbsp hot water', 'Protein one'],
    ['hair butter (for 2 jars): 200 g shea, 80 g coconut oil', 'Hair butter'],
    ["ma recette c'est deux bananes, 1 oeuf", 'Ma recette'],
    ['Coconut oil – solid – a walnut of it, 1 tbsp beeswax.', null],
  ])('%s', (text, title) => {
    expect(parsedOf([text]).title).toBe(title);
  });
});
