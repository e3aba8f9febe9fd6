import fc from 'fast-check';
import { calendarDay } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import { headsIn, historyOf, larderOf } from '../../hair/history';
import { demoRecords } from '../../lab/simulation';
import { STAMP } from '../../lab/testing';
import { EMPTY_KITCHEN, planProblem } from '../../plan/planning';
import { classifyVersion } from '../../recipe/classification';
import { mergeRecords, readBackup, writeBackup } from '../../records/files';
import { storedRecordSchema, type StoredRecord } from '../../records/shapes';
import { recordsOfHead } from '../sharing';
import { isClean, spoilt } from './testing';

const RUNS = 3000;

const today = calendarDay('2026-05-13');
const demo = demoRecords(today);
/** One of each kind and a few more: small enough to be read thousands of times. */
const few = [...new Map(demo.map((record) => [record.kind, record])).values(), ...demo.slice(0, 8)].filter(
  (record, index, all) => record.kind !== 'photo' && all.indexOf(record) === index,
);
const BACKUP = writeBackup(few, STAMP.recordedAt);
/** What was taken is whole, and everything that starts from it can be worked out. */
function isUsable(records: readonly StoredRecord[]): void {
  for (const record of records) expect(storedRecordSchema.safeParse(record).success).toBe(true);
  const all = mergeRecords([], records).added;
  const known = larderOf(all);
  for (const recipe of known.recipes) classifyVersion(recipe, 'my-hair', known);
  const heads = headsIn(all);
  planProblem(
    heads.map((head) => {
      const history = historyOf(all, head.headId);
      recordsOfHead(all, head.headId);
      return { head, history, state: estimateHair(head, history, today) };
    }),
    EMPTY_KITCHEN,
    today,
    1,
  );
}

describe('backups that come in, damaged by chance or on purpose', () => {
  it(`${RUNS} backups: each is taken whole or not at all`, () => {
    let taken = 0;
    fc.assert(
      fc.property(spoilt(BACKUP), (text) => {
        const result = readBackup(text);
        if (result.ok) {
          if (taken++ % 40 === 0) isUsable(result.value.records);
        } else expect(result.problems[0].message.length).toBeGreaterThan(10);
        isClean();
      }),
      { numRuns: RUNS, seed: 20261125 },
    );
    // Some are only changed, not broken: both ways are walked.
    expect(taken).toBeGreaterThan(RUNS / 100);
    expect(taken).toBeLessThan(RUNS / 2);
  });

  it('a file that is too large is refused before it is looked into', () => {
    const large = `{"format":"velvet-rhythm-backup","version":1,"records":["${'x'.repeat(50_000_001)}"]}`;
    const result = readBackup(large);
    expect(!result.ok && result.problems[0].code).toBe('too-large');
  });
});
