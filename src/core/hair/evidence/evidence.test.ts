import { addDays, calendarDay } from '../../base/measures';
import { STAMP, testHead, testReading, testSession, testStrand, testTally } from '../../lab/testing';
import type { Reading, Trial, TrialWash } from '../../records/shapes';
import { firstUsesTogether } from '../history';
import { trialOrder } from '../trials';
import { changeWords, sessionChange } from './sessionChange';
import { expectedHalfWidth, trialReport } from './trialReport';

const head = testHead();
const day = calendarDay('2026-05-10');
const later = (days: number) => addDays(day, days);
/** Five strands that stretch so far and return well. */
const stretched = (mm: number) => ({
  strands: Array.from({ length: 5 }, () => testStrand(100, 100 + mm, 100)),
});

describe('before and after of a treatment', () => {
  it('compares the reading before with the dry one after, and says whether that is more than their errors', () => {
    const readings = [
      testReading(day, stretched(40)),
      testReading(later(1), stretched(20), { moment: 'dry' }),
    ];
    const change = sessionChange(day, 'firmness', readings, head)!;
    expect(change.change.mean).toBeCloseTo(1, 0.7);
    expect(change.afterMoment).toBe('dry');
    expect(changeWords('firmness', change.change)).toMatch(/^firmer by 1.1, more than the error/);
  });

  it('takes the wet reading of the same day where there is no dry one, and nothing from a week later', () => {
    const before = testReading(day, stretched(30));
    const wet = testReading(day, stretched(28), { moment: 'after' });
    const late = testReading(later(7), stretched(10), { moment: 'dry' });
    const change = sessionChange(day, 'firmness', [before, wet, late], head);
    expect(change?.afterMoment).toBe('after');
    expect(changeWords('firmness', change!.change)).toContain('within the error');
    expect(sessionChange(day, 'firmness', [before, late], head)).toBeNull();
  });

  it('compares counts with the next count', () => {
    const readings = [
      testReading(day, { tally: testTally(30, 100, 3) }),
      testReading(later(3), { tally: testTally(14, 100, 3) }),
    ];
    const { change } = sessionChange(day, 'breakage', readings, head)!;
    expect(changeWords('breakage', change)).toMatch(/^0.5 times as many pieces a day, within the error/);
  });

  it('calls hardly anything unchanged', () => {
    expect(changeWords('porosity', { mean: 0.01, sd: 0.2 })).toContain('unchanged');
  });
});

describe('first uses', () => {
  it('in one week are said together, a week apart they are not', () => {
    const sessions = [
      testSession('gel', day),
      testSession('gel', later(20)),
      testSession('set', later(4)),
      testSession('oil', later(15)),
    ];
    expect(firstUsesTogether(sessions).map((group) => group.map(({ recipeId }) => recipeId))).toEqual([
      ['gel', 'set'],
    ]);
  });
});

const trial: Trial = {
  ...STAMP,
  kind: 'trial',
  id: 't',
  trialId: 't',
  headId: 'h',
  recipeId: 'gel',
  againstId: null,
  signal: 'firmness',
  startsOn: day,
  rounds: 4,
  washoutDays: 4,
  endsBy: later(60),
  givenUpOn: null,
};
const washes: TrialWash[] = trialOrder(trial).map((arm, index) => ({
  ...STAMP,
  kind: 'trial-wash',
  id: `w${index}`,
  trialId: 't',
  headId: 'h',
  day: later(4 * index),
  arm,
}));

/** Readings around each wash: the hair goes from 30 % stretch by so many points, by arm. */
function readWith(points: Record<TrialWash['arm'], number>, wobble = 0): Reading[] {
  return washes.flatMap(({ day: on, arm }, index) => [
    testReading(on, stretched(30), { id: `b${index}` }),
    testReading(addDays(on, 1), stretched(30 + points[arm] + wobble * (index % 2 === 0 ? 1 : -1)), {
      id: `d${index}`,
      moment: 'dry',
    }),
  ]);
}
const answerOf = (readings: readonly Reading[], asked = trial, done = washes) =>
  trialReport(asked, done, readings, [], head, true).answer;

describe('a trial', () => {
  it('says nothing of its answer before its end, however clear it looks', () => {
    const clear = readWith({ a: 20, b: 0 });
    const { answer } = trialReport(trial, washes, clear, [], head, false);
    expect(answer.what).toBe('runs');
    expect(answer.words).not.toMatch(/softer|firmer|\d/);
  });

  it('with a clear difference says which way and how much, with its interval', () => {
    const answer = answerOf(readWith({ a: 20, b: 0 }));
    expect(answer).toMatchObject({ what: 'difference', pairs: 4 });
    expect(answer.what === 'difference' && answer.mean).toBeCloseTo(-1, 0.7);
    expect(answer.words).toMatch(/^It leaves the hair softer than a wash without it: by 1.1/);
  });

  it('without any difference does not find one, and three that agree by luck are not believed too much', () => {
    const answer = answerOf(readWith({ a: 2, b: 2 }));
    expect(answer.what === 'difference' && [answer.low < 0, answer.high > 0]).toEqual([true, true]);
    expect(answer.words).toMatch(/^(Not settled|No difference)/);
    const few = answerOf(readWith({ a: 2, b: 2 }), trial, washes.slice(0, 6));
    expect(few.what === 'difference' && few.high - few.low).toBeGreaterThan(0.5);
  });

  it('is not answered from two rounds, and readings that are missing are named', () => {
    expect(answerOf(readWith({ a: 20, b: 0 }), trial, washes.slice(0, 4)).words).toContain(
      '1 more with both checks',
    );
    const holes = readWith({ a: 20, b: 0 }).filter(({ id }) => id !== 'd0');
    expect(trialReport(trial, washes, holes, [], head, true).rows[0]?.change).toBeNull();
  });

  it('of breakage is answered by a ratio of counts', () => {
    const counted = washes.map(({ day: on, arm }, index) =>
      testReading(addDays(on, 3), { tally: testTally(arm === 'a' ? 8 : 33, 90, 3) }, { id: `c${index}` }),
    );
    const answer = answerOf(counted, { ...trial, signal: 'breakage' });
    expect(answer.what === 'ratio' && answer.ratio.high).toBeLessThan(1);
    expect(answerOf(counted.slice(0, 2), { ...trial, signal: 'breakage' }).what).toBe('too-few');
  });

  it('names another new recipe, and washes out of the drawn order', () => {
    const sessions = [testSession('new-mask', later(5))];
    const swapped = washes.map((wash, index) =>
      index < 2 ? { ...wash, arm: wash.arm === 'a' ? ('b' as const) : ('a' as const) } : wash,
    );
    const { besides } = trialReport(trial, swapped, [], sessions, head, true);
    expect(besides).toEqual([
      '1 other recipe was used for the first time meanwhile.',
      '2 washes were not the one that had been drawn.',
    ]);
  });

  it('promises a sharper answer for more rounds', () => {
    const widths = [3, 6, 12].map((rounds) => expectedHalfWidth({ rounds, signal: 'firmness' }));
    expect(widths).toEqual([...widths].sort((a, b) => b - a));
  });
});
