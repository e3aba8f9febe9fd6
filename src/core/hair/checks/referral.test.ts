import { addDays, calendarDay } from '../../base/measures';
import { testReading, testTally } from '../../lab/testing';
import { referralFrom, referralOf } from './referral';

const today = calendarDay('2026-05-10');
const shed = (back: number, perDay: number) =>
  testReading(addDays(today, -back), { tally: testTally(4, perDay * 3, 3) });

describe('what is a doctor’s matter', () => {
  it('is very heavy shedding, not ordinary shedding', () => {
    expect(referralOf({ tally: testTally(3, 700, 4), scalp: [] })).toContain('dermatologist');
    expect(referralOf({ tally: testTally(3, 300, 4), scalp: [] })).toBeNull();
  });

  it.each([
    ['sores', 'sores'],
    ['patches', 'bald patches'],
    ['tender', 'tender'],
    ['pain', 'hurts'],
  ] as const)('is a scalp with %s', (sign, words) => {
    expect(referralOf({ tally: null, scalp: ['itch', sign] })).toMatch(
      new RegExp(`^Scalp: ${words}\\. .*doctor`),
    );
  });

  it('is not an itch or a flake', () => {
    expect(referralOf({ tally: null, scalp: ['itch', 'flakes'] })).toBeNull();
  });

  it('is shedding that doubles against her own counts, also under the limit for all', () => {
    const steady = [shed(30, 50), shed(20, 55), shed(10, 52)];
    expect(referralFrom(steady, today)).toBeNull();
    expect(referralFrom([...steady, shed(1, 120)], today)).toContain('rose from about 52 to 120 a day');
    expect(referralFrom([...steady, shed(1, 95)], today)).toBeNull();
  });

  it('is not said of a first count, of a day to come, or of long ago', () => {
    expect(referralFrom([shed(1, 120)], today)).toBeNull();
    expect(referralFrom([testReading(addDays(today, 3), { scalp: ['sores'] })], today)).toBeNull();
    expect(referralFrom([testReading(addDays(today, -90), { scalp: ['sores'] })], today)).toBeNull();
  });

  it('is taken back when the scalp is calm again, and not before', () => {
    const sore = testReading(addDays(today, -9), { scalp: ['sores'] });
    expect(referralFrom([sore, testReading(addDays(today, -4), { feel: 0 })], today)).toContain('sores');
    expect(referralFrom([sore, testReading(addDays(today, -4), { scalp: ['calm'] })], today)).toBeNull();
  });
});
