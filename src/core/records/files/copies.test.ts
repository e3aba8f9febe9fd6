import { instantAt, millisecondsOf } from '../../base/measures';
import { copiesToDrop, isCopyDue, type Copy } from './copies';

const NOW = '2026-05-13T20:00:00.000Z';
const hoursAgo = (hours: number) => instantAt(millisecondsOf(NOW) - hours * 3_600_000);
const copy = (hours: number, why: Copy['why'] = 'daily'): Copy => ({
  id: `${why}-${hours}`,
  takenAt: hoursAgo(hours),
  records: 10,
  characters: 1000,
  why,
});
const kept = (copies: readonly Copy[]) => {
  const gone = copiesToDrop(copies);
  return copies.filter((each) => !gone.includes(each)).map(({ id }) => id);
};

describe('copies that are kept beside the records', () => {
  it.each([
    ['there is none', [], true],
    ['the last is an hour old', [copy(1)], false],
    ['the last is of yesterday evening', [copy(21)], true],
    ['there is only one from before a replacement', [copy(1, 'before')], true],
    ['the last was taken by a clock that was ahead', [copy(-500)], true],
  ] as const)('when %s', (_, copies, due) => {
    expect(isCopyDue(copies, NOW)).toBe(due);
  });

  it('taken day after day for a year are never more than a handful, and reach back over weeks', () => {
    let copies: Copy[] = [];
    for (let day = 365; day >= 0; day--) {
      const now = hoursAgo(24 * day);
      copies = [...copies, { ...copy(24 * day), takenAt: now }];
      const gone = copiesToDrop(copies);
      copies = copies.filter((each) => !gone.includes(each));
      expect(copies.length).toBeLessThanOrEqual(6);
    }
    const ages = copies.map(({ takenAt }) => (millisecondsOf(NOW) - millisecondsOf(takenAt)) / 86_400_000);
    expect(Math.min(...ages)).toBe(0);
    expect(ages.some((age) => age >= 1 && age < 14)).toBe(true);
    expect(ages.some((age) => age >= 28 && age <= 56)).toBe(true);
  });

  it('from before a replacement are the last two', () => {
    expect(kept([copy(1, 'before'), copy(2, 'before'), copy(3, 'before')])).toEqual(['before-1', 'before-2']);
  });
});
