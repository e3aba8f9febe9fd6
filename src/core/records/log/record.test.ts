import fc from 'fast-check';
import { inOrder, liveRecords, stampAfter, stampedAhead, withdrawalsOf, withOlder } from './record';

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

  it('of two corrections of one record are the newer one alone, and the other when that is undone', () => {
    const records = [note('a', 1), note('b', 2, 'a'), note('c', 3, 'a')];
    expect(ids(liveRecords(records))).toEqual(['c']);
    expect(ids(liveRecords([...records, withdrawal('w', 4, 'c')]))).toEqual(['b']);
    expect(ids(liveRecords([...records, withdrawal('w', 4, 'c'), withdrawal('x', 5, 'b')]))).toEqual(['a']);
  });

  it('follow what refers to what, whatever the clocks said', () => {
    // Undone, and undone again, by clocks that went back.
    const records = [note('a', 9), note('b', 5, 'a'), withdrawal('w', 3, 'b')];
    expect(ids(liveRecords(records))).toEqual(['a']);
    expect(ids(liveRecords([...records, withdrawal('v', 1, 'w')]))).toEqual(['b']);
    // A correction of a correction stands, though it was stamped before both, and though the one between was taken back.
    expect(ids(liveRecords([note('a', 3), note('b', 2, 'a'), note('c', 1, 'b')]))).toEqual(['c']);
    expect(ids(liveRecords([...records, note('c', 1, 'b')]))).toEqual(['c']);
  });

  it('are found among whatever refers to whatever: one at most of a record and its corrections', () => {
    const names = ['a', 'b', 'c', 'd', 'e', 'f'] as const;
    const anyRecord = fc.record({
      minute: fc.nat(4),
      what: fc.constantFrom('note', 'correction', 'withdrawal'),
      of: fc.constantFrom(...names),
    });
    fc.assert(
      fc.property(fc.array(anyRecord, { minLength: names.length, maxLength: names.length }), (drawn) => {
        const records = drawn.map(({ minute, what, of }, index) => {
          const id = names[index] ?? 'a';
          if (what === 'withdrawal') return withdrawal(id, minute, of);
          return note(id, minute, what === 'correction' ? of : undefined);
        });
        const live = liveRecords(records);
        expect(liveRecords([...records].reverse())).toEqual(live);
        const corrected = new Map(
          records.map((record) => [record.id, 'corrects' in record ? record.corrects : undefined]),
        );
        for (const one of live)
          for (const other of live) if (one.id !== other.id) expect(corrected.get(one.id)).not.toBe(other.id);
      }),
      { numRuns: 2000, seed: 20261128 },
    );
  });

  it('are found at once among ten thousand that correct each other in a row', () => {
    const row = Array.from({ length: 10_000 }, (_, index) =>
      note(
        `n${String(index).padStart(5, '0')}`,
        1,
        index === 0 ? undefined : `n${String(index - 1).padStart(5, '0')}`,
      ),
    );
    expect(ids(liveRecords(row))).toEqual(['n09999']);
  });
});

describe('taking back', () => {
  it('takes all that a record corrects with it, and what was taken back is known', () => {
    const records = [note('a', 1), note('b', 2, 'a'), note('z', 3)];
    const gone = withOlder(records[1] ?? note('', 0), records);
    expect(gone).toEqual(['b', 'a']);
    const after = [...records, ...gone.map((id, index) => withdrawal(`w${id}`, 4 + index, id))];
    expect(ids(liveRecords(after))).toEqual(['z']);
    expect(withdrawalsOf(new Set(['b', 'z']), after)).toEqual(['wb']);
  });
});

describe('a stamp', () => {
  it('comes after everything that is here, also where a clock was ahead', () => {
    expect(stampAfter(undefined, at(5))).toBe(at(5));
    expect(stampAfter(at(4), at(5))).toBe(at(5));
    const next = stampAfter('2027-01-01T00:00:00Z', at(5));
    expect(next).toBe('2027-01-01T00:00:00.001Z');
    const records = [
      { ...note('b', 1), recordedAt: '2027-01-01T00:00:00Z' },
      { ...note('a', 1), recordedAt: next },
    ];
    expect(ids(inOrder(records))).toEqual(['b', 'a']);
    expect(stampedAhead(records, at(5))).toBe(2);
    expect(stampedAhead(records, '2027-01-01T00:00:00Z')).toBe(0);
  });
});
