import fc from 'fast-check';
import { addDays, calendarDay } from '../../base/measures';
import { STAMP, testReading } from '../../lab/testing';
import { trialSchema, type HairSide, type Reading, type Trial, type TrialWash } from '../../records/shapes';
import { armOn, firstSide, shortestDays, trialOrder } from './trial';
import { trialState } from './trialState';

const day = calendarDay('2026-05-10');
const trial: Trial = trialSchema.parse({
  ...STAMP,
  kind: 'trial',
  id: 't',
  trialId: 'trial-7',
  headId: 'h',
  recipeId: 'gel',
  againstId: 'set',
  signal: 'firmness',
  startsOn: day,
  rounds: 3,
  washoutDays: 4,
  endsBy: addDays(day, 40),
  givenUpOn: null,
});
const wash = (index: number, arm: TrialWash['arm'], back = 4): TrialWash => ({
  ...STAMP,
  kind: 'trial-wash',
  id: `w${index}`,
  trialId: trial.trialId,
  headId: 'h',
  day: addDays(day, back * index),
  arm,
});

describe('the order of a trial', () => {
  it('has both arms in each round, is drawn, and stays the same', () => {
    fc.assert(
      fc.property(fc.uuid(), fc.integer({ min: 3, max: 12 }), (trialId, rounds) => {
        const order = trialOrder({ trialId, rounds });
        expect(order).toHaveLength(2 * rounds);
        for (let round = 0; round < rounds; round++)
          expect([...order.slice(2 * round, 2 * round + 2)].sort()).toEqual(['a', 'b']);
        expect(trialOrder({ trialId, rounds })).toEqual(order);
      }),
    );
  });

  it('begins with either arm about as often', () => {
    const firsts = Array.from(
      { length: 400 },
      (_, index) => trialOrder({ trialId: `t${index}`, rounds: 3 })[0],
    );
    const share = firsts.filter((arm) => arm === 'a').length / firsts.length;
    expect(share).toBeGreaterThan(0.4);
    expect(share).toBeLessThan(0.6);
  });
});

describe('a trial of two sides', () => {
  const sides: Trial = { ...trial, sides: true, signal: 'firmness', rounds: 4 };

  it('has each recipe on each side as often, to one, and both sides are read, the drawn one first', () => {
    fc.assert(
      fc.property(fc.uuid(), fc.integer({ min: 3, max: 12 }), (trialId, rounds) => {
        const order = trialOrder({ trialId, rounds, sides: true });
        expect(order).toHaveLength(rounds);
        const left = order.filter((arm) => arm === 'a').length;
        expect(Math.abs(2 * left - rounds)).toBeLessThanOrEqual(1);
      }),
    );
    const done = wash(0, trialOrder(sides)[0]!);
    const first = firstSide(sides.trialId, 0);
    const other = first === 'left' ? 'right' : 'left';
    const read = (side: HairSide) => ({
      ...testReading(addDays(day, 1), { feel: 0 }, { moment: 'dry' }),
      side,
    });
    const dueAfter = (...read: Reading[]) => trialState(sides, [done], read, addDays(day, 1)).readingDue;
    expect([dueAfter(), dueAfter(read(first)), dueAfter(read(first), read(other))]).toEqual([
      first,
      other,
      null,
    ]);
    expect(trialState(sides, [done], [], addDays(day, 3)).readingDue).toBeNull();
  });

  it('needs half the washes, and no count of pieces', () => {
    expect(shortestDays(sides)).toBe(13);
    expect(trialState(sides, [], [], day).of).toBe(4);
    expect(trialSchema.safeParse({ ...sides, signal: 'breakage' }).success).toBe(false);
    expect([armOn('left', 'a'), armOn('right', 'a'), armOn('right', 'b')]).toEqual(['a', 'b', 'a']);
  });
});

describe('a trial under way', () => {
  it('asks for its first wash at once and for the reading before it', () => {
    const state = trialState(trial, [], [], day);
    expect(state).toMatchObject({ done: 0, of: 6, readingDue: 'before' });
    expect(state.stage).toMatchObject({ what: 'wash', isDue: true, arm: trialOrder(trial)[0] });
    expect(trialState(trial, [], [testReading(day, { feel: 0 })], day).readingDue).toBeNull();
    expect(trialState({ ...trial, signal: 'breakage' }, [], [], day).readingDue).toBeNull();
  });

  it('waits until the last wash has faded, and asks for the dry reading meanwhile', () => {
    const first = wash(0, trialOrder(trial)[0]!);
    const state = trialState(trial, [first], [], addDays(day, 1));
    expect(state.stage).toMatchObject({ what: 'wash', isDue: false, from: addDays(day, 4) });
    expect(state.readingDue).toBe('dry');
    const read = [testReading(addDays(day, 1), { feel: 0 }, { moment: 'dry' })];
    expect(trialState(trial, [first], read, addDays(day, 2)).readingDue).toBeNull();
  });

  it('gives the other arm of a round where she did them the wrong way round', () => {
    const planned = trialOrder(trial);
    const other = planned[0] === 'a' ? 'b' : 'a';
    const state = trialState(trial, [wash(0, other)], [], addDays(day, 4));
    expect(state.stage).toMatchObject({ arm: planned[0] });
  });

  it.each([
    ['all washes are done', trial, trialOrder(trial).map((arm, index) => wash(index, arm)), 30, 'All rounds'],
    ['its last day has passed', trial, [], 41, 'last day'],
    ['it is given up', { ...trial, givenUpOn: day }, [], 0, 'given up'],
  ] as const)('is over when %s', (_, asked, washes, days, why) => {
    const { stage } = trialState(asked, washes, [], addDays(day, days));
    expect(stage.what === 'over' && stage.why).toContain(why);
  });

  it('takes no longer than its washes and waits', () => {
    expect(shortestDays(trial)).toBe(21);
  });

  it('cannot try a recipe against itself, or end before it begins', () => {
    expect(trialSchema.safeParse({ ...trial, againstId: 'gel' }).success).toBe(false);
    expect(trialSchema.safeParse({ ...trial, endsBy: day }).success).toBe(false);
  });
});
