import { addDays, calendarDay } from '../../base/measures';
import { STAMP, testBatch, testHead, testRecipe, testSession } from '../../lab/testing';
import type { StoredRecord } from '../../records/shapes';
import { historyOf, recordsFor } from '.';

const day = calendarDay('2026-05-10');
const gel = testRecipe('gel', ['3 tbsp linseed', '200 ml water']);
const batch = testBatch('gel', day, { batchId: 'b', portions: 4, portionGrams: 55 });
const used = (id: string, on: typeof day, headId: string, portions: number): StoredRecord => ({
  ...STAMP,
  kind: 'batch-event',
  id,
  batchId: 'b',
  day: on,
  what: 'used',
  portions,
  place: null,
  headId,
  reason: '',
});
const gramsOf = (...records: StoredRecord[]) =>
  historyOf([testHead(), gel, batch, ...records], 'h').sessions.map(({ grams }) => grams);

describe('the grams of a session', () => {
  it('are those a batch gave that head that day', () => {
    expect(gramsOf(testSession('gel', day), used('u', day, 'h', 1.5))).toEqual([82.5]);
  });

  it('are added where it was used twice, and are not another head’s or another day’s', () => {
    expect(gramsOf(testSession('gel', day), used('u', day, 'h', 1), used('v', day, 'h', 0.5))).toEqual([
      82.5,
    ]);
    expect(gramsOf(testSession('gel', day), used('u', day, 'pip', 1))).toEqual([null]);
    expect(gramsOf(testSession('gel', day), used('u', addDays(day, 1), 'h', 1))).toEqual([null]);
  });

  it('that were written beside the session stay', () => {
    expect(gramsOf(testSession('gel', day, { grams: 40 }), used('u', day, 'h', 1))).toEqual([40]);
  });
});

describe('the records a state is computed from', () => {
  it('carry no pictures to the worker', () => {
    const photo: StoredRecord = {
      ...STAMP,
      kind: 'photo',
      id: 'p',
      headId: 'h',
      day,
      moment: 'dry',
      place: 'nape',
      widthPx: 10,
      heightPx: 10,
      jpeg: '/9j/AAAA',
    };
    expect(recordsFor([testHead(), gel, batch, photo], ['h']).map(({ id }) => id)).not.toContain('p');
  });
});
