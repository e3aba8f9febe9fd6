import { readFileSync } from 'node:fs';
import path from 'node:path';
import { backupJsonSchema } from '../scripts/lib/backupJsonSchema';
import { readBackup, storedRecordSchema } from '../src/core/exchange';

const docs = path.resolve(__dirname, '../docs');

describe('docs/formats.md', () => {
  const formats = readFileSync(path.join(docs, 'formats.md'), 'utf8');
  const blocks = [...formats.matchAll(/```json\n([\s\S]*?)```/g)].map((match) => match[1] ?? '');

  it('shows a whole backup that can be read', () => {
    const backup = blocks.find((block) => block.includes('velvet-rhythm-backup')) ?? '';
    const result = readBackup(backup);
    expect(result.ok ? [] : result.problems).toEqual([]);
    expect(result.ok && new Set(result.value.records.map((record) => record.kind)).size).toBe(
      storedRecordSchema.options.length,
    );
  });

  it('comes with the schema that the code would write today', () => {
    expect(readFileSync(path.join(docs, 'backup.schema.json'), 'utf8')).toBe(backupJsonSchema());
  });
});
