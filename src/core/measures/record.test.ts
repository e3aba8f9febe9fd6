import { liveRecords } from '.';

const at = (minute: number) => `2026-05-01T10:${String(minute).padStart(2, '0')}:00Z`;
const note = (id: string, minute: number, corrects?: string) => ({
  id,
  kind: 'note',
  recordedAt: at(minute),
  ...(corrects ? { corrects } : {}),
});
const withdrawal = (id: string, minute: number, withdraws: string) => ({
  id,
  kind: 'withdrawal',
  recordedAt: at(minute),
  withdraws,
});
const ids = (records: readonly { id: string }[]) => records.map((record) => record.id);

describe('live records', () => {
  it('leave out what was withdrawn', () => {
    expect(ids(liveRecords([note('a', 1), note('b', 2), withdrawal('w', 3, 'a')]))).toEqual(['b']);
  });

  it('bring back what was withdrawn when the withdrawal is withdrawn', () => {
    const records = [note('a', 1), withdrawal('w1', 2, 'a'), withdrawal('w2', 3, 'w1')];
    expect(ids(liveRecords(records))).toEqual(['a']);
  });

  it('show the correction in the place of what it corrects, and the old one again when it is undone', () => {
    const corrected = [note('a', 1), note('b', 2, 'a')];
    expect(ids(liveRecords(corrected))).toEqual(['b']);
    expect(ids(liveRecords([...corrected, withdrawal('w', 3, 'b')]))).toEqual(['a']);
  });

  it('do not depend on the order in which records arrive', () => {
    const records = [note('a', 1), note('b', 2, 'a'), withdrawal('w', 3, 'b'), note('c', 4)];
    expect(liveRecords([...records].reverse())).toEqual(liveRecords(records));
  });
});
