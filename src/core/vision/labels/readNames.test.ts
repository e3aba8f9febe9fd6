import fc from 'fast-check';
import names from '../../../../data/labels/names.json';
import { likestName } from './nameIndex';
import { readNames, type ReadWord } from './readNames';

const wordsOf = (text: string, confidence = 0.95): ReadWord[] =>
  text
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => ({ text: word, confidence }));
const namesIn = (text: string) =>
  readNames(wordsOf(text))
    .filter(({ fate }) => fate !== 'struck')
    .map(({ name }) => name);

describe('the names on a label', () => {
  it('stand in their order, after the heading', () => {
    expect(
      namesIn('Ingredients: Aqua, Cetearyl Alcohol, Glycerin, Behentrimonium Chloride, Parfum.'),
    ).toEqual(['aqua', 'cetearyl alcohol', 'glycerin', 'behentrimonium chloride', 'parfum']);
  });

  it.each([
    ['letters are confused', 'Aqua, Cetearyl A1cohoI, Glycerln, Phenoxyethano1', 'phenoxyethanol'],
    ['commas are lost', 'Aqua Cetearyl Alcohol Glycerin Behentrimonium Chloride Citric Acid', 'citric acid'],
    ['commas are dots', 'Aqua. Cetearyl Alcohol. Glycerin. Linalool.', 'linalool'],
    ['a word is cut at the end of a line', 'Aqua, Behentrimo- nium Chloride, Panthenol', 'panthenol'],
    ['a space is lost', 'Aqua, CetearylAlcohol, Glycerin', 'glycerin'],
    ['an end is missing', 'Aqua, Cetearyl Alcoh, Glycerin', 'glycerin'],
  ])('are found though %s', (_, text, last) => {
    const found = namesIn(text);
    expect(found[0]).toBe('aqua');
    expect(found.at(-1)).toBe(last);
    expect(found.every((name) => (names as string[]).includes(name))).toBe(true);
  });

  it('keep commas that belong to a name', () => {
    expect(namesIn('Aqua, 1,2-Hexanediol, Glycerin')).toContain('1,2-hexanediol');
  });

  it('are asked about where a number is doubtful, and never changed into another in silence', () => {
    const [name] = readNames(wordsOf('Polyquaternium-1O, Aqua, Glycerin'));
    expect(name).toMatchObject({ name: 'polyquaternium-10', fate: 'accepted' });
    const [unsure] = readNames(wordsOf('Polyquaternium-1?, Aqua, Glycerin'));
    expect(unsure?.fate).not.toBe('accepted');
  });

  it('that nobody knows are asked about as they were read, where they were read well', () => {
    const text = 'Aqua, Glycerin, Florbium Zanthate, Parfum';
    const known = readNames(wordsOf(text)).find(({ name }) => name === 'Florbium Zanthate');
    expect(known).toMatchObject({ isKnown: false, fate: 'asked' });
    expect(readNames(wordsOf(text, 0.3)).find(({ name }) => name === 'Florbium Zanthate')?.fate).toBe(
      'struck',
    );
  });

  it('that nobody knows are not cut in two for a word that somebody does', () => {
    const found = readNames(wordsOf('Aqua, Zingiberene Glucoside, Glycerin, Parfum'));
    expect(found.map(({ name }) => name)).toContain('Zingiberene Glucoside');
  });

  it('end where the list ends, and headings and “contains” are none', () => {
    const found = namesIn(
      'Shampoo for soft hair INGREDIENTS/INGRÉDIENTS: Aqua, Glycerin, Parfum, Contains/Contient/Enthält: Linalool, Limonene. Directions: apply to wet hair and rinse well. Made in a kitchen.',
    );
    expect(found).toEqual(['aqua', 'glycerin', 'parfum', 'linalool', 'limonene']);
  });

  it('are what they are: every name of the vocabulary is read as itself', () => {
    for (const name of names as string[])
      if (name.replace(/[^a-z0-9]/g, '').length >= 3) {
        const found = likestName(name);
        expect(found?.edits).toBe(0);
      }
  });

  it('come out of any words without a throw, each at most once for its place', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('Aqua,', 'Cetyl', 'Alcohol,', '—', '12', 'x', '...', 'Glycerin'), {
          maxLength: 30,
        }),
        (words) => {
          const found = readNames(words.map((text) => ({ text, confidence: 0.9 })));
          found.slice(1).forEach(({ words: [from] }, index) => {
            expect(from).toBeGreaterThan(found[index]?.words[1] ?? -1);
          });
        },
      ),
    );
  });
});
