import fc from 'fast-check';
import { parseRecipe, readLines, RECIPE_LIMITS, unreadLines, type ParsedLine } from '.';

function lineOf(text: string): ParsedLine {
  const recipe = parseRecipe(text);
  if (!recipe.ok) throw new Error(recipe.problems[0].message);
  const [line] = recipe.value.lines;
  if (!line) throw new Error('no line');
  return line;
}

function gramsOf(text: string): number | string {
  const line = lineOf(text);
  return line.status === 'read' ? Math.round(line.grams * 10) / 10 : line.status;
}

describe('amounts as people write them', () => {
  it.each([
    ['2 tbsp soaked linseed', 21],
    ['half a papaya', 150],
    ['1 tsp honey', 7.1],
    ['100 ml oat milk', 103],
    ['½ cup plain yogurt', 123.6],
    ['1 1/2 cups water', 360],
    ['1½ tbsp honey', 32],
    ['1,5 tbsp honey', 32],
    ['1,500 g water', 1500],
    ['2-3 tbsp honey', 53.3],
    ['20g linseed', 20],
    ['honey, 2 tbsp', 42.6],
    ['2 Tbsp. of honey', 42.6],
    ['one large banana', 136],
    ['a quarter of a small mango', 40],
    ['3 eggs', 150],
    ['1 packet gelatin', 7],
    ['1 packet gelatin (12 g)', 12],
    ['2 gelatin sheets', 4],
    ['12 okra pods', 144],
    ['a few drops of rosemary essential oil', 0.1],
    ['juice of one lemon', 45],
    ['2 green tea bags', 4],
    ['2 colheres de sopa de mel', 42.6],
    ['1 EL Honig', 21.3],
    ['🍯 2 tbsp honey', 42.6],
    ['- 2 tbsp honey', 42.6],
    ['1 heaped tbsp honey', 27.7],
    ['about 2 cups milk', 494.4],
    ['2 garlic cloves', 6],
    ['1 clove garlic', 3],
    ['10 cloves', 0.9],
    ['3 tbsp melon seeds', 20.7],
  ])('%s weighs %d g', (text, grams) => {
    expect(gramsOf(text)).toBeCloseTo(grams, 1);
  });

  it('takes percents as parts of 100 g, and beside grams as parts of the whole', () => {
    const alone = parseRecipe('97% water\n3% glycerin');
    expect(alone.ok && readLines(alone.value).map((line) => line.grams)).toEqual([97, 3]);
    const beside = parseRecipe('90 g water\n10% glycerin');
    expect(beside.ok && readLines(beside.value).map((line) => Math.round(line.grams))).toEqual([90, 10]);
  });

  it('refuses percents that leave no room', () => {
    const recipe = parseRecipe('80% water\n50% glycerin');
    expect(recipe.ok && unreadLines(recipe.value).map((line) => line.problem.code)).toEqual([
      'over-100-percent',
      'over-100-percent',
    ]);
  });
});

describe('lines that are not understood', () => {
  it.each([
    ['honey', 'no-amount'],
    ['0 g honey', 'zero-amount'],
    ['-2 tbsp honey', 'negative-amount'],
    ['1/0 cup honey', 'bad-fraction'],
    ['1e9 g honey', 'absurd-amount'],
    ['5 florps honey', 'no-weight'],
    ['3 honey', 'no-weight'],
    ['2 cups blorb', 'unknown-ingredient'],
    ['3 tbsp мёд', 'unknown-ingredient'],
    ['🧴🧴', 'no-words'],
    ['x'.repeat(400), 'line-too-long'],
  ])('%s: %s', (text, code) => {
    const line = lineOf(text);
    expect(line.status === 'unread' && line.problem.code).toBe(code);
  });

  it('come with lines that would be understood', () => {
    const line = lineOf('2 tbsp flaxx seed');
    expect(line.status === 'unread' && line.suggestions).toContain('2 tbsp linseed');
    expect(gramsOf('2 tbsp linseed')).toBe(21);
  });

  it('are told apart from headings and instructions', () => {
    expect(lineOf('For the gel:').status).toBe('note');
    expect(lineOf('Mix well and leave for 30 minutes').status).toBe('note');
  });
});

describe('a whole text', () => {
  it('is refused when it is empty or endless', () => {
    const empty = parseRecipe(' \n\n ');
    expect(!empty.ok && empty.problems[0].code).toBe('empty');
    const endless = parseRecipe('1 tsp honey\n'.repeat(10_000));
    expect(!endless.ok && endless.problems[0].message).toContain('10,000 lines');
  });

  it('never throws and never loses a line, whatever is written', () => {
    const line = fc.oneof(
      fc.string({ unit: 'grapheme', maxLength: 60 }),
      fc.constantFrom(
        '2 tbsp honey',
        'half an avocado',
        '½ cup oats',
        '-1 egg',
        '3 / 0 g x',
        '1 (400 ml) can coconut milk',
      ),
    );
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 12 }), (lines) => {
        const text = lines.join('\n');
        const rows = text.split(/\r\n|\r|\n/).filter((row) => row.trim() !== '');
        const recipe = parseRecipe(text);
        expect(recipe.ok).toBe(rows.length > 0 && rows.length <= RECIPE_LIMITS.lines);
        if (recipe.ok)
          expect(recipe.value.lines.map((each) => each.text)).toEqual(rows.map((row) => row.trim()));
      }),
      { numRuns: 300 },
    );
  });

  it('doubles when every amount doubles', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.constantFrom('g honey', 'ml water', 'tbsp linseed', 'cups milk'),
        (n, what) => {
          const [one, two] = [gramsOf(`${n} ${what}`), gramsOf(`${2 * n} ${what}`)];
          if (typeof one === 'number' && typeof two === 'number') expect(two).toBeCloseTo(2 * one, 0);
        },
      ),
    );
  });

  it('says how a line was prepared, from its words or from what is usual', () => {
    const soaked = lineOf('3 tbsp fenugreek seeds, soaked and strained');
    expect(soaked.status === 'read' && soaked.preparationId).toBe('strained');
    const silent = lineOf('3 tbsp linseed');
    expect(
      silent.status === 'read' && [silent.preparationId, silent.assumptions.map(({ code }) => code)],
    ).toEqual(['boiled', ['usual-preparation']]);
  });
});
