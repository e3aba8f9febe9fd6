import { parsedOf } from '../../lab/testing';
import { CATALOGUE } from '../ingredients';
import { readLines, unreadLines } from '../larder';
import { LANGUAGES } from './languages';

/** One egg, and the word between a measure and its thing, in each language that is read. */
const SAID: Readonly<Record<keyof typeof LANGUAGES, { readonly egg: string; readonly of: string }>> = {
  en: { egg: '1 egg', of: 'of ' },
  pt: { egg: '1 ovo', of: 'de ' },
  es: { egg: '1 huevo', of: 'de ' },
  fr: { egg: '1 oeuf', of: 'de ' },
  de: { egg: '1 ei', of: '' },
  it: { egg: '1 uovo', of: 'di ' },
  hi: { egg: '1 anda', of: '' },
};

/** Measures that are things themselves: a walnut, a jar of baby food; "pour cent" in an English telling; EL before "Ei" alone. */
const ARE_THINGS = /nuez|noix|nut|petit pot|walnuss|noce|noz|pour cent|\bel\b/;

/** Every way to say "3 cups of blorbium" beside an egg. */
const WAYS: readonly ((measure: string, egg: string, of: string) => string)[] = [
  (measure, egg) => `3 ${measure} blorbium, ${egg}`,
  (measure, egg, of) => `${egg}, 3 ${measure} ${of}blorbium.`,
  (measure, egg) => `${egg}\n3 ${measure} blorbium`,
  (measure, egg) => `blorbium 3 ${measure}, ${egg}`,
  (measure, egg) => `${egg}. blorbium, 3 ${measure}.`,
  (measure, egg) => `3 ${measure} blorbium\n${egg}`,
];

it.each([
  '1 egg. 3 tbsp blorbium for my head',
  '1 egg. 3 tbsp blorbium goes in',
  '1 egg, 3 sheets of nori',
  '20 g shea, blorbium 20',
  'conditioner 3, a handful of nettle per litre',
])('%s: what is unknown is asked about, whatever is said of it', (text) => {
  expect(unreadLines(parsedOf([text]))).toHaveLength(1);
});

describe('something unknown without a measure is asked about, where it stands among things', () => {
  it.each([
    'Mix 1 egg, blorbium and 2 tbsp honey.',
    'egg, blorbium, honey',
    'egg (1), blorbium (some), honey',
    '1 egg, a spoonful of honey, and blorbium to finish',
    'Blend the banana with blorbium and a spoon of oil.',
    'I add blorbium and stir.',
    'honey + blorbium + egg',
    'a bit of blorbium, an egg, some oil',
    'Blorbium and an egg, mixed.',
    'I use blorbium oil and an egg.',
    'some blorbium butter and two eggs',
    'misture mel, blorbium e um ovo',
    'um ovo, um pouco de blorbium e mel',
    '1 œuf, un peu de blorbium, du miel',
    '1 Ei, etwas Blorbium, Honig',
    'un huevo, un poco de blorbium y miel',
    "un uovo, un po' di blorbium, miele",
  ])('%s', (text) => {
    expect(unreadLines(parsedOf([text])).map(({ text: asked }) => asked.toLowerCase())).toEqual([
      expect.stringContaining('blorbium'),
    ]);
  });

  it.each([
    '1 avocado, thawed, 2 tbsp honey',
    'Winter: I start with honey, then egg, just olive.',
    '2 tbsp honey and an egg, old school.',
    'Alors, 1 œuf, du miel, de l’huile d’olive',
    '1 egg white, whisked to foam, + 1 tsp honey',
  ])('%s: what only tells how is no thing', (text) => {
    expect(unreadLines(parsedOf([text]))).toEqual([]);
  });
});

describe('a misspelt name without a measure is what it can only mean', () => {
  it.each([
    ['1 egg, honney and yogurt', 'egg honey yogurt'],
    ['avacado and bananna with a bit of yoghourt', 'avocado banana yogurt'],
    ['egg yolk, mayonaise, avacado', 'egg-yolk mayonnaise avocado'],
    ['aloe vera, cocunut milk and honey', 'aloe-gel coconut-milk honey'],
    ['2 tbsp cusard apple, 1 egg', 'custard-apple egg'],
    ['rhasoul clay + honey', 'rhassoul honey'],
    ['um ovo, abacatte e um fio de azeite', 'egg avocado olive-oil'],
  ])('%s: %s', (text, ids) => {
    const recipe = parsedOf([text]);
    expect(
      readLines(recipe)
        .map(({ ingredientId }) => ingredientId)
        .join(' '),
    ).toBe(ids);
    const spelt = readLines(recipe).filter(({ assumptions }) =>
      assumptions.some(({ code }) => code === 'spelling'),
    );
    expect(spelt.length).toBeGreaterThan(0);
  });

  it('loses no name of the catalogue of which a letter is wrong, and takes few for another thing', () => {
    const names = CATALOGUE.map(({ name }) => name).filter((name) => /^[a-z]{7,}( [a-z]+)?$/.test(name));
    expect(names.length).toBeGreaterThan(150);
    const lost = names.filter((name) => {
      const middle = Math.floor(name.split(' ')[0]!.length / 2);
      const recipe = parsedOf([`1 egg, ${name.slice(0, middle)}${name.slice(middle + 1)} and 2 tbsp honey`]);
      return recipe.lines.filter(({ status }) => status !== 'note').length < 3;
    });
    expect(lost).toEqual([]);
  });
});

describe('so much of something unknown is asked about, whatever it is measured with', () => {
  it.each(Object.keys(LANGUAGES) as (keyof typeof LANGUAGES)[])('%s', (language) => {
    const { egg, of } = SAID[language];
    const measures = Object.values(LANGUAGES[language].units)
      .flatMap(([first]) => first ?? [])
      .filter((measure) => !ARE_THINGS.test(measure));
    expect(measures.length).toBeGreaterThan(20);
    // Each in two of the ways: an unknown word is compared with every name.
    const lost = measures
      .flatMap((measure, nth) => [nth, nth + 2].map((at) => WAYS[at % WAYS.length]!(measure, egg, of)))
      .filter((text) => {
        const recipe = parsedOf([text]);
        const read = readLines(recipe).map(({ ingredientId }) => ingredientId);
        return unreadLines(recipe).length !== 1 || read.join() !== 'egg';
      });
    expect(lost).toEqual([]);
  });
});
