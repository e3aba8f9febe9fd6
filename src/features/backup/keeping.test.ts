import { calendarDay } from '@/core/base/measures';
import { writeRecipes } from '@/core/files/sharing';
import { READING_TABLE, SESSION_TABLE, writeRecords } from '@/core/files/tables';
import { larderOf } from '@/core/hair/history';
import { STAMP, testHead, testReading, testRecipe, testSession, valueOf } from '@/core/lab/testing';
import { readBackup, writeBackup } from '@/core/records/files';
import type { StoredRecord } from '@/core/records/shapes';
import { incomingOf } from './incoming';
import { kindCounts, sizeText } from './kindWords';

const today = calendarDay('2026-05-13');
const day = calendarDay('2026-05-10');
const oat = testRecipe('oat', ['3 tbsp oats', '200 ml water'], { name: 'Oat veil' });
const records: StoredRecord[] = [testHead(), oat, testReading(day, { feel: 1 }), testSession('oat', day)];
const larder = larderOf(records);

let count = 0;
const stamp = () => ({ id: `new-${++count}`, recordedAt: '2026-05-13T10:00:00Z' });
const looked = (text: string, here: readonly StoredRecord[] = records) =>
  incomingOf(text, {
    records: here,
    larder: larderOf(here),
    today,
    headId: 'h',
    stamp,
    readBackup: async (file) => readBackup(file),
  });

describe('a file that somebody chose', () => {
  it('is told by what is in it: a backup', async () => {
    const text = writeBackup(records, STAMP.recordedAt);
    const incoming = valueOf(await looked(text, records.slice(0, 2)));
    if (incoming.what !== 'backup') throw new Error(incoming.what);
    expect(incoming.merge).toMatchObject({ same: 2, differing: [] });
    expect(incoming.merge.added.map(({ kind }) => kind)).toEqual(['reading', 'session']);
  });

  it('recipes', async () => {
    const text = writeRecipes(larder, ['oat'], [], STAMP.recordedAt);
    const incoming = valueOf(await looked(text, []));
    expect(incoming).toMatchObject({ what: 'recipes', taken: { names: ['Oat veil'], same: [] } });
  });

  it.each([
    ['readings', READING_TABLE],
    ['treatments', SESSION_TABLE],
  ] as const)('a table of %s', async (what, table) => {
    const text = writeRecords(table as typeof READING_TABLE, records);
    expect(valueOf(await looked(text))).toMatchObject({ what, table: { added: 0, corrected: 0, same: 1 } });
  });

  it.each([
    ['', 'none of the files'],
    ['Roses are red', 'none of the files'],
    ['{"format": "velvet-rhythm-backup"', 'not a JSON file'],
    ['[]', 'no Velvet Rhythm backup'],
    ['{"format": "velvet-rhythm-recipes", "version": 99}', 'newer version'],
    ['recipe,day\nOat veil,2026-05-01', 'missing'],
  ])('%p is refused with what is wrong', async (text, said) => {
    const incoming = await looked(text);
    expect(incoming.ok ? '' : incoming.problems[0].message).toContain(said);
  });
});

describe('how much there is, in words', () => {
  it('names each kind with its number, the most first', () => {
    const many = [...records, testReading(day, { feel: 0 }, { id: 'r2' })];
    expect(kindCounts(many)).toEqual([
      '2 checks',
      '1 description of a person',
      '1 version of a recipe',
      '1 treatment',
    ]);
  });

  it.each([
    [0, '0 bytes'],
    [999, '999 bytes'],
    [1500, '1.5 KB'],
    [143_900, '144 KB'],
    [2_500_000, '2.5 MB'],
    [10_700_000_000, '10.7 GB'],
    [7e13, '70000 GB'],
  ])('%p bytes are %s', (bytes, text) => {
    expect(sizeText(bytes)).toBe(text);
  });
});
