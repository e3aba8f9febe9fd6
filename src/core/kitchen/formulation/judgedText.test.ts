import { CATALOGUE_LARDER } from '../../recipe/larder';
import { isTooGuessed, judgedText, toldHeadline } from './judgedText';

const judgedOf = (text: string) =>
  judgedText(text, { larder: CATALOGUE_LARDER, cup: 'us', head: undefined, school: 'any-protein' });

describe('a recipe of which much is guessed or not understood', () => {
  it.each([
    ['1 cup blorbium\n20 g castor oil\n15 g olive oil\n15 g jojoba oil\n2 drops lavender oil', true],
    ['1 tbsp blorbium\n1 cup yogurt\n1 egg', false],
    ['1 pinch blorbium, 1 pinch zorbium, 1 drop norbium\n200 g conditioner\n2 tbsp honey', false],
    ['60 % blorbium\n20 % aloe gel\n20 % glycerin', true],
    ['40 % blorbium\n40 % aloe gel\n20 % glycerin', false],
    // Nobody knows how much they are: as much as the others.
    ['2 tbsp honey\nblorbium\nzorbium\nnorbium\n1 tbsp olive oil', true],
    ['2 tbsp honey\nblorbium\n1 tbsp olive oil', false],
    // What is guessed and what is not understood add up.
    ['100 g blorbium\n100 g aloe gel\nconditioner', true],
    ['blorbium', true],
  ])('%s: %s', (text, expected) => {
    expect(isTooGuessed(judgedOf(text))).toBe(expected);
  });

  it('has no verdict for its headline', () => {
    const read = judgedOf('1 cup blorbium\n1 egg');
    if (!read.judged.ok) throw new Error(read.judged.problems[0].message);
    expect(toldHeadline(read.judged.value, read)).toBe('Too much is guessed to say');
    expect(read.judged.value.verdict.doubts.join(' ')).toContain('of the weight is not understood');
  });
});
