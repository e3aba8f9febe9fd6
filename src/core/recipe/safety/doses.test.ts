import { verdictOf, weighedOf } from '../../lab/testing';
import { cautionsFor } from './cautions';
import { dosesBeyondUse } from './doses';

const beyond = (...lines: string[]) =>
  dosesBeyondUse(weighedOf(lines), verdictOf(lines).finishedGrams).map(({ name }) => name);

describe('an amount far beyond use', () => {
  it.each([
    [['1 cup hydrolysed keratin', '2 tbsp honey'], ['hydrolysed keratin']],
    [['2 tbsp lye', '100 g olive oil'], ['lye']],
    [['1 tbsp phenoxyethanol', '100 g plain conditioner'], ['phenoxyethanol']],
    [['2 tbsp xanthan gum', '100 ml water'], ['xanthan gum']],
    [['3 tbsp citric acid', '200 ml water'], ['citric acid']],
  ])('%j is asked about', (lines, names) => {
    expect(beyond(...lines)).toEqual(names);
  });

  it.each([
    [['100 ml water', '10 g hydrolysed keratin', '30 g plain conditioner']],
    [['3 tbsp honey', '2 tbsp olive oil']],
    [['100 g henna', '300 ml water']],
    [['1 tbsp cider vinegar', '400 ml water']],
    [['11 g gelatin', '150 ml water']],
    [['98 g jojoba oil', '1 g lavender essential oil']],
  ])('%j is not', (lines) => {
    expect(beyond(...lines)).toEqual([]);
  });
});

it('bits are no caution where her method strains them out', () => {
  const lines = ['1 banana', '100 ml water'];
  const ids = (strained: boolean) =>
    cautionsFor(weighedOf(lines), verdictOf(lines), undefined, lines, strained).map(({ id }) => id);
  expect(ids(false)).toContain('strain');
  expect(ids(true)).not.toContain('strain');
});
