import { addDays } from '../../base/measures';
import type { HeadHistory } from '../../hair/history';
import {
  ALL,
  FROM as from,
  GUMMY,
  KNOWN,
  problemOf,
  testHistory,
  testReading,
  testSession,
} from '../../lab/testing';
import type { Agreement } from '../agenda';
import type { Plan } from '../planning';
import { agreementAfter } from './agreement';
import { searchSchedule } from './schedule';

const history = (part: Partial<HeadHistory> = {}) => testHistory({ recipes: ALL, sessions: KNOWN, ...part });

const planFrom = (asked: Parameters<typeof problemOf>[0]): Plan =>
  searchSchedule(problemOf(asked)).plans[0] as Plan;
const mains = (plan: Plan) =>
  plan.days.flatMap(({ assignments }) => assignments.filter(({ slot }) => slot === 'main'));
const next = (before: Agreement | null, plan: Plan, part: Partial<HeadHistory> = {}) =>
  agreementAfter(before, plan, history({ readings: [GUMMY], ...part }), 1);

describe('the plan that is agreed', () => {
  const first = planFrom({ history: { readings: [GUMMY] }, weeks: 2 });
  const { agreement, note } = next(null, first);

  it('is remembered treatment by treatment, and the first one is no change', () => {
    expect(note).toBeNull();
    expect(agreement.assignments.filter(({ slot }) => slot === 'main').map(({ day }) => day)).toEqual(
      mains(first).map(({ day }) => day),
    );
  });

  it('asked again with nothing new says nothing', () => {
    expect(next(agreement, first).note).toBeNull();
  });

  it('is what the search begins with, as long as it keeps the rules', () => {
    const again = planFrom({ history: { readings: [GUMMY] }, weeks: 2, agreed: agreement.assignments });
    expect(mains(again).map(({ day, recipeId }) => [day, recipeId])).toEqual(
      mains(first).map(({ day, recipeId }) => [day, recipeId]),
    );
  });

  const moved = (by: number): Plan => ({
    ...first,
    days: first.days.map((day) => ({
      ...day,
      assignments: mains(first)
        .filter((assignment) => addDays(assignment.day, by) === day.day)
        .map((assignment) => ({ ...assignment, day: day.day })),
    })),
  });

  it('says what moved, and that a reading is the reason', () => {
    const readings = [GUMMY, testReading(addDays(from, 1), { feel: 2 })];
    const changed = next(agreement, moved(1), { readings });
    expect(changed.note?.changes[0]).toMatchObject({ what: 'moved' });
    expect(changed.note?.why).toBe('because of the new check');
  });

  it('names what was done instead, and what was not done', () => {
    const day = mains(first)[0]?.day ?? from;
    const other = testSession('balm', day);
    const after = { ...moved(1), from: addDays(day, 1) };
    const instead = agreementAfter(
      agreement,
      after,
      history({ readings: [GUMMY], sessions: [...KNOWN, other] }),
      1,
    );
    expect(instead.note?.why).toContain('instead');
    const missed = agreementAfter(agreement, after, history({ readings: [GUMMY] }), 1);
    expect(missed.note?.why).toContain('was not done');
    // What was planned for days that have passed stays known.
    expect(missed.agreement.assignments.some((assignment) => assignment.day === day)).toBe(true);
  });
});
