import { addDays } from '../../base/measures';
import { estimateHair } from '../../hair/estimation';
import {
  ALL,
  BALM,
  FROM as from,
  GUMMY,
  KNOWN,
  openProblem,
  STAMP,
  testHead,
  testHistory,
  testReading,
  testSession,
} from '../../lab/testing';
import type { Reading, Session } from '../../records/shapes';
import { decidedProblem } from './planQuestion';
import { todayAnswer } from './todayAnswer';

const recipes = [...ALL, BALM];
const stroke = (day: typeof from, changes: Partial<Reading> = {}): Reading => ({
  ...testReading(day, { feel: -2 }),
  id: `stroke-${day}`,
  headId: 'h',
  ...changes,
});

function answerWith(readings: readonly Reading[], sessions: readonly Session[] = [], free = 240) {
  const head = testHead({ freeMinutes: Array.from({ length: 7 }, () => free) });
  const history = testHistory({ recipes, readings, sessions: [...KNOWN, ...sessions] });
  const problem = openProblem({ head, history: { recipes, readings, sessions: history.sessions } });
  return todayAnswer(problem, 0, estimateHair(head, history, from), history);
}

describe('the answer of a day', () => {
  it('asks for a check before anything is done, and no more when the hair was felt', () => {
    expect(answerWith([]).ask).toMatchObject({ day: from, moment: 'before' });
    const answer = answerWith([stroke(from)]);
    expect([answer.ask, answer.isChecked]).toEqual([null, true]);
  });

  it('asks on no day without minutes', () => {
    const answer = answerWith([], [], 0);
    expect([answer.ask, answer.choice]).toEqual([null, null]);
    expect(answer.short).toContain('no free minutes');
  });

  it('asks once more when what was done today has dried, though it was felt before', () => {
    const done: Session = { ...testSession('light', from), recordedAt: `${from}T18:00:00Z` };
    const before = stroke(from, { moment: 'before', recordedAt: `${from}T09:00:00Z` });
    expect(answerWith([before], [done]).ask).toMatchObject({ day: from, moment: 'dry' });
    const dry = stroke(from, { id: 'dry', moment: 'dry', recordedAt: `${from}T21:00:00Z` });
    expect(answerWith([before, dry], [done]).ask).toBeNull();
    // Felt this morning, of an earlier treatment: it says nothing of today's.
    const morning = stroke(from, { id: 'm', moment: 'dry', recordedAt: `${from}T08:00:00Z` });
    expect(answerWith([morning], [done]).ask).not.toBeNull();
  });

  it('says in a few words what it takes, or why nothing goes on', () => {
    const soft = answerWith([{ ...GUMMY, headId: 'h' }]);
    expect(soft.short).toBe(`${soft.choice?.minutes} min on the hair.`);
    expect(answerWith([stroke(from, { feel: 0 })]).choice).toBeNull();
  });
});

describe('the question of the weeks', () => {
  const readings = [{ ...GUMMY, headId: 'h' }];
  const problem = openProblem({ history: { recipes, readings, sessions: KNOWN } });

  it('has today decided where the hair was felt or stretched on it, and open where it was not', () => {
    expect(decidedProblem(problem, readings).heads[0]?.decidedToday?.main?.firms).toBe(true);
    expect(decidedProblem(problem, []).heads[0]?.decidedToday).toBeUndefined();
    const yesterday = [{ ...GUMMY, headId: 'h', day: addDays(from, -1) }];
    expect(decidedProblem(problem, yesterday).heads[0]?.decidedToday).toBeUndefined();
    const other = [{ ...GUMMY, headId: 'k' }];
    expect(decidedProblem(problem, other).heads[0]?.decidedToday).toBeUndefined();
  });

  it('leaves what she decided about today, and a day on which something was done', () => {
    const decision = {
      ...STAMP,
      kind: 'decision',
      id: 'd',
      headId: 'h',
      day: from,
      slot: 'main',
      what: 'place',
      recipeId: 'balm',
    } as const;
    const hers = openProblem({ history: { recipes, readings, sessions: KNOWN, decisions: [decision] } });
    expect(decidedProblem(hers, readings).heads[0]?.decidedToday).toBeUndefined();
    const done = openProblem({
      history: { recipes, readings, sessions: [...KNOWN, testSession('balm', from)] },
    });
    expect(decidedProblem(done, readings).heads[0]?.decidedToday).toBeUndefined();
  });
});
