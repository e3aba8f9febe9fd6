import { calendarDay } from '../../base/measures';
import { demoRecords } from '../../lab/simulation';
import { ofKind, type StoredRecord } from '../../records/shapes';
import { headsIn, historyOf } from './selectHistory';

const demo = demoRecords(calendarDay('2026-05-13'));

describe('what is known of a head', () => {
  it('is its own, and the recipes are shared', () => {
    const [maren, pip] = ['maren', 'pip'].map((headId) => historyOf(demo, headId));
    expect(maren?.readings.every((reading) => reading.headId === 'maren')).toBe(true);
    expect(maren?.recipes).toEqual(pip?.recipes);
    expect((maren?.sessions.length ?? 0) + (pip?.sessions.length ?? 0)).toBe(ofKind(demo, 'session').length);
  });

  it('does not hold what was taken back', () => {
    const [session] = ofKind(demo, 'session');
    const withdrawal: StoredRecord = {
      kind: 'withdrawal',
      id: 'w',
      recordedAt: '2027-01-01T00:00:00Z',
      withdraws: session!.id,
    };
    const before = historyOf(demo, session!.headId).sessions.length;
    expect(historyOf([...demo, withdrawal], session!.headId).sessions).toHaveLength(before - 1);
  });

  it('shows a corrected head as it is now, in its old place', () => {
    const [maren] = ofKind(demo, 'head');
    const corrected: StoredRecord = {
      ...maren!,
      id: 'again',
      recordedAt: '2027-01-01T00:00:00Z',
      corrects: maren!.id,
      lengthCm: 50,
    };
    const heads = headsIn([...demo, corrected]);
    expect(heads.map((head) => head.headId)).toEqual(['maren', 'pip']);
    expect(heads.find((head) => head.headId === 'maren')?.lengthCm).toBe(50);
  });
});
