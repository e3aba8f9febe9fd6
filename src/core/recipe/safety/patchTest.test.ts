import { addDays, calendarDay } from '../../base/measures';
import { STAMP } from '../../lab/testing';
import type { PatchTest } from '../../records/shapes';
import { firstUsePermit, patchTestOf } from './patchTest';

const MONDAY = calendarDay('2026-03-02');
const test = (outcome: PatchTest['outcome'], changes: Partial<PatchTest> = {}): PatchTest => ({
  ...STAMP,
  id: `t-${outcome}`,
  kind: 'patch-test',
  headId: 'ada',
  recipeId: 'gel',
  startedOn: MONDAY,
  outcome,
  note: '',
  ...changes,
});
const use = (of: PatchTest | undefined, usedBefore: boolean, day: number, days = 2) =>
  firstUsePermit(of, usedBefore, addDays(MONDAY, day), days);

describe('the first use on a head', () => {
  it('asks for a patch test, waits two days, then asks how the skin is', () => {
    expect(use(undefined, false, 0)).toMatchObject({ may: false, act: 'start' });
    expect(use(test('waiting'), false, 0)).toMatchObject({ may: false, act: 'wait' });
    expect(use(test('waiting'), false, 1).why).toContain('one day more');
    expect(use(test('waiting'), false, 2)).toMatchObject({ may: false, act: 'read' });
    expect(use(test('clear'), false, 2).may).toBe(true);
    // The days are a rule of this head.
    expect(use(undefined, false, 0, 5).why).toContain('look for 5 days');
    expect(use(test('waiting'), false, 2, 5)).toMatchObject({
      act: 'wait',
      why: expect.stringContaining('3 days more'),
    });
  });

  it('is free for what was used before, unless the head reacted', () => {
    expect(use(undefined, true, 0).may).toBe(true);
    expect(use(test('reacted'), true, 9)).toMatchObject({ may: false, act: 'never' });
  });

  it('goes by the newest test of this recipe on this head', () => {
    const tests = [
      test('clear'),
      test('reacted'),
      test('clear', { headId: 'bo' }),
      test('clear', { recipeId: 'tea' }),
    ];
    expect(patchTestOf('gel', 'ada', tests)?.outcome).toBe('reacted');
    expect(patchTestOf('gel', 'bo', tests)?.outcome).toBe('clear');
    expect(patchTestOf('tea', 'bo', tests)).toBeUndefined();
  });
});
