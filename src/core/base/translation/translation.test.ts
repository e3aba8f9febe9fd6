import portuguese from '../../../../data/languages/pt.json';
import starters from '../../../../data/starters.json';
import { speechOf } from '.';

/** Modules as they are read where a language is spoken from the start. */
function spoken<Modules>(language: 'en' | 'pt', read: () => Modules): Modules {
  let modules: Modules | undefined;
  jest.isolateModules(() => {
    const { speak } = require('../language') as typeof import('../language');
    speak(language === 'en' ? null : speechOf(language, portuguese));
    modules = read();
  });
  return modules!;
}

const core = () => ({
  ...(require('../language') as typeof import('../language')),
  ...(require('../measures') as typeof import('../measures')),
  ...(require('../../recipe/parsing') as typeof import('../../recipe/parsing')),
  ...(require('../../recipe/recipes') as typeof import('../../recipe/recipes')),
  ...(require('../../recipe/classification') as typeof import('../../recipe/classification')),
  ...(require('../../recipe/safety') as typeof import('../../recipe/safety')),
});
const en = spoken('en', core);
const pt = spoken('pt', core);

const parsedIn = ({ CATALOGUE_LARDER, parseRecipe }: typeof en, text: string) =>
  parseRecipe(text, { larder: CATALOGUE_LARDER });

describe('a language', () => {
  it('puts values where its own sentence wants them, and writes numbers with its own comma', () => {
    expect(en.t`Last reading: ${'x'}.`).toBe('Last reading: x.');
    expect(pt.t`Last reading: ${'x'}.`).toBe('Última medição: x.');
    expect([en.t`${2.5} g`, pt.t`${2.5} g`]).toEqual(['2.5 g', '2,5 g']);
    expect([en.fixed(0.125, 2), pt.fixed(0.125, 1), pt.fixed(-3, 1)]).toEqual(['0.13', '0,1', '-3,0']);
    expect([en.grouped(12400), pt.grouped(12400)]).toEqual(['12,400', '12.400']);
  });

  it('takes a value for text, whatever stands in it', () => {
    const hostile = '{{1}} $t(Save) <b>';
    expect(pt.t`Make it for ${hostile}`).toBe(`Fazer para ${hostile}`);
    expect(en.t`Make it for ${hostile}`).toBe(`Make it for ${hostile}`);
  });

  it.each([
    [0, 'readings', 'medição'],
    [1, 'reading', 'medição'],
    [2, 'readings', 'medições'],
    [1_000_000, 'readings', 'medições'],
  ])('says %i in the form that its rules ask for', (count, inEnglish, inPortuguese) => {
    expect(en.plural(count, 'reading', 'readings')).toBe(inEnglish);
    expect(pt.plural(count, 'reading', 'readings')).toBe(inPortuguese);
  });

  it('leaves in English what its file lacks', () => {
    expect(pt.inWords('a text that nobody wrote')).toBe('a text that nobody wrote');
  });

  it('writes dates in its own order and words', () => {
    const day = en.calendarDay('2026-03-05');
    expect(en.formatDay(day, 'EEEE d MMMM')).toBe('Thursday 5 March');
    expect(pt.formatDay(day, 'EEEE d MMMM')).toBe('quinta-feira, 5 de março');
    // A pattern for machines is no text.
    expect(pt.formatDay(day, 'yyyy-MM-dd')).toBe('2026-03-05');
  });
});

it('a schema without words of its own complains in the language', () => {
  const complaint = spoken('pt', () => {
    const { z } = require('zod') as typeof import('zod');
    return z.string().max(3).safeParse('hello').error?.issues[0]?.message;
  });
  expect(complaint).toMatch(/^Grande demais/);
});

describe('in Portuguese', () => {
  it.each(starters.map(({ name, lines }) => [name, lines] as const))(
    'the lines of “%s” are read, to the same grams and the same verdict',
    (_, lines) => {
      const inEnglish = parsedIn(en, lines.join('\n'));
      const inPortuguese = parsedIn(pt, lines.map(pt.inWords).join('\n'));
      const read = (parsed: typeof inEnglish) =>
        parsed.ok
          ? parsed.value.lines.map((line) =>
              line.status === 'read' ? [line.ingredientId, line.grams] : line.text,
            )
          : [];
      expect(read(inPortuguese)).toEqual(read(inEnglish));
      expect(read(inEnglish).length).toBe(lines.length);
    },
  );

  it('a recipe in English is read as before, and its ingredients are named in Portuguese', () => {
    const parsed = parsedIn(pt, '2 tbsp honey\n1 cup plain yogurt');
    expect(parsed.ok && parsed.value.lines.map((line) => (line.status === 'read' ? line.name : ''))).toEqual([
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
    const grams = ({ unitWord, ...rest }: typeof en, count: number) => {
      const parsed = parsedIn(
        { unitWord, ...rest },
        `${count} ${unitWord(unit, count)} ${rest.inWords('honey')}`,
      );
      const [line] = parsed.ok ? parsed.value.lines : [];
      return line?.status === 'read' ? line.grams : null;
    };
    for (const count of [1, 2]) {
      expect(grams(pt, count)).toBe(grams(en, count));
      expect(grams(en, count)).not.toBeNull();
    }
  });

  it('the demo is the same heads, readings and treatments; only its names are others', () => {
    const demo = (language: 'en' | 'pt') =>
      spoken(language, () => {
        const { demoRecords } = require('../../lab/simulation') as typeof import('../../lab/simulation');
        return demoRecords(en.calendarDay('2026-05-13'));
      });
    const figures = (records: ReturnType<typeof demo>) =>
      JSON.stringify(records, (key, value: unknown) =>
        /^(?:name|text|note|names|said)$/.test(key) ? undefined : value,
      );
    const [english, portuguese] = [demo('en'), demo('pt')];
    expect(figures(portuguese)).toBe(figures(english));
    expect(portuguese).not.toEqual(english);
  });

  it('what is written for a file is the same to the byte', () => {
    const day = en.calendarDay('2026-05-13');
    const written = (language: 'en' | 'pt') =>
      spoken(language, () => {
        const tables = require('../../files/tables') as typeof import('../../files/tables');
        const { writeBackup } = require('../../records/files') as typeof import('../../records/files');
        const records = demoInEnglish.map((record) =>
          record.kind === 'reading' && record.lengths.length > 0
            ? { ...record, lengths: record.lengths.map((each) => ({ ...each, cm: each.cm + 0.5 })) }
            : record,
        );
        return [
          tables.writeRecords(tables.READING_TABLE, records),
          tables.writeRecords(tables.SESSION_TABLE, records),
          writeBackup(records, '2026-05-13T12:00:00Z'),
        ];
      });
    const demoInEnglish = spoken('en', () =>
      (require('../../lab/simulation') as typeof import('../../lab/simulation')).demoRecords(day),
    );
    expect(written('pt')).toEqual(written('en'));
    expect(written('pt')[0]).toMatch(/crown \d+\.5/);
  });

  it('cautions, verdicts and signals are said in it, and computed as before', () => {
    expect(pt.CAUTIONS.map(({ id }) => id)).toEqual(en.CAUTIONS.map(({ id }) => id));
    expect(pt.CAUTIONS.filter(({ text }, index) => text === en.CAUTIONS[index]?.text)).toEqual([]);
  });
});
