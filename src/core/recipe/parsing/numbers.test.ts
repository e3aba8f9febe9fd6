import { parsedOf } from '../../lab/testing';
import { readLines, unreadLines } from '../larder';

/** How each language says some numbers of minutes. */
const MINUTES: Readonly<Record<string, Readonly<Record<number, string>>>> = {
  English: {
    12: 'twelve minutes',
    25: 'twenty-five minutes',
    45: 'forty five minutes',
    35: 'thirty five minutes',
  },
  Portuguese: {
    12: 'doze minutos',
    25: 'vinte e cinco minutos',
    45: 'quarenta e cinco minutos',
    35: 'trinta e cinco minutos',
  },
  Spanish: {
    12: 'doce minutos',
    25: 'veinticinco minutos',
    45: 'cuarenta y cinco minutos',
    35: 'treinta y cinco minutos',
  },
  French: {
    12: 'douze minutes',
    25: 'vingt-cinq minutes',
    45: 'quarante-cinq minutes',
    35: 'trente-cinq minutes',
  },
  German: {
    12: 'zwölf Minuten',
    25: 'fünfundzwanzig Minuten',
    45: 'fünfundvierzig Minuten',
    35: 'fünfunddreißig Minuten',
  },
  Italian: {
    12: 'dodici minuti',
    25: 'venticinque minuti',
    45: 'quarantacinque minuti',
    35: 'trentacinque minuti',
  },
  Hindi: { 12: 'barah minute', 25: 'pachees minute', 45: 'paintalis minute', 35: 'paintees minute' },
};

describe('numbers as words', () => {
  it.each(Object.entries(MINUTES))('of %s say how long it is on', (_, said) => {
    for (const [minutes, words] of Object.entries(said))
      expect([words, parsedOf([`2 tbsp honey, ${words}`]).told.minutes]).toEqual([words, Number(minutes)]);
  });

  it('count what nobody knows, too: it is asked about, not left out', () => {
    expect(unreadLines(parsedOf(['two blorbs, 3 tbsp honey'])).map(({ text }) => text)).toEqual([
      'two blorbs',
    ]);
  });

  it('may stand in a name', () => {
    expect(unreadLines(parsedOf(['1 egg + 2 tbsp honey = the five star mask']))).toEqual([]);
  });

  it.each([
    ['taza y media de leche', 'milk', 371],
    ['eine Vierteltasse Honig', 'honey', 85],
    ['.5 cup flaxseeds', 'linseed', 84],
    ['paav katori dahi', 'plain yogurt', 62],
    ['duas colheres bem cheias de mel', 'honey', 55],
  ])('with shares: %s', (text, name, grams) => {
    expect(readLines(parsedOf([text])).map((line) => [line.name, Math.round(line.grams)])).toEqual([
      [name, grams],
    ]);
  });

  it('that add to a hundred without a measure are percents, and it is said', () => {
    const recipe = parsedOf([
      'Cream base 100 g: water 72, cetearyl alcohol 8, BTMS-50 6, shea 10, glycerin 4',
    ]);
    expect(recipe.title).toBe('Cream base');
    expect(readLines(recipe).map(({ unit, grams }) => [unit, grams])).toEqual(
      [72, 8, 6, 10, 4].map((share) => ['%', share]),
    );
    expect(readLines(recipe)[0]?.assumptions.map(({ code }) => code)).toContain('of-hundred');
  });
});

describe('mixed numbers and shares', () => {
  it.each([
    ['1-1/2 cups milk', 371],
    ['1 - 1/2 cup milk', 371],
    ['1 & 1/2 cups milk', 371],
    ['1+1/2 cups milk', 371],
    ['1 and 1/2 cups milk', 371],
    ['two-and-a-half cups milk', 618],
    ['a cup and 1/2 of milk', 371],
    ['1/2 a cup of milk', 124],
    ['2/3rds cup milk', 165],
    ['3/4ths cup milk', 185],
    ['1 &frac12; cups milk', 371],
    ['1 cup and a 1/2 milk', 371],
    ['1 cup minus 2 tbsp milk', 216],
    ['1 taza menos 2 cucharadas de leche', 216],
  ])('%s', (text, grams) => {
    expect(readLines(parsedOf([text])).map((line) => [line.ingredientId, Math.round(line.grams)])).toEqual([
      ['milk', grams],
    ]);
  });

  it.each([
    ['1/4 of an avocado, mashed', 'avocado', 38],
    ['2 large (60 g each) eggs', 'egg', 120],
    ['2 colheres de sopa e 1/2 de mel', 'honey', 53],
    ['2 c.s. de mel', 'honey', 43],
    ['1 c.c. de miel batida', 'honey', 7],
    ['honey x2 tbsp', 'honey', 43],
    ['an egg and a half', 'egg', 75],
    ['two bananas and a half', 'banana', 295],
  ])('%s', (text, id, grams) => {
    expect(readLines(parsedOf([text])).map((line) => [line.ingredientId, Math.round(line.grams)])).toEqual([
      [id, grams],
    ]);
  });
});

describe('times', () => {
  it.each([
    ['an hour and 15 mins', 75],
    ['1hr 30', 90],
    ['1h30', 90],
    ['1:30 h', 90],
    ['half an hour', 30],
    ['45 min to 1 hr', 53],
    ['20 mins - 30 mins', 25],
    ["15'", 15],
    ['30 mintues', 30],
  ])('on for %s', (said, minutes) => {
    const told = parsedOf([`2 tbsp honey, leave on for ${said}.`]).told.minutes;
    expect(told === null ? null : Math.round(told)).toBe(minutes);
  });

  it('misspelt overnight is overnight', () => {
    expect(parsedOf(['2 tbsp honey, leave it on overnite']).told.overnight).toBe(true);
  });
});

describe('misspelt measures', () => {
  it.each(['2 tabelspoons honey', '2 tablespons of honey', 'two tabelspoons honey', '2 tbps honey'])(
    '%s are what they can only mean',
    (text) => {
      expect(readLines(parsedOf([text])).map(({ ingredientId, unit }) => [ingredientId, unit])).toEqual([
        ['honey', 'tbsp'],
      ]);
    },
  );
});

describe('several names and several amounts', () => {
  const grams = (text: string) =>
    readLines(parsedOf([text])).map((line) => `${line.ingredientId ?? ''} ${Math.round(line.grams)}`);

  it.each([
    ['Oatmeal, honey and yogurt - 1/2 cup, 1 tbsp, and 2 tbsp', ['oats 41', 'honey 21', 'yogurt 31']],
    ['honey & yogurt (1 tbsp & 2 tbsp)', ['honey 21', 'yogurt 31']],
    ['honey and oil - 2 tbsp', ['honey 21', 'vegetable-oil 28']],
    ['2 tbsp honey, banana – half, 3 tbsp milk', ['honey 43', 'banana 59', 'milk 46']],
  ])('%s', (text, expected) => {
    expect(grams(text)).toEqual(expected);
  });

  it('behind the number of their row and a dash', () => {
    expect(grams('1 - 1/2 cup milk\n2 - 1 egg\n3 - 2 tbsp honey')).toEqual([
      'milk 124',
      'egg 50',
      'honey 43',
    ]);
    expect(grams('1-2 tbsp honey\n2-3 eggs')).toEqual(['honey 32', 'egg 125']);
  });

  it('in a row of their own instead of the last', () => {
    expect(grams('1 cup milk\n  or coconut milk if you are vegan\n2 tbsp honey')).toEqual([
      'milk 247',
      'honey 43',
    ]);
  });
});
