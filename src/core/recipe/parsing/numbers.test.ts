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
