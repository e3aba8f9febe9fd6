import type { Messages } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import { z } from 'zod';
import { messages as english } from '../../../../data/languages/en';
import { messages as portuguese } from '../../../../data/languages/pt';
import methods from '../../../../data/methods.json';
import starters from '../../../../data/starters.json';
import { READING_TABLE, SESSION_TABLE, writeRecords } from '../../files/tables';
import { demoRecords } from '../../lab/simulation';
import { CATALOGUE } from '../../recipe/ingredients';
import { parseRecipe } from '../../recipe/parsing';
import { CAUTIONS } from '../../recipe/safety';
import { writeBackup } from '../../records/files';
import { fixed, grouped, inWords, listed, perLanguage, speak, worded } from '../language';
import { calendarDay, formatDay, unitWord } from '../measures';
import { speechOf } from '.';

const PORTUGUESE = speechOf('pt', portuguese);

/** What is said in a language, by the very modules that have said it in another before. */
function said<Said>(language: 'en' | 'pt', say: () => Said): Said {
  speak(language === 'en' ? null : PORTUGUESE);
  try {
    return say();
  } finally {
    speak(null);
  }
}
const both = <Said>(say: () => Said) => [said('en', say), said('pt', say)] as const;

describe('a language', () => {
  it('puts values where its own sentence wants them, and writes numbers with its own comma', () => {
    const why = 'x';
    expect(both(() => t`Last check: ${why}.`)).toEqual(['Last check: x.', 'Última medição: x.']);
    const value = 2.5;
    expect(both(() => t`${value} g`)).toEqual(['2.5 g', '2,5 g']);
    expect(both(() => fixed(0.125, 2))).toEqual(['0.13', '0,13']);
    expect(both(() => grouped(12400))).toEqual(['12,400', '12.400']);
    expect(both(() => listed(['a', 'b', 'c']))).toEqual(['a, b and c', 'a, b e c']);
  });

  it('takes a value for text, whatever stands in it', () => {
    const name = '{name} #{0} <b> {count, plural, other {x}}';
    expect(both(() => t`Make it for ${name}`)).toEqual([`Make it for ${name}`, `Fazer para ${name}`]);
    expect(both(() => inWords('{broken'))).toEqual(['{broken', '{broken']);
  });

  it.each([
    [0, '0 checks', '0 medição'],
    [1, '1 check', '1 medição'],
    [2, '2 checks', '2 medições'],
    [1_000_000, '1,000,000 checks', '1.000.000 de medições'],
  ])('says %i in the form that its rules ask for', (count, inEnglish, inPortuguese) => {
    expect(both(() => plural(count, { one: '# check', other: '# checks' }))).toEqual([
      inEnglish,
      inPortuguese,
    ]);
  });

  it('keeps open what is open in the texts of data: steps of the kitchen have their ingredients in every language', () => {
    const open = (text: string) => (text.match(/\{\w+\}/g) ?? []).sort();
    const texts = methods.flatMap(({ text, textIn }) => [text, textIn]);
    expect(texts.flatMap(open).length).toBeGreaterThan(20);
    for (const text of texts) expect(open(said('pt', () => inWords(text)))).toEqual(open(text));
  });

  it('leaves in English what its file lacks', () => {
    expect(said('pt', () => inWords('a text that nobody wrote'))).toBe('a text that nobody wrote');
  });

  it('writes dates in its own order and words', () => {
    const day = calendarDay('2026-03-05');
    expect(both(() => formatDay(day, 'EEEE d MMMM'))).toEqual([
      'Thursday 5 March',
      'quinta-feira, 5 de março',
    ]);
    // A pattern for machines is no text.
    expect(said('pt', () => formatDay(day, 'yyyy-MM-dd'))).toBe('2026-03-05');
  });

  it('reaches what was put together while another was spoken', () => {
    const table = perLanguage(() => ({ honey: inWords('honey') }));
    const entry = worded({ name: 'honey', grams: 3 }, 'name');
    expect(both(() => [table().honey, entry.name, { ...entry }.name, entry.grams])).toEqual([
      ['honey', 'honey', 'honey', 3],
      ['mel', 'mel', 'mel', 3],
    ]);
    expect(said('pt', () => table() === table())).toBe(true);
  });

  it('a schema without words of its own complains in it, and one with words says its own', () => {
    const plain = z.string().max(3);
    const own = z.string().max(3, { error: () => t`Give the person a name.` });
    const complaint = (schema: z.ZodString) => schema.safeParse('hello').error?.issues[0]?.message;
    expect(both(() => complaint(plain))).toEqual([
      expect.stringMatching(/^Too big/),
      expect.stringMatching(/^Grande demais/),
    ]);
    expect(both(() => complaint(own))[0]).toBe('Give the person a name.');
    expect(both(() => complaint(own))[1]).not.toBe('Give the person a name.');
  });
});

/** A message with the four forms that Polish counts with, each marked. */
function inFourForms(message: unknown): unknown {
  if (!Array.isArray(message)) return message;
  return (message as unknown[]).map((token) => {
    if (!Array.isArray(token)) return token;
    const [name, kind, forms] = token as [string, string, Record<string, unknown>];
    if (kind !== 'plural') return token;
    const form = (which: string) => [`<${which}>`, ...(forms.other as unknown[])];
    return [name, kind, { one: form('one'), few: form('few'), many: form('many'), other: form('other') }];
  });
}

it('a language with four forms of words counts with all of them', () => {
  const messages = Object.fromEntries(
    Object.entries(english).map(([id, message]) => [id, inFourForms(message)]),
  ) as Messages;
  speak({ ...PORTUGUESE, tag: 'pl', messages });
  const count = (hairs: number) => t`${plural(hairs, { one: '# hair', other: '# hairs' })} so far.`;
  expect([1, 2, 5, 1.5, 22].map(count)).toEqual([
    '<one>1 hairs so far.',
    '<few>2 hairs so far.',
    '<many>5 hairs so far.',
    '<other>1,5 hairs so far.',
    '<few>22 hairs so far.',
  ]);
  speak(null);
});

const linesOf = (text: string) => {
  const parsed = parseRecipe(text);
  return parsed.ok ? parsed.value.lines : [];
};

describe('in Portuguese', () => {
  it.each(starters.map(({ name, lines }) => [name, lines] as const))(
    'the lines of “%s” are read, to the same grams and the same verdict',
    (_, lines) => {
      const [inEnglish, inPortuguese] = both(() =>
        linesOf(lines.map(inWords).join('\n')).map((line) =>
          line.status === 'read' ? [line.ingredientId, line.grams] : line.text,
        ),
      );
      expect(inPortuguese).toEqual(inEnglish);
      expect(inEnglish.length).toBe(lines.length);
    },
  );

  it('a recipe in English is read as before, and its ingredients are named in Portuguese', () => {
    const lines = said('pt', () => linesOf('2 tbsp honey\n1 cup plain yogurt'));
    expect(lines.map((line) => (line.status === 'read' ? line.name : ''))).toEqual([
      'mel',
      'iogurte natural',
    ]);
  });

  it.each([
    'tsp',
    'tbsp',
    'dessertspoon',
    'spoon',
    'cup',
    'metric cup',
    'drop',
    'pinch',
    'handful',
    'glass',
  ] as const)('an amount in “%s” that the application writes is read back by it', (unit) => {
    for (const count of [1, 2]) {
      const [inEnglish, inPortuguese] = both(() => {
        const [line] = linesOf(`${count} ${unitWord(unit, count)} ${inWords('honey')}`);
        return line?.status === 'read' ? line.grams : null;
      });
      expect(inPortuguese).toBe(inEnglish);
      expect(inEnglish).not.toBeNull();
    }
  });

  const day = calendarDay('2026-05-13');

  it('the demo is the same heads, readings and treatments; only its names are others', () => {
    const figures = (records: ReturnType<typeof demoRecords>) =>
      JSON.stringify(records, (key, value: unknown) =>
        /^(?:name|text|note|names|said|words)$/.test(key) ? undefined : value,
      );
    const [inEnglish, inPortuguese] = both(() => demoRecords(day));
    expect(figures(inPortuguese)).toBe(figures(inEnglish));
    expect(inPortuguese).not.toEqual(inEnglish);
  });

  it('what is written for a file is the same to the byte', () => {
    const records = demoRecords(day).map((record) =>
      record.kind === 'reading' && record.lengths.length > 0
        ? { ...record, lengths: record.lengths.map((each) => ({ ...each, cm: each.cm + 0.5 })) }
        : record,
    );
    const [inEnglish, inPortuguese] = both(() => [
      writeRecords(READING_TABLE, records),
      writeRecords(SESSION_TABLE, records),
      writeBackup(records, '2026-05-13T12:00:00Z'),
    ]);
    expect(inPortuguese).toEqual(inEnglish);
    expect(inPortuguese[0]).toMatch(/crown \d+\.5/);
  });

  it('steps of the kitchen leave room for their ingredient', () => {
    const steps = () =>
      CATALOGUE.flatMap(({ preparations }) =>
        preparations.flatMap(({ stages }) => stages.map(({ text }) => text)),
      );
    const [inEnglish, inPortuguese] = both(() => steps().map((text) => text.split('{name}').length));
    expect(inPortuguese).toEqual(inEnglish);
    expect(inEnglish.some((parts) => parts > 1)).toBe(true);
  });

  it('cautions are said in it', () => {
    const [inEnglish, inPortuguese] = both(() => CAUTIONS.map(({ text }) => text));
    expect(inPortuguese.filter((text, index) => text === inEnglish[index])).toEqual([]);
  });
});
