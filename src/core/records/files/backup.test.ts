import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { demoRecords } from '../../lab/simulation';
import type { StoredRecord } from '../shapes';
import { backupSchema, readBackup, writeBackup } from './backup';
import { mergeRecords } from './merge';
import { packRecord, unpackRecord } from './packed';
import { DATA_VERSION } from './recordFile';

const demo = demoRecords(calendarDay('2026-05-13'));
const text = writeBackup(demo, '2026-05-13T12:00:00Z');
const changed = (change: (backup: any) => void) => {
  const backup = JSON.parse(text);
  change(backup);
  return JSON.stringify(backup);
};
const problemOf = (input: string) => {
  const result = readBackup(input);
  return result.ok ? null : result.problems[0].message;
};

describe('a backup', () => {
  it('comes back as it was written', () => {
    const backup = readBackup(text);
    expect(backup.ok && writeBackup(backup.value.records, backup.value.exportedAt)).toBe(text);
  });

  it.each([
    ['', 'not a JSON file'],
    ['{"a":', 'not a JSON file'],
    ['null', 'no Velvet Rhythm backup'],
    ['[]', 'no Velvet Rhythm backup'],
    ['{"format":"something-else","version":1}', 'no Velvet Rhythm backup'],
    [changed((backup) => (backup.version = DATA_VERSION + 1)), 'newer version'],
    [changed((backup) => (backup.records[3].kind = 'poem')), 'In record 4'],
    [changed((backup) => (backup.records[0].surprise = 1)), 'surprise'],
    [changed((backup) => backup.records.push({ ...backup.records[0], name: 'Another' })), 'share the id'],
    [changed((backup) => (backup.records = 'none')), 'In records'],
  ])('%.40s… is refused with what is wrong', (input, said) => {
    expect(problemOf(input)).toContain(said);
  });

  it('is read although an editor has put its mark before it', () => {
    expect(problemOf(`\uFEFF${text}`)).toBeNull();
  });

  it('counts the problems it does not list', () => {
    const broken = changed((backup) =>
      backup.records.forEach((record: any) => (record.recordedAt = 'yesterday')),
    );
    const result = readBackup(broken);
    expect(!result.ok && result.problems.at(-1)?.message).toMatch(/and \d+ more problems/);
  });

  it('with hostile keys pollutes nothing', () => {
    const hostile = text.replace('"format"', '"__proto__": {"polluted": true}, "format"');
    readBackup(hostile);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });

  it('that was damaged anywhere never throws', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: text.length - 2 }),
        fc.string({ maxLength: 4 }),
        fc.integer({ min: 0, max: 6 }),
        (at, put, cut) => {
          const result = readBackup(text.slice(0, at) + put + text.slice(at + cut));
          if (result.ok) expect(backupSchema.safeParse(result.value).success).toBe(true);
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('merging', () => {
  it('adds what is new, counts what is the same, and leaves out what differs', () => {
    const [first, second, third] = demo as [StoredRecord, StoredRecord, StoredRecord];
    const other = { ...second, recordedAt: '2020-01-01T00:00:00Z' } as StoredRecord;
    const reordered = Object.fromEntries(Object.entries(first).reverse()) as StoredRecord;
    const merge = mergeRecords([first, second], [reordered, other, third]);
    expect([merge.added, merge.same, merge.differing]).toEqual([[third], 1, [second.id]]);
  });
});

describe('a stored entry', () => {
  it('comes back as it was packed', () => {
    for (const record of demo) {
      const back = unpackRecord(packRecord(record));
      expect(back.ok && back.value).toEqual(record);
    }
  });

  it.each(['', '{', 'null', '7', '{"v":1}', '{"v":99,"record":{}}', '{"record":{}}'])(
    '%p is a problem, not a crash',
    (entry) => {
      expect(unpackRecord(entry).ok).toBe(false);
    },
  );
});
