import { readFileSync } from 'node:fs';
import path from 'node:path';
import { JSON_SCHEMAS } from '../scripts/lib/jsonSchemas';
import { calendarDay } from '../src/core/base/measures';
import { readRecipes, recipesTaken } from '../src/core/files/sharing';
import { READING_TABLE, readRecords, SESSION_TABLE } from '../src/core/files/tables';
import { larderOf } from '../src/core/hair/history';
import { testHead, valueOf } from '../src/core/lab/testing';
import { readBackup } from '../src/core/records/files';
import { storedRecordSchema, type StoredRecord } from '../src/core/records/shapes';

const docs = path.resolve(__dirname, '../docs');

describe('docs/formats.md', () => {
  const formats = readFileSync(path.join(docs, 'formats.md'), 'utf8');
  const blocks = [...formats.matchAll(/```json\n([\s\S]*?)```/g)].map((match) => match[1] ?? '');

  const tables = [...formats.matchAll(/```csv\n([\s\S]*?)```/g)].map((match) => match[1] ?? '');

  it('shows a whole backup that can be read', () => {
    const backup = blocks.find((block) => block.includes('velvet-rhythm-backup')) ?? '';
    const result = readBackup(backup);
    expect(result.ok ? [] : result.problems).toEqual([]);
    expect(result.ok && new Set(result.value.records.map((record) => record.kind)).size).toBe(
      storedRecordSchema.options.length,
    );
  });

  it.each(Object.entries(JSON_SCHEMAS))('comes with %s as the code would write it today', (name, text) => {
    expect(readFileSync(path.join(docs, name), 'utf8')).toBe(text);
  });

  it('shows a recipe file, and tables, that can be read where they fit together', () => {
    const json = blocks.find((block) => block.includes('velvet-rhythm-recipes')) ?? '';
    const file = valueOf(readRecipes(json));
    let count = 0;
    const stamp = () => ({ id: `read-${++count}`, recordedAt: '2026-11-26T09:00:00Z' });
    const head: StoredRecord = testHead({ name: 'Ilse' });
    const { records } = recipesTaken(
      file,
      { records: [head], larder: larderOf([head]), headId: 'h', today: calendarDay('2026-11-26') },
      stamp,
    );
    const here = { records: [head, ...records], today: '2026-11-26', stamp };
    const [readings = '', treatments = ''] = tables;
    expect(valueOf(readRecords(READING_TABLE, readings, here))).toMatchObject({ added: 1, unknown: [] });
    expect(valueOf(readRecords(SESSION_TABLE, treatments, here))).toMatchObject({ added: 1, unknown: [] });
  });
});
