import fc from 'fast-check';
import loadHighs from 'highs';
import { addDays } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import { ALL, BALM, FROM as from, KNOWN, problemOf, STAMP, strands, testSession } from '../../lab/testing';
import type { Decision, Occasion, PlanSettings } from '../../records/shapes';
import { RULE_KEYS, PLAN_RULES, USUAL_CHOICES } from '../agenda';
import { checkPlan, scoreOf } from '../planning';
import { withTodayDecided } from './decideToday';
import { solveSchedule, searchSchedule } from './schedule';
import { weekProgramme } from './weekProgramme';

let solve: SolveProgramme;
beforeAll(async () => {
  solve = solverFrom(await loadHighs());
});

const day = (min: number, max: number) => fc.integer({ min, max }).map((offset) => addDays(from, offset));
const occasion: fc.Arbitrary<Occasion> = fc
  .record({
    what: fc.constantFrom('style' as const, 'no-wash' as const, 'look-good' as const, 'hours' as const),
    first: fc.integer({ min: -3, max: 12 }),
    length: fc.integer({ min: 0, max: 6 }),
    minutes: fc.constantFrom(0, 60, 300),
    id: fc.integer({ min: 0, max: 1_000_000 }),
  })
  .map(({ what, first, length, minutes, id }) => ({
    ...STAMP,
    kind: 'occasion',
    id: `o${id}`,
    headId: null,
    what,
    from: addDays(from, first),
    to: addDays(from, first + length),
    minutes: what === 'hours' ? minutes : null,
    note: '',
  }));
const avoided: fc.Arbitrary<Decision> = day(0, 13).map((on) => ({
  ...STAMP,
  kind: 'decision',
  id: `avoid-${on}`,
  headId: 'h',
  day: on,
  slot: 'main',
  what: 'avoid',
  recipeId: null,
}));
const settings: fc.Arbitrary<PlanSettings> = fc
  .record({
    rhythm: fc.constantFrom('readings' as const, 'calendar' as const, 'feel' as const),
    afterProtein: fc.constantFrom('if-firm' as const, 'always' as const),
    maskOrder: fc.constantFrom('after-shampoo' as const, 'before-shampoo' as const),
    prePoo: fc.constantFrom('oil-only' as const, 'any' as const),
    rules: fc.dictionary(
      fc.constantFrom(...RULE_KEYS.map((key) => PLAN_RULES[key].id)),
      fc.option(fc.integer({ min: 1, max: 10 }), { nil: null }),
      { maxKeys: 3 },
    ),
  })
  .map((chosen) => ({ ...STAMP, ...USUAL_CHOICES, ...chosen, kind: 'plan-settings', id: 's', headId: 'h' }));

const asked = fc.record({
  sessions: fc.array(
    fc
      .tuple(fc.constantFrom('strong', 'light', 'cream', 'balm', 'oil'), day(-30, 0))
      .map(([id, on]) => testSession(id, on)),
    { maxLength: 6 },
  ),
  freeMinutes: fc.array(fc.constantFrom(0, 100, 150, 240), { minLength: 7, maxLength: 7 }),
  nights: fc.array(fc.boolean(), { minLength: 7, maxLength: 7 }),
  ageBand: fc.constantFrom('child' as const, 'adult' as const),
  stretchedMm: fc.integer({ min: 62, max: 96 }),
  occasions: fc.array(occasion, { maxLength: 3 }),
  decisions: fc.uniqueArray(avoided, { maxLength: 3, selector: ({ id }) => id }),
  planSettings: fc.option(settings, { nil: null }),
  known: fc.boolean(),
});

type Asked = typeof asked extends fc.Arbitrary<infer Value> ? Value : never;

const problemFrom = ({ freeMinutes, nights, ageBand, stretchedMm, planSettings, known, ...history }: Asked) =>
  problemOf({
    head: { freeMinutes, nights, ageBand },
    weeks: 2,
    history: {
      ...history,
      recipes: [...ALL, BALM],
      sessions: known ? [...KNOWN, ...history.sessions] : history.sessions,
      readings: [strands(stretchedMm, Math.min(stretchedMm, 64))],
      planSettings: planSettings ? [planSettings] : [],
    },
  });

it('a treatment that was done today counts among those of its week', () => {
  const problem = problemFrom({
    sessions: [testSession('cream', from), testSession('cream', addDays(from, -4))],
    freeMinutes: [0, 0, 0, 240, 0, 150, 0],
    nights: [false, false, false, false, true, false, false],
    ageBand: 'child',
    stretchedMm: 62,
    occasions: [],
    decisions: [],
    planSettings: {
      ...STAMP,
      ...USUAL_CHOICES,
      rules: {},
      rhythm: 'calendar',
      kind: 'plan-settings',
      id: 's',
      headId: 'h',
    },
    known: false,
  });
  const { plans } = solveSchedule(problem, solve, { seconds: 120, gap: 0.01 });
  expect(checkPlan(problem, plans)).toEqual([]);
});

describe('whatever the head, its days, its schools and its past', () => {
  it('the programme and the search keep every hard rule', () => {
    fc.assert(
      fc.property(asked, fc.boolean(), (question, isRead) => {
        const problem = withTodayDecided(problemFrom(question), () => isRead);
        expect(checkPlan(problem, searchSchedule(problem).plans)).toEqual([]);
        const { plans, relaxations } = solveSchedule(problem, solve, { seconds: 120, gap: 0.01 });
        expect(relaxations).toEqual([]);
        expect(checkPlan(problem, plans)).toEqual([]);
        const [head] = problem.heads;
        if (!head?.decidedToday) return;
        // What was decided from today's check is what today has, in its dose.
        const assignments = plans[0]?.days[0]?.assignments ?? [];
        const { main } = head.decidedToday;
        const washes = assignments.filter(({ slot }) => slot === 'main');
        expect(washes.map(({ recipeId }) => recipeId)).toEqual(main ? [main.recipeId] : []);
        for (const { dose } of washes)
          expect(dose?.minutes ?? main?.contactMinutes).toBe(main?.contactMinutes);
      }),
      { numRuns: 25 },
    );
  });

  it('two heads and one pair of hands keep every hard rule too, and the plan of each its own', () => {
    fc.assert(
      fc.property(asked, asked, fc.boolean(), (one, other, isRead) => {
        const [first] = problemFrom(one).heads;
        const [second] = problemFrom(other).heads;
        if (!first || !second) throw new Error('each has a head');
        const heads = [first, { ...second, head: { ...second.head, headId: 'k' } }];
        const problem = withTodayDecided({ ...problemFrom(one), heads }, () => isRead);
        expect(checkPlan(problem, searchSchedule(problem).plans)).toEqual([]);
        const { plans, relaxations } = solveSchedule(problem, solve, { seconds: 120, gap: 0.01 });
        expect(relaxations).toEqual([]);
        expect(plans.map(({ headId }) => headId)).toEqual(['h', 'k']);
        expect(checkPlan(problem, plans)).toEqual([]);
      }),
      { numRuns: 10 },
    );
  });

  it('the same question has the same plan, and its score is the sum of its parts', () => {
    fc.assert(
      fc.property(asked, (question) => {
        const answer = () =>
          solveSchedule(problemFrom(question), solve, { seconds: 120, gap: 0.01 }).plans[0];
        const plan = answer();
        expect(answer()).toEqual(plan);
        expect(plan && scoreOf(plan.parts)).toBeCloseTo(plan?.score ?? NaN, 9);
      }),
      { numRuns: 8 },
    );
  });

  it('switching a rule off never makes the best plan worse', () => {
    const hard = RULE_KEYS.map((key) => PLAN_RULES[key]).filter(
      ({ sort, canBeOff }) => sort === 'hard' && canBeOff,
    );
    fc.assert(
      fc.property(asked, fc.constantFrom(...hard), (question, rule) => {
        const best = (rules: PlanSettings['rules']) => {
          const planSettings = {
            ...STAMP,
            ...USUAL_CHOICES,
            ...question.planSettings,
            kind: 'plan-settings' as const,
            id: 's',
            headId: 'h',
            rules,
          };
          const programme = weekProgramme(problemFrom({ ...question, planSettings })).rows.programme();
          return solve(programme, { seconds: 20, gap: 1e-6 }).objective;
        };
        expect(best({ [rule.id]: null })).toBeLessThanOrEqual(best({}) + 1e-4);
      }),
      { numRuns: 12 },
    );
  });
});
