import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { demoRecords } from '../../lab/simulation';
import {
  testHead,
  testReading,
  testRecipe,
  testSession,
  testStrand,
  testTally,
  valueOf,
} from '../../lab/testing';
import { liveRecords } from '../../records/log';
import { ofKind, type StoredRecord } from '../../records/shapes';
import { READING_TABLE } from './readingTable';
import { readRecords, writeRecords } from './recordTable';
import { SESSION_TABLE } from './sessionTable';
import { readTable, writeTable } from './table';

const today = calendarDay('2026-05-13');
const demo = demoRecords(today);
let count = 0;
const stamp = () => ({ id: `new-${++count}`, recordedAt: '2026-05-13T10:00:00Z' });
const read = (
  table: typeof READING_TABLE | typeof SESSION_TABLE,
  text: string,
  records: readonly StoredRecord[] = demo,
) => readRecords(table as typeof READING_TABLE, text, { records, today, stamp });
const said = (result: ReturnType<typeof read>) =>
  result.ok ? [] : result.problems.map(({ message }) => message);

const recipe = testRecipe('oat', ['3 tbsp oats'], { name: 'Oat veil' });
const mine: StoredRecord[] = [testHead(), recipe];
const readings = (rows: string, records = mine) =>
  read(READING_TABLE, `id,head,day,moment,strands,broken_shed,days,feel,scalp,lengths\n${rows}\n`, records);
const sessions = (rows: string, records = mine) =>
  read(SESSION_TABLE, `id,head,day,recipe,minutes,warmth,grams,note\n${rows}\n`, records);

describe('readings and treatments as tables', () => {
  it.each([
    ['readings', READING_TABLE],
    ['treatments', SESSION_TABLE],
  ] as const)('%s of the demo come back as they were: nothing new, nothing changed', (_, table) => {
    const text = writeRecords(table as typeof READING_TABLE, demo);
    const back = valueOf(read(table, text));
    expect(back).toMatchObject({ records: [], added: 0, corrected: 0, unknown: [] });
    expect(back.same).toBe(ofKind(liveRecords(demo), table.kind).length);
  });

  it('of another browser come with everything that was measured', () => {
    const heads = demo.filter(({ kind }) => kind === 'head');
    const back = valueOf(read(READING_TABLE, writeRecords(READING_TABLE, demo), heads));
    const plain = (records: readonly StoredRecord[]) =>
      ofKind(records, 'reading')
        .map(({ recordedAt: _, corrects: __, ...rest }) => rest)
        .sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(plain(back.records)).toEqual(plain(liveRecords(demo)));
  });

  it('a row that was changed corrects its record, and the old one stays', () => {
    const before = [...mine, testSession('oat', calendarDay('2026-05-01'), { id: 's1' })];
    const back = valueOf(sessions('s1,Ada,2026-05-01,Oat veil,45,warm,,lovely', before));
    expect(back).toMatchObject({ added: 0, corrected: 1 });
    expect(back.records[0]).toMatchObject({
      corrects: 's1',
      contactMinutes: 45,
      warmth: 'warm',
      note: 'lovely',
    });
  });

  it('a row without an id is new, and the same row read in again is not', () => {
    const row = ',ada,2026-05-02,oat veil,20,,"62,5",';
    const first = valueOf(sessions(row));
    expect(first.records[0]).toMatchObject({ contactMinutes: 20, warmth: 'room', grams: 62.5 });
    expect(valueOf(sessions(row, [...mine, ...first.records]))).toMatchObject({ added: 0, same: 1 });
  });

  it('strands, counts, scalp and lengths are written in one cell each', () => {
    const back = valueOf(
      readings(
        ',Ada,2026-05-02,dry,40 > 52 > 41 crown; 40 > 49 snapped; 38 snapped nape,5/12; 3/8,4,-2,itch; flakes,crown 20; nape 31.5',
      ),
    );
    expect(back.records[0]).toMatchObject({
      strands: [
        { outcome: 'returned', region: 'crown', restMm: 40, stretchedMm: 52, releasedMm: 41 },
        { outcome: 'snapped', region: null, restMm: 40, snappedMm: 49 },
        { outcome: 'snapped', region: 'nape', restMm: 38, snappedMm: null },
      ],
      tally: {
        sections: [
          { broken: 5, shed: 12 },
          { broken: 3, shed: 8 },
        ],
        days: 4,
      },
      feel: -2,
      scalp: ['itch', 'flakes'],
      lengths: [
        { place: 'crown', cm: 20 },
        { place: 'nape', cm: 31.5 },
      ],
    });
  });

  it.each([
    [',Eve,2026-05-02,dry,,,,1,,', 'Row 2, head: There is nobody called “Eve”; there is Ada.'],
    [',Ada,2.5.2026,dry,,,,1,,', 'Row 2, day: Write the day as 2026-03-31.'],
    [',Ada,2026-05-14,dry,,,,1,,', 'Row 2, day: That day has not come yet.'],
    [',Ada,2026-05-02,dry,52 > 40 > 41,,,,,', 'Row 2, strands: The stretched length cannot be shorter'],
    [',Ada,2026-05-02,dry,forty,,,,,', 'Row 2, strands: '],
    [',Ada,2026-05-02,dry,,5/12,,,,', 'Row 2, days: Write the days since the last detangle.'],
    [',Ada,2026-05-02,dry,,,,9,,', 'Row 2, feel: '],
    [',Ada,2026-05-02,dry,,,,,,', 'Row 2: Nothing was measured yet'],
    ['a b,Ada,2026-05-02,dry,,,,1,,', 'Row 2, id: This id was not written by this application'],
    ['h,Ada,2026-05-02,dry,,,,1,,', 'Row 2, id: This id belongs to something that is no reading.'],
    [
      ',Ada,2026-05-02,dry,,,,1,,\nx1,Ada,2026-05-02,dry,,,,2,,\nx1,Ada,2026-05-03,dry,,,,1,,',
      'Row 4, id: Two rows share this id.',
    ],
  ])('%s is refused: %s', (rows, message) => {
    expect(said(readings(rows)).join(' ')).toContain(message);
  });

  it.each([
    [',Ada,2026-05-02,Oat coat,20,,,', 'Row 2, recipe: No recipe is called “Oat coat”.'],
    [',Ada,2026-05-02,Oat veil,long,,,', 'Row 2, minutes: '],
    [',Ada,2026-05-02,Oat veil,20,hot,,', 'Row 2, warmth: '],
  ])('%s is refused: %s', (rows, message) => {
    expect(said(sessions(rows)).join(' ')).toContain(message);
  });

  it('names the first problems and counts the others', () => {
    const rows = Array.from({ length: 40 }, () => ',Eve,2026-05-02,dry,,,,1,,').join('\n');
    expect(said(readings(rows)).at(-1)).toBe('… and 32 more problems.');
  });

  it('a treatment of a recipe that was taken out since is still that recipe', () => {
    const session = testSession('oat', calendarDay('2026-05-01'), { id: 's1' });
    const records: StoredRecord[] = [
      ...mine,
      session,
      { kind: 'withdrawal', id: 'gone', recordedAt: '2026-05-02T10:00:00Z', withdraws: recipe.id },
    ];
    expect(
      valueOf(read(SESSION_TABLE, writeRecords(SESSION_TABLE as never, records), records)),
    ).toMatchObject({ same: 1, records: [] });
  });

  it('what was taken back since the table was written is not brought to life', () => {
    const records: StoredRecord[] = [
      ...mine,
      testReading(
        calendarDay('2026-05-01'),
        { strands: [testStrand(40, 52, 41)], tally: testTally(3, 9, 4) },
        { id: 'r1' },
      ),
    ];
    const text = writeRecords(READING_TABLE, records);
    const after: StoredRecord[] = [
      ...records,
      { kind: 'withdrawal', id: 'gone', recordedAt: '2026-05-02T10:00:00Z', withdraws: 'r1' },
    ];
    expect(said(read(READING_TABLE, text, after))[0]).toContain('changed or removed');
  });

  it('with one row of many things in one cell is parted where the headings are', () => {
    const one = ',Ada,2026-05-02,dry,40 > 52 > 41; 40 > 51 > 41; 40 > 53 > 41,5/12; 3/8; 2/9,4,,,';
    expect(valueOf(readings(one))).toMatchObject({ added: 1, unknown: [] });
  });

  it('is read as other spreadsheets write it: semicolons, a mark at the front, columns of her own', () => {
    const back = valueOf(
      read(READING_TABLE, '\uFEFFHead;Day;Moment;Feel;Mood\r\nAda;2026-05-02;dry;1;sunny\r\n', mine),
    );
    expect(back).toMatchObject({ added: 1, unknown: ['mood'] });
  });
});

describe('a cell', () => {
  it('comes back as it was, whatever stands in it', () => {
    const piece = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom(
        '=1+1',
        '+a',
        '-b',
        '@c',
        "'=x",
        "''-y",
        '-4',
        '"',
        ';',
        ',',
        '-2,5',
        'a;=b',
        '|\t@',
        ' =1',
        '  ',
      ),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(piece, piece), { minLength: 1, maxLength: 6 }), (rows) => {
        const cells = rows.map(([a, b]) => [`k${a}`, b]);
        const back = valueOf(readTable(writeTable(['a', 'b'], cells), ['a', 'b'], ['a', 'b']));
        expect(back.rows.map(({ text }) => [text('a'), text('b')])).toEqual(cells);
        expect(back.rows.map(({ cell }) => cell('b'))).toEqual(cells.map(([, b]) => b?.trim()));
      }),
    );
  });

  it.each(['=HYPERLINK("x")', '+1+2', '-1+2', '@SUM(A1)', '\tcmd', "'=already"])(
    '%s is text to a spreadsheet',
    (text) => {
      const [, row = ''] = writeTable(['a'], [[text]]).split('\r\n');
      expect(row.replace(/^"/, '').startsWith("'")).toBe(true);
    },
  );

  it.each([',', ';', '\t', '|'])('is no formula where “%s” parts the cells', (sign) => {
    const text = writeTable(['a', 'b'], [[`x${sign}=1+1`, `"${sign} @SUM(A1)`]]);
    // As a spreadsheet of that country would part it, quotes or not.
    for (const cell of text.split(/\r\n|[,;\t|]/)) expect(cell.replace(/^[" ]+/, '')).not.toMatch(/^[=@+-]/);
  });

  it('is quoted where it is a text, and a plain negative number stays a number', () => {
    expect(writeTable(['a'], [['-2'], ['-2.5'], ['two words'], ['']])).toBe(
      '"a"\r\n-2\r\n-2.5\r\n"two words"\r\n\r\n',
    );
  });
});
