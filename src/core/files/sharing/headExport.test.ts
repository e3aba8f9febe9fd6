import { calendarDay } from '../../base/measures';
import { headsIn, historyOf } from '../../hair/history';
import { demoRecords } from '../../lab/simulation';
import { STAMP, testBatch, testHead, testReading, testRecipe, testSession, valueOf } from '../../lab/testing';
import { makeLarder } from '../../recipe/larder';
import { readBackup, writeBackup } from '../../records/files';
import { ofKind, type StoredRecord } from '../../records/shapes';
import { recordsOfHead } from './headExport';

const day = calendarDay('2026-01-05');
const gel = testRecipe('gel', ['3 tbsp linseed', '200 ml water']);
const cream = testRecipe('cream', ['100 g gel'], {}, makeLarder({ recipes: [gel] }));
const other = testRecipe('other', ['2 tbsp honey']);
const ada = testHead();
const bo = testHead({ id: 'b', headId: 'b', name: 'Bo' });
const taken = testReading(day, { feel: 1 }, { id: 'taken-back' });
const back: StoredRecord = { ...STAMP, kind: 'withdrawal', id: 'w', withdraws: 'taken-back' };
const records: StoredRecord[] = [
  gel,
  cream,
  other,
  ada,
  bo,
  testSession('cream', day),
  testSession('other', day, { id: 'bo-session', headId: 'b' }),
  taken,
  back,
  testBatch('cream', day),
];

describe('one head, to hand over', () => {
  const handed = recordsOfHead(records, 'h');
  const ids = handed.map(({ id }) => id);

  it('is its own records, the recipes that they name and what these are made of', () => {
    expect([...ids].sort()).toEqual(
      ['cream-1', 'gel-1', 'h', `session-cream-${day}`, 'taken-back', 'w'].sort(),
    );
  });

  it('tells nothing of another head, and nothing of the kitchen', () => {
    expect(headsIn(handed).map(({ name }) => name)).toEqual(['Ada']);
    expect(ids).not.toContain('bo-session');
    expect(ofKind(handed, 'batch')).toEqual([]);
  });

  it('keeps taken back what was taken back', () => {
    expect(historyOf(handed, 'h').readings).toEqual([]);
  });

  it('is a backup like any other, with the history that it had', () => {
    const demo = demoRecords(calendarDay('2026-05-13'));
    const [maren] = headsIn(demo);
    if (!maren) throw new Error('the demo has a head');
    const text = writeBackup(recordsOfHead(demo, maren.headId), '2026-05-13T12:00:00Z');
    const there = historyOf(valueOf(readBackup(text)).records, maren.headId);
    const here = historyOf(demo, maren.headId);
    expect(there.readings).toEqual(here.readings);
    expect(there.sessions.map(({ id, day: on }) => [id, on])).toEqual(
      here.sessions.map(({ id, day: on }) => [id, on]),
    );
    expect(text).not.toContain('"Pip"');
  });
});
