import fc from 'fast-check';
import loadHighs from 'highs';
import { addDays } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import {
  BALM,
  CREAM,
  FROM as from,
  KNOWN,
  LIGHT,
  problemOf,
  STAMP,
  strands,
  testSession,
} from '../../lab/testing';
import type { PlanSettings } from '../../records/shapes';
import { PLAN_RULES, USUAL_CHOICES } from '../agenda';
import {
  checkAssignments,
  freeMinutesOn,
  scoreOf,
  scoreParts,
  spanOf,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
} from '../planning';
import { placementsOf, type Placement } from './placements';
import { solveSchedule } from './schedule';

// What is held against every plan is which washes there are, not how much of each.
jest.mock('./fitDoses', () => ({ fitDoses: (...[, , washes]: unknown[]) => washes }));

let solve: SolveProgramme;
beforeAll(async () => {
  solve = solverFrom(await loadHighs());
});

/**
 * Every plan that can be put together from at most one main treatment a day, a protein with or without moisture after it, whether or
 * not it keeps the rules.
 */
function everyPlan(problem: PlanProblem, head: HeadProblem): PlanDraft[][] {
  const all = placementsOf(problem, 0);
  const byDay = new Map<number, Placement[][]>();
  for (const main of all.filter(({ slot }) => slot === 'main')) {
    const after = all.filter(
      ({ slot, at }) => slot === 'follow-up' && at === main.at && main.treatment.firms,
    );
    const ways = [[main], ...after.map((followUp) => [main, followUp])];
    byDay.set(main.at, [...(byDay.get(main.at) ?? []), ...ways]);
  }
  return [...byDay]
    .filter(([at]) => freeMinutesOn(head, addDays(from, at)) > 0)
    .reduce<PlanDraft[][]>(
      (plans, [at, options]) => [
        ...plans,
        ...plans.flatMap((plan) =>
          options.map((day): PlanDraft[] => [
            ...plan,
            ...day.map(({ treatment, slot }): PlanDraft => ({
              day: addDays(from, at),
              slot,
              recipeId: treatment.recipeId,
              treatment,
              overnight: false,
              batchId: null,
            })),
          ]),
        ),
      ],
      [[]],
    );
}

const settings = (rules: PlanSettings['rules'], leanings: Partial<PlanSettings['leanings']>) => ({
  ...STAMP,
  ...USUAL_CHOICES,
  kind: 'plan-settings' as const,
  id: 's',
  headId: 'h',
  rules,
  leanings: { ...USUAL_CHOICES.leanings, ...leanings },
});

describe('against every plan there is', () => {
  it('the programme finds one that no other beats by more than its straight pieces lie off the curve', () => {
    fc.assert(
      fc.property(
        fc.record({
          stretchedMm: fc.integer({ min: 62, max: 96 }),
          ago: fc.integer({ min: 0, max: 12 }),
          before: fc.constantFrom('light', 'cream', 'balm'),
          leaning: fc.constantFrom('gentler' as const, 'faster' as const, 'less-work' as const),
          mainsPerWeek: fc.integer({ min: 1, max: 4 }),
          free: fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1, maxLength: 4 }),
        }),
        ({ stretchedMm, ago, before, leaning, mainsPerWeek, free }) => {
          const problem = problemOf({
            head: { freeMinutes: [0, 1, 2, 3, 4, 5, 6].map((weekday) => (free.includes(weekday) ? 150 : 0)) },
            history: {
              recipes: [LIGHT, CREAM, BALM],
              sessions: [...KNOWN, testSession(before, addDays(from, -ago))],
              readings: [strands(stretchedMm, Math.min(stretchedMm, 66))],
              planSettings: [settings({ [PLAN_RULES.mainsPerWeek.id]: mainsPerWeek }, { [leaning]: 1 })],
            },
          });
          const [head] = problem.heads;
          if (!head) throw new Error('there is a head');
          const scores = everyPlan(problem, head)
            .filter((plan) => checkAssignments(problem, new Map([['h', plan]])).length === 0)
            .map((plan) => scoreOf(scoreParts(head, from, plan, spanOf(1))));
          const best = Math.min(...scores);
          const { plans } = solveSchedule(problem, solve, { seconds: 10, gap: 1e-6 });
          // None is better than the best of all, and the one that was found is as good but for the straight pieces.
          expect(plans[0]?.score).toBeGreaterThanOrEqual(best - 1e-6);
          expect(plans[0]?.score).toBeLessThanOrEqual(best + 0.02 * Math.abs(best) + 0.02);
        },
      ),
      { numRuns: 25 },
    );
  });
});
