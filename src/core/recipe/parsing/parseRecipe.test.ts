import fc from 'fast-check';
import { parsedOf } from '../../lab/testing';
import { RECIPE_LIMITS } from '../../records/shapes';
import { readLines, unreadLines, type ParsedLine } from '../larder';
import { parseRecipe } from './parseRecipe';

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

describe('what stands for something made before', () => {
  const gramsIn = (text: string) => {
    const recipe = parseRecipe(text);
    if (!recipe.ok) throw new Error(recipe.problems[0].message);
    return Object.fromEntries(
      readLines(recipe.value).map((line) => [line.ingredientId, Math.round(line.grams)]),
    );
  };

  it('is so much of all of it beside other things, and all of it alone', () => {
    expect(
      gramsIn('Boil 20 g linseed in 380 g water, strain. 40 g of that with 3 tbsp conditioner.'),
    ).toEqual({
      linseed: 2,
      water: 38,
      conditioner: 44,
    });
    expect(gramsIn('Soak 50 g rice in 500 g water, strain. Use a cup of that as the last rinse.')).toEqual({
      rice: 50,
      water: 500,
    });
  });

  it('is no name that stands behind it', () => {
    expect(gramsIn('One banana and 2 tbsp of that honey.')).toMatchObject({ banana: 118, honey: 43 });
  });
});

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
    ['500 ml water (strained)', 500],
    ['2 heaped spoons honey', 55.4],
    ['coconut milk (1 can)', 380],
    ['1 (400 ml) can coconut milk', 380],
    ['2 x 15 ml honey', 42.6],
    ['2 or 3 tbsp honey', 53.3],
    ['1 tbsp + 1 tsp honey', 28.4],
    ['1/2 cup plus 2 tbsp water', 150],
    ['meia xícara de leite de coco', 114],
    ['1 copo de leite', 206],
    ['10 gotas de óleo essencial de alecrim', 0.5],
    ['1 dente de alho', 3],
    ['1 cucharada de miel', 21.3],
    ['2 EL Honig', 42.6],
    ['1 TL Rizinusöl', 4.8],
    ['zwei Eier', 100],
    ['3 c. à soupe de miel', 63.9],
    ["1 c. à café d'huile de ricin", 4.8],
    ['un demi avocat', 75],
    ['Honey: 2 tbsp', 42.6],
    ['aloe vera gel 3 tbsp', 45.9],
    ['1 drizzle of olive oil', 4.6],
    ['5 hibiscus leaves', 5],
    ['2 sprigs rosemary', 3],
    ['1 bunch of mint', 30],
    ['two and a half cups water', 600],
    ['250ml/1 cup water', 250],
    ['1 sachet henna (100g)', 100],
    ['a quarter cup of olive oil', 55.2],
    ['1 metric cup water', 250],
    ['2 dl milk', 206],
    ['8oz coconut oil', 226.8],
    ['1 cup of brewed green tea, cooled', 240],
    ['2 tbsp nettle, infused', 4.5],
    ['1 cup cooked rice', 192],
    ['1 T honey', 21.3],
    ['1 t honey', 7.1],
    ['2 colheres (sopa) de mel', 42.6],
    ['1 colher de chá de mel', 7.1],
    ['1 cdta de miel', 7.1],
    ['3 Eßlöffel Honig', 63.9],
    ['3 Esslöffel Honig', 63.9],
    ['1 yaourt', 125],
    ["1 jaune d'œuf", 17],
    ["10 gouttes d'huile essentielle de lavande", 0.5],
    ['10 drops lavender e.o.', 0.5],
    ['lavender EO 10 drops', 0.5],
    ['lemon juice a few drops', 0.2],
    ['sugar, a pinch', 0.2],
    ['Quinoa 1/2 cup cooked', 85.2],
    ['Water.....70g', 70],
    ['| honey | 2 tbsp |', 42.6],
    ['rice water (fermented 24 h) 2 cups', 480],
    ['Ingredients: 2 tbsp honey', 42.6],
    ['1 vitamin E capsule', 0.3],
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
    const line = lineOf('2 tbsp fresh zirconnia');
    expect(line.status).toBe('unread');
    const near = lineOf('2 tbsp seed of flags');
    expect(near.status === 'unread' && near.suggestions.length).toBeGreaterThan(0);
    if (near.status === 'unread')
      for (const text of near.suggestions) expect(gramsOf(text)).not.toBe('unread');
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
          expect([...new Map(recipe.value.lines.map((each) => [each.row, each.text])).values()]).toEqual(
            rows.map((row) => row.trim()),
          );
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

describe('what had to be decided', () => {
  const firstRead = (text: string) => {
    const line = lineOf(text);
    if (line.status !== 'read') throw new Error(line.status);
    return line;
  };

  it.each([
    ['2-3 tbsp honey', 'range', ['2 tbsp honey', '3 tbsp honey']],
    ['half an avocado', 'medium-size', ['0.5 small avocado', '0.5 large avocado']],
    ['2 heaped tbsp honey', 'heaped', ['2 tbsp honey']],
    ['1 glug olive oil', 'vague-unit', ['30 ml olive oil']],
    ['milk and honey, 2 cups', 'also-names', ['2 cups honey', '2 cups milk\n2 cups honey']],
  ] as const)('in %s is said as %s, with the other choices', (text, code, lines) => {
    const assumption = firstRead(text).assumptions.find((each) => each.code === code);
    for (const line of lines) expect(assumption?.alternatives.map((each) => each.line)).toContain(line);
  });

  it('can be changed: every alternative is read without that doubt', () => {
    for (const text of [
      '2-3 tbsp honey',
      'half an avocado',
      '3 tbsp linseed',
      '1/2 cup oats',
      '2 tbsp hibiscus',
      '1 spoon honey',
    ]) {
      for (const { code, alternatives } of firstRead(text).assumptions) {
        for (const { line } of alternatives) {
          const other = firstRead(line);
          expect({ line, codes: other.assumptions.map((each) => each.code).includes(code) }).toEqual({
            line,
            codes: false,
          });
          if (code === 'vague-unit') continue;
          expect([other.grams, other.preparationId]).not.toEqual([
            firstRead(text).grams,
            firstRead(text).preparationId,
          ]);
        }
      }
    }
  });

  it.each([
    ['2 tbsp banna', 'banana'],
    ['3 tbsp linsede', 'linseed'],
    ['1 large avacado', 'avocado'],
    ['2 tbsp flaxx seed', 'linseed'],
    ['1 tsp glycerinn', 'glycerin'],
  ])('%s is taken for %s, and that is said', (text, name) => {
    const line = firstRead(text);
    expect([line.name, line.assumptions[0]?.code]).toEqual([name, 'spelling']);
  });

  it('does not guess at short words or between two that are equally near', () => {
    for (const text of ['2 tbsp olp', '1 cup xilk', '1 scoop wxyz protein'])
      expect(lineOf(text).status).toBe('unread');
  });

  it('says which word it does not know', () => {
    expect(firstRead('1 tbsp heather honey').assumptions[0]?.text).toContain('“heather” is not known');
    expect(firstRead('1 cup fresh organic milk').assumptions).toEqual([]);
  });

  it('asks about the milk, the butter or the flour of what it does not know, and whatever is near in letters', () => {
    for (const text of [
      '1 cup camel milk',
      '2 tbsp teff flour',
      '2 colheres de manteiga de pracaxi',
      '3 tbsp sapote juice',
    ])
      expect([text, lineOf(text).status]).toEqual([text, 'unread']);
  });
});

describe('a formula', () => {
  const text = [
    'Phase A: water phase',
    'water to 100%',
    '3% glycerin',
    'Phase B',
    '6% BTMS',
    '5% jojoba oil',
    'Cool-down phase',
    '1% preservative',
  ];

  it('fills up to 100 and knows its phases', () => {
    const lines = readLines(parsedOf(text));
    expect(lines.map(({ grams }) => grams)).toEqual([85, 3, 6, 5, 1]);
    expect(lines.map(({ phase }) => phase)).toEqual(['A', 'A', 'B', 'B', 'C']);
  });

  it('cannot be filled up twice, or beyond 100', () => {
    const twice = parsedOf(['water to 100%', 'aloe juice q.s. 100', '3% glycerin']);
    expect(unreadLines(twice).map(({ problem }) => problem.code)).toEqual(['no-room']);
    const over = parsedOf(['60% glycerin', '40% jojoba oil', 'water to 100%']);
    expect(unreadLines(over)[0]?.problem.message).toContain('nothing is left');
  });
});
