import { parsedOf } from '../../lab/testing';
import { CATALOGUE } from '../ingredients';
import { readLines } from '../larder';
import { namesOf } from './lexicon';

describe('rows as people paste them', () => {
  const read = (...rows: string[]) =>
    readLines(parsedOf(rows)).map(({ name, grams }) => `${name} ${Math.round(grams)}`);

  it.each([
    ['henna 100g + amla powder 2 tbsp + 1 egg', ['henna 100', 'amla powder 17', 'egg 50']],
    ['60 ml rosewater / 40 ml aloe juice', ['rose water 60', 'aloe juice 40']],
    ['1 avocado and the juice of 2 limes', ['avocado 150', 'lime juice 60']],
    ['castor oil and olive oil in equal parts', ['castor oil 29', 'olive oil 28']],
    ['Phase A: water 77%, glycerin 3%', ['water 77', 'glycerin 3']],
    ['keratin powder 2 %, water to 100 %', ['hydrolysed keratin 2', 'water 98']],
    ['1 cup brown rice soaked in 3 cups water for 24 hours', ['brown rice 187', 'water 720']],
    ['Leinsamen 4 EL, Wasser 500 ml, aufkochen', ['linseed 42', 'water 500']],
    ['500 ml water, 50 g marshmallow root, simmer 20 min', ['water 500', 'marshmallow root 50']],
    ['2tbs.honey,1tbs.olive oil,1egg', ['honey 43', 'olive oil 14', 'egg 50']],
    ['Aloe vera (2 leaves), blended with 100 ml water', ['aloe gel 200', 'water 100']],
    ['black tea, 2 bags steeped in 250 ml of hot water', ['black tea 4', 'water 250']],
    ['I use about half a cup of conditioner, an egg', ['plain conditioner 118', 'egg 50']],
    ['2 c. soupe de miel', ['honey 43']],
  ])('%s', (row, lines) => {
    expect(read(row)).toEqual(lines);
  });

  it('a piece of a list that is not known is said, and the others are read', () => {
    const list = parsedOf(['panthenol 1%, blorbium 2%, glycerin 3%']);
    expect(list.lines.map(({ status }) => status)).toEqual(['read', 'unread', 'read']);
  });

  it('the first row that names nothing is the title', () => {
    expect(parsedOf(['Sunday treat!!', '2 tbsp honey']).lines[0]?.status).toBe('note');
    expect(parsedOf(['2 tbsp honey', 'Sunday treat!!']).lines[1]?.status).toBe('unread');
  });
});

describe('a row that names several things', () => {
  const namesOf = (text: string) =>
    readLines(parsedOf([text])).map(({ name, grams }) => [name, Math.round(grams * 10) / 10]);

  it.each([
    [
      'honey and olive oil, 1 tbsp each',
      [
        ['honey', 21.3],
        ['olive oil', 13.8],
      ],
    ],
    [
      '1 tbsp each of honey and olive oil',
      [
        ['honey', 21.3],
        ['olive oil', 13.8],
      ],
    ],
    [
      '1 banana and 1 egg',
      [
        ['banana', 118],
        ['egg', 50],
      ],
    ],
    [
      '1 egg yolk + 1 tbsp olive oil',
      [
        ['egg yolk', 17],
        ['olive oil', 13.8],
      ],
    ],
    [
      'equal parts honey, olive oil and yogurt',
      [
        ['honey', 42.6],
        ['olive oil', 27.6],
        ['plain yogurt', 30.9],
      ],
    ],
  ] as const)('%s gives each', (text, names) => {
    expect(namesOf(text)).toEqual(names);
  });

  it('shares the last word of a list with those that lack it', () => {
    const names = (text: string) => readLines(parsedOf([text])).map(({ name }) => name);
    expect(names('equal parts coconut and castor oil')).toEqual(['coconut oil', 'castor oil']);
    expect(names('olive, sesame and argan oil, 1 tbsp each')).toEqual([
      'olive oil',
      'sesame oil',
      'argan oil',
    ]);
    expect(names('honey and castor oil, 1 tbsp each')).toEqual(['honey', 'castor oil']);
  });

  it('keeps every row of the text, however many lines it gives', () => {
    const recipe = parsedOf(['equal parts honey and olive oil', 'stir well', '1 egg']);
    expect(recipe.lines.map(({ row }) => row)).toEqual([0, 0, 1, 2]);
  });
});

describe('steps between the ingredients', () => {
  it('are notes, numbered or under a heading', () => {
    const recipe = parsedOf([
      'Ingredients:',
      '1 banana',
      'Method',
      '1. Mash the banana well',
      'Leave it on for 30 minutes',
      '30 minutes under a cap',
    ]);
    expect(recipe.lines.map(({ status }) => status)).toEqual([
      'note',
      'read',
      'note',
      'note',
      'note',
      'note',
    ]);
  });

  it('bring in what only they name, once', () => {
    const recipe = parsedOf(['1 cup yogurt', 'Stir 2 tbsp honey into the yogurt, then add 1 cup yogurt']);
    expect(readLines(recipe).map(({ name }) => name)).toEqual(['plain yogurt', 'honey']);
    expect(readLines(recipe)[1]?.assumptions.map(({ code }) => code)).toEqual(['from-instruction']);
  });
});

describe('every name in the catalogue', () => {
  it.each([
    ['after grams', (name: string) => `10 g ${name}`],
    ['after spoons', (name: string) => `2 tbsp ${name}`],
    ['before its amount', (name: string) => `${name}: 10 g`],
  ])('means its ingredient %s', (_, write) => {
    const wrong = CATALOGUE.flatMap((ingredient) =>
      [ingredient.name, ...namesOf(ingredient)].filter((each) => {
        const read = readLines(parsedOf([write(each)]));
        // Spoons of an oil that is only called after a herb are of what it was steeped in.
        const isSteeped =
          / oil$|^(?:óleo|aceite|huile|olio) /.test(each) && /infused-oil$/.test(read[0]?.ingredientId ?? '');
        const isOwn = read[0]?.ingredientId === ingredient.id;
        return read.length !== 1 || !(isOwn || (isSteeped && ingredient.roles.includes('essential-oil')));
      }),
    );
    // A dried leaf may be called after its plant, and is then told by the word before it.
    expect(wrong.filter((name) => name !== 'folha de feno-grego')).toEqual([]);
  });
});
