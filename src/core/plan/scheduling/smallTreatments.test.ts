import { addDays, daysBetween } from '../../base/measures';
import {
  FROM as from,
  KNOWN,
  LIGHT,
  problemOf,
  STAMP,
  testOccasion,
  testRecipe,
  testSession,
  type Asked,
} from '../../lab/testing';
import type { Decision } from '../../records/shapes';
import { PLAN_RULES, USUAL_CHOICES } from '../agenda';
import { draftOf, type PlanDraft, type PlanProblem } from '../planning';
import { smallTreatments } from './smallTreatments';

const MIST = testRecipe('daily', ['200 ml rose water'], { use: 'mist' });
const RINSE = testRecipe('mist', ['300 ml water', '2 tbsp nettle'], { use: 'rinse' });
const SCALP = testRecipe('scalp', ['2 tbsp jojoba oil'], { use: 'scalp-oil' });
const SERUM = testRecipe('serum', ['1 tbsp argan oil'], { use: 'serum' });
const USED = ['daily', 'scalp', 'serum'].map((id) => testSession(id, addDays(from, -50)));

/** Washes on these days of the plan, and what stands between them, as "day slot". */
function between(washes: readonly number[], asked: Asked = {}): string[] {
  const problem: PlanProblem = problemOf({
    weeks: 2,
    ...asked,
    history: {
      recipes: [LIGHT, MIST, RINSE, SCALP, SERUM],
      sessions: [...KNOWN, ...USED],
      ...asked.history,
    },
  });
  const [head] = problem.heads;
  const light = head?.treatments.find(({ recipeId }) => recipeId === 'light');
  if (!head || !light) throw new Error('there is a head with a mask');
  const drafts: PlanDraft[] = washes.map((at) => draftOf(addDays(from, at), light, 'main'));
  return smallTreatments(problem, head, drafts).map(({ day, slot }) => `${daysBetween(from, day)} ${slot}`);
}

const only = (slot: string, assignments: readonly string[]) =>
  assignments
    .filter((assignment) => assignment.endsWith(` ${slot}`))
    .map((assignment) => Number(assignment.split(' ')[0]));

const decision = (part: Pick<Decision, 'slot' | 'what' | 'recipeId'>, at: number): Decision => ({
  ...STAMP,
  kind: 'decision',
  id: `d${at}`,
  headId: 'h',
  day: addDays(from, at),
  ...part,
});

describe('between the washes', () => {
  it('a refresh comes every three days after a wash, and not the day before the next', () => {
    expect(only('refresh', between([1, 9]))).toEqual([4, 7, 12]);
    // The third day after the first wash is the day before the second.
    expect(only('refresh', between([1, 5]))).toEqual([8, 11]);
  });

  it('a mist and a serum come on every day that is no wash day', () => {
    const assignments = between([0, 7]);
    const days = Array.from({ length: 14 }, (_, at) => at).filter((at) => at !== 0 && at !== 7);
    expect(only('mist', assignments)).toEqual(days);
    expect(only('serum', assignments)).toEqual(days);
  });

  it('scalp oil goes on the evening before a wash, because it is washed out, and only as often as the rule says', () => {
    expect(only('scalp', between([2, 4, 9]))).toEqual([1, 8]);
    expect(only('scalp', between([]))).toEqual([]);
  });

  it('scalp oil goes on in a protective style when it is due, with no wash in sight', () => {
    const style = testOccasion('style', addDays(from, -1), addDays(from, 13));
    const days = only('scalp', between([], { history: { occasions: [style] } }));
    expect(days[0]).toBe(0);
    for (const [index, at] of days.entries())
      if (index > 0) expect(at - (days[index - 1] ?? 0)).toBe(PLAN_RULES.scalpEvery.value);
  });

  it('what she left out stays out and does not come twice the day after; what she put somewhere stands', () => {
    const avoided = between([1, 9], {
      history: {
        recipes: [LIGHT, RINSE],
        decisions: [decision({ slot: 'refresh', what: 'avoid', recipeId: 'mist' }, 4)],
      },
    });
    expect(only('refresh', avoided)).toEqual([5, 12]);
    const placed = between([1, 9], {
      history: {
        recipes: [LIGHT, RINSE],
        decisions: [decision({ slot: 'refresh', what: 'place', recipeId: 'mist' }, 2)],
      },
    });
    expect(only('refresh', placed)).toContain(2);
    expect(new Set(placed).size).toBe(placed.length);
  });

  it('a rule that is off brings none, and neither does what has not passed its patch test', () => {
    const asked = {
      history: {
        planSettings: [
          {
            ...STAMP,
            kind: 'plan-settings' as const,
            id: 's',
            headId: 'h',
            ...USUAL_CHOICES,
            rules: { [PLAN_RULES.refreshEvery.id]: null, [PLAN_RULES.scalpEvery.id]: null },
          },
        ],
      },
    };
    const off = between([2, 9], asked);
    expect(only('refresh', off)).toEqual([]);
    expect(only('scalp', off)).toEqual([]);
    expect(only('mist', off).length).toBeGreaterThan(0);
    const untested = between([2, 9], { history: { sessions: KNOWN } });
    expect(only('mist', untested)).toEqual([]);
    expect(only('refresh', untested).length).toBeGreaterThan(0);
  });
});
