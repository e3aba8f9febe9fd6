import { parsedOf } from '../../lab/testing';
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
