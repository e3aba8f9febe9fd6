import loadHighs from 'highs';
import { addDays, daysBetween } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import { estimateHair } from '../../hair/estimation';
import {
  BALM,
  FROM as from,
  KNOWN,
  LIGHT,
  testBatch,
  testHead,
  testHistory,
  testRecipe,
  testSession,
} from '../../lab/testing';
import type { Batch } from '../../records/shapes';
import { checkPlan, EMPTY_KITCHEN, planProblem, type Kitchen, type PlanProblem } from '../planning';
import { solveSchedule, searchSchedule } from './schedule';

let solve: SolveProgramme;
beforeAll(async () => {
  solve = solverFrom(await loadHighs());
});

const MIST = testRecipe('daily', ['200 ml rose water'], { use: 'mist' });
const batch = (recipeId: string, portions: number) => testBatch(recipeId, from, { portions });

/** Two heads with time on every day, and what stands on their shelf. */
function together(batches: readonly Batch[], recipes = [BALM, LIGHT, MIST]): PlanProblem {
  const kitchen: Kitchen = { ...EMPTY_KITCHEN, batches };
  const heads = ['h', 'k'].map((headId) => {
    const head = testHead({ headId, id: headId, freeMinutes: Array<number>(7).fill(240) });
    const history = testHistory({
      recipes,
      sessions: [...KNOWN, testSession('daily', addDays(from, -30))].map((session) => ({
        ...session,
        headId,
        id: `${session.id}${headId}`,
      })),
    });
    return { head, history, state: estimateHair(head, history, from) };
  });
  return planProblem(heads, kitchen, from, 2);
}

const PLANNERS = {
  programme: (problem: PlanProblem) => solveSchedule(problem, solve).plans,
  'week-search': (problem: PlanProblem) => searchSchedule(problem).plans,
} as const;

describe.each(['programme', 'week-search'] as const)('the shelf, by the %s', (planner) => {
  const usesOf = (problem: PlanProblem, batchId: string) => {
    const plans = PLANNERS[planner](problem);
    expect(checkPlan(problem, plans)).toEqual([]);
    return plans.flatMap(({ days }) =>
      days.flatMap(({ assignments }) => assignments.filter((assignment) => assignment.batchId === batchId)),
    );
  };

  it('one portion goes on one head, whoever is planned first', () => {
    const uses = usesOf(together([batch('balm', 1)]), 'b-balm');
    expect(uses).toHaveLength(1);
  });

  it('a portion is used before it spoils rather than made anew', () => {
    const uses = usesOf(together([batch('balm', 2)]), 'b-balm');
    expect(uses.length).toBeGreaterThan(0);
    // No minute of making: the wash and the mask's half hour, or the half hour alone.
    for (const { minutes, slot, dose } of uses)
      expect(minutes).toBe((slot === 'main' ? 60 : 0) + (dose?.minutes ?? 30));
  });

  it('a bottle of five mists is empty after five, the first days first', () => {
    const uses = usesOf(together([batch('daily', 5)]), 'b-daily');
    expect(uses).toHaveLength(5);
    expect(Math.max(...uses.map(({ day }) => daysBetween(from, day)))).toBeLessThan(14);
  });
});

it('the checker sees a portion that goes on two heads', () => {
  const problem = together([batch('balm', 1)]);
  const plans = searchSchedule(problem).plans;
  const greedy = plans.map((plan) => ({
    ...plan,
    days: plan.days.map((day) => ({
      ...day,
      assignments: day.assignments.map((assignment) =>
        assignment.recipeId === 'balm' ? { ...assignment, batchId: 'b-balm' } : assignment,
      ),
    })),
  }));
  const balms = greedy.flatMap(({ days }) =>
    days.flatMap(({ assignments }) => assignments.filter(({ recipeId }) => recipeId === 'balm')),
  );
  expect(balms.length).toBeGreaterThan(1);
  expect(checkPlan(problem, greedy).map(({ rule }) => rule)).toContain('batch');
});
