import { valueOf } from '../../lab/testing';
import { parseRecipe } from './parseRecipe';

const stepsOf = (text: string) => valueOf(parseRecipe(text)).steps;
/** What a step names, and of that what does not go in there. */
const namedIn = (text: string) =>
  stepsOf(text).map(({ names, notIn }) =>
    names.map(({ ingredientId, at }) => [
      ingredientId,
      notIn.every(({ start, end }) => at.start < start || at.start >= end),
    ]),
  );

describe('what the words of a step say of what goes in', () => {
  it.each([
    [
      'what others are poured into stays where it is',
      '200 ml water\n2 tbsp olive oil\nPour the olive oil into the water.',
      [
        ['olive-oil', true],
        ['water', false],
      ],
    ],
    ['what is left out', '2 tbsp shea butter\n1 tbsp honey\nMelt all but the honey.', [['honey', false]]],
    [
      'in Portuguese',
      '2 xícaras de água\n3 colheres de linhaça\nCozinhe a linhaça na água.',
      [
        ['linseed', true],
        ['water', false],
      ],
    ],
  ])('%s', (_, text, names) => {
    expect(namedIn(text)).toEqual([names]);
  });

  it('the rest, and a fork', () => {
    const marks = (text: string) => stepsOf(text).map(({ byHand, takesRest }) => [byHand, takesRest]);
    expect(marks('1 banana\n1 tbsp honey\nMash the banana with a fork. Stir in the rest.')).toEqual([
      [true, false],
      [false, true],
    ]);
    expect(marks('1 banana\n1 tbsp honey\nBlend both.')).toEqual([[false, false]]);
  });

  it('degrees that stand alone behind "to" and "at" heat and wait', () => {
    const told = stepsOf('100 g water, 5 g BTMS, both to seventy, pour slow, at forty 1 g preservative');
    expect(told.map(({ celsius }) => celsius).filter((degrees) => degrees !== null)).toEqual([70, 40]);
  });
});
