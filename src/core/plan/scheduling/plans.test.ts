import fc from 'fast-check';
import loadHighs from 'highs';
import { addDays, calendarDay } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import type { HeadHistory } from '../../hair/history';
import {
  ALL,
  CREAM,
  FROM as from,
  GUMMY,
  KNOWN as known,
  LIGHT,
  problemOf,
  STAMP,
  strands,
  STRONG,
  testRecipe,
  testSession as used,
} from '../../lab/testing';
import { makeLarder } from '../../recipe/larder';
import type { Head } from '../../records/shapes';
import { PLAIN_WASH_ID, PLAN_RULES } from '../agenda';
import { checkPlan, type Plan, type PlanProblem } from '../planning';
import { solveSchedule, searchSchedule } from './schedule';

let solve: SolveProgramme;
beforeAll(async () => {
  solve = solverFrom(await loadHighs());
});

const PLANNERS = {
  programme: (problem: PlanProblem) => solveSchedule(problem, solve).plans,
  'week-search': (problem: PlanProblem) => searchSchedule(problem).plans,
} as const;

const mains = (plan: Plan) =>
  plan.days.flatMap((day) => day.assignments).filter((assignment) => assignment.slot === 'main');

describe.each(['programme', 'week-search'] as const)('the plan by the %s', (planner) => {
  function planFor(
    history: Partial<HeadHistory>,
    head: Partial<Head> = {},
    weeks = 1,
  ): { problem: PlanProblem; plan: Plan } {
    const problem = problemOf({ history, head, weeks });
    return { problem, plan: PLANNERS[planner](problem)[0] as Plan };
  }

  it('turns to protein when the hair is gummy and does not return', () => {
    const { plan } = planFor({ readings: [strands(90, 80)] });
    expect(mains(plan)[0]?.kind).toBe('protein');
  });

  it('turns to moisture when the hair snaps, and holds protein back', () => {
    const { plan } = planFor({ readings: [strands(64, 64, true)] });
    expect(mains(plan)[0]?.kind).toBe('moisture');
    expect(mains(plan).some((assignment) => assignment.kind === 'protein')).toBe(false);
    expect(plan.unmet.map((rule) => rule.rule)).toContain(PLAN_RULES.firmHold.id);
  });

  it('gives every treatment a reason in words', () => {
    const { plan } = planFor({ readings: [strands(90, 80)] }, {}, 2);
    const assignments = plan.days.flatMap((day) => day.assignments);
    expect(assignments.length).toBeGreaterThan(2);
    for (const assignment of assignments)
      expect(
        assignment.reasons.every((reason) => reason.text.length > 20) && assignment.reasons.length > 0,
      ).toBe(true);
  });

  it('follows a strong protein with moisture the same day', () => {
    const { plan } = planFor({ recipes: [STRONG, CREAM], readings: [strands(90, 80)] });
    const day = plan.days.find((each) =>
      each.assignments.some((assignment) => assignment.recipeId === 'strong'),
    );
    expect(day?.assignments.map((assignment) => [assignment.slot, assignment.recipeId])).toContainEqual([
      'follow-up',
      'cream',
    ]);
  });

  it('does not repeat a strong protein within four weeks', () => {
    const { plan } = planFor({
      recipes: [STRONG, CREAM],
      readings: [strands(90, 80)],
      sessions: [...known, used('strong', addDays(from, -10))],
    });
    expect(mains(plan).some((assignment) => assignment.recipeId === 'strong')).toBe(false);
    expect(plan.unmet[0]?.text).toContain('protein has to wait');
  });

  it('spaces protein from one whose recipe has been taken out since', () => {
    const gone = makeLarder({ recipes: [LIGHT, CREAM], formerRecipes: [STRONG] });
    const at = { recipes: [LIGHT, CREAM], larder: gone, readings: [strands(90, 80)] };
    expect(mains(planFor(at).plan)[0]?.recipeId).toBe('light');
    const after = planFor({ ...at, sessions: [...known, used('strong', addDays(from, -2))] });
    const first = mains(after.plan).find((assignment) => assignment.kind === 'protein');
    expect(first === undefined || first.day >= addDays(from, PLAN_RULES.lightProteinGap.value - 2)).toBe(
      true,
    );
    expect(checkPlan(after.problem, [after.plan])).toEqual([]);
  });

  it('asks for a patch test before a recipe is used for the first time, and leaves two days for it', () => {
    const { plan } = planFor({ recipes: [LIGHT], sessions: [], readings: [strands(90, 80)] });
    const [first] = mains(plan);
    expect(first && first.day >= addDays(from, 2)).toBe(true);
    expect(
      plan.days
        .flatMap((day) => day.preparation)
        .map((task) => task.text)
        .join(),
    ).toContain('Patch test of light');
  });

  it('begins a long soak the evening before', () => {
    const { plan } = planFor({ recipes: [CREAM] });
    const [assignment] = mains(plan);
    const task = plan.days.flatMap((day) => day.preparation)[0];
    expect(assignment && task && [task.forDay, task.text.includes('this evening')]).toEqual([
      assignment?.day,
      true,
    ]);
  });

  it('never gives a child or a sensitive head strong protein', () => {
    for (const changed of [{ ageBand: 'child' as const }, { proteinSensitive: true }]) {
      const { plan } = planFor({ recipes: [STRONG, CREAM], readings: [strands(90, 80)] }, changed, 4);
      expect(mains(plan).some((assignment) => assignment.recipeId === 'strong')).toBe(false);
    }
  });

  it.each([
    ['no recipe', { recipes: [] }, {}, 'save a recipe'],
    ['no free day', {}, { freeMinutes: [0, 0, 0, 0, 0, 0, 0] }, 'No day of the week is free'],
    ['days too short', {}, { freeMinutes: [30, 30, 0, 0, 0, 0, 0] }, 'No day is long enough'],
    [
      'soft and no protein',
      { recipes: [CREAM], readings: [strands(90, 80)] },
      {},
      'no protein treatment is saved',
    ],
  ] as const)('says so in words: %s', (_, part, changed, said) => {
    const { plan } = planFor(part as Partial<HeadHistory>, changed as Partial<Head>);
    expect(plan.unmet.map((rule) => rule.text).join(' ')).toContain(said);
    expect(plan.days).toHaveLength(7);
  });

  it('puts oil on before each wash: the evening before where that evening is free, otherwise on the day', () => {
    const prePooOf = (freeMinutes: number[]) => {
      const { plan } = planFor({ readings: [strands(90, 80)] }, { freeMinutes });
      const [main] = mains(plan);
      const oil = plan.days
        .flatMap((day) => day.assignments)
        .find((assignment) => assignment.slot === 'pre-poo' && main && assignment.day <= main.day);
      return oil && main ? [oil.day === main.day, oil.overnight] : main && 'a wash alone';
    };
    // 2026-05-10 is a Sunday; only Wednesday is long enough, with Tuesday evening free or not.
    expect(prePooOf([0, 0, 45, 150, 0, 0, 0])).toEqual([false, true]);
    expect(prePooOf([0, 0, 0, 200, 0, 0, 0])).toEqual([true, false]);
    // The wash takes 113 minutes, a pre-poo on the day 43 more, on the evening before 33.
    expect(prePooOf([0, 0, 0, 120, 0, 0, 0])).toEqual('a wash alone');
  });

  it('keeps a pre-poo or a follow-up where she put it, and brings the wash that it needs', () => {
    const decision = (slot: 'pre-poo' | 'follow-up', at: number, recipeId: string) => ({
      ...STAMP,
      kind: 'decision' as const,
      id: `${slot}${at}`,
      headId: 'h',
      day: addDays(from, at),
      slot,
      what: 'place' as const,
      recipeId,
    });
    const oil = planFor(
      { decisions: [decision('pre-poo', 3, 'oil')] },
      { freeMinutes: [0, 0, 0, 200, 200, 0, 0] },
    );
    const moisture = planFor(
      { decisions: [decision('follow-up', 3, 'cream')], readings: [strands(90, 80)] },
      { freeMinutes: [0, 0, 200, 300, 0, 0, 0] },
    );
    const assignments = ({ plan }: { plan: Plan }) =>
      plan.days.flatMap((day) =>
        day.assignments.map(({ slot, recipeId }) => `${day.day} ${slot} ${recipeId}`),
      );
    expect(assignments(oil)).toContain(`${addDays(from, 3)} pre-poo oil`);
    expect(assignments(moisture)).toContain(`${addDays(from, 3)} follow-up cream`);
    for (const { problem, plan } of [oil, moisture]) expect(checkPlan(problem, [plan])).toEqual([]);
  });

  it('gives mists only in the longer gaps between washes', () => {
    const { plan } = planFor({}, { freeMinutes: [200, 0, 0, 0, 0, 0, 0] }, 2);
    const washes = mains(plan).map((assignment) => assignment.day);
    const mists = plan.days
      .flatMap((day) => day.assignments)
      .filter((assignment) => assignment.slot === 'refresh');
    expect(mists.length).toBeGreaterThan(0);
    for (const mist of mists) {
      expect(washes).not.toContain(mist.day);
      expect(washes).not.toContain(addDays(mist.day, 1));
    }
  });

  it('tries one new recipe a week and no more', () => {
    const fresh = ['a', 'b', 'c'].map((id) =>
      testRecipe(id, ['2 tbsp honey', '4 tbsp plain conditioner', '100 ml oat milk']),
    );
    const { plan } = planFor({ recipes: fresh, sessions: [], readings: [strands(64, 64, true)] }, {}, 3);
    for (const week of [0, 1, 2]) {
      const used = mains(plan).filter(
        (assignment) =>
          Math.floor((plan.days.findIndex((day) => day.day === assignment.day) || 0) / 7) === week,
      );
      expect(new Set(used.map((assignment) => assignment.recipeId)).size).toBeLessThanOrEqual(1);
    }
  });

  it('answers with two hundred recipes and breaks no rule', () => {
    const many = Array.from({ length: 200 }, (_, index) =>
      testRecipe(`r${index}`, [
        `${index + 1} g gelatin`,
        '200 ml water',
        `${200 - index} g plain conditioner`,
      ]),
    );
    const sessions = many.map(({ recipeId }) => used(recipeId, addDays(from, -60)));
    const { problem, plan } = planFor({ recipes: many, sessions, readings: [strands(90, 80)] });
    expect(mains(plan).length).toBeGreaterThan(0);
    expect(checkPlan(problem, [plan])).toEqual([]);
  });

  it('leaves out what a caution stops', () => {
    const harsh = testRecipe('harsh', ['90 g plain conditioner', '10 g tea tree essential oil']);
    const { problem, plan } = planFor({ recipes: [harsh] });
    expect(problem.heads[0]?.treatments.map(({ recipeId }) => recipeId)).toEqual([PLAIN_WASH_ID]);
    expect(plan.unmet[0]?.rule).toBe('no-recipe');
  });

  it('takes what was done today into account', () => {
    const { plan } = planFor({ sessions: [...known, used('cream', from)] });
    expect(mains(plan).every((assignment) => assignment.day >= addDays(from, PLAN_RULES.washGap.value))).toBe(
      true,
    );
  });

  it('covers a change of the clock and of the year day by day', () => {
    const start = calendarDay('2026-12-28');
    const plan = PLANNERS[planner](problemOf({ from: start, weeks: 2 }))[0] as Plan;
    expect(plan.days.map((day) => day.day)).toEqual(
      Array.from({ length: 14 }, (_, index) => addDays(start, index)),
    );
  });

  it('is the same for the same question', () => {
    expect(planFor({}, {}, 3).plan).toEqual(planFor({}, {}, 3).plan);
  });

  it('breaks no hard rule, whatever the head, the days and the past', () => {
    const day = fc.integer({ min: -40, max: 0 }).map((back) => addDays(from, back));
    const session = fc
      .tuple(fc.constantFrom('strong', 'light', 'cream', 'oil', 'mist'), day)
      .map(([id, on]) => used(id, on));
    fc.assert(
      fc.property(
        fc.array(session, { maxLength: 8 }),
        fc.array(fc.constantFrom(0, 45, 100, 130, 240), { minLength: 7, maxLength: 7 }),
        fc.subarray(ALL),
        fc.boolean(),
        fc.integer({ min: 62, max: 100 }),
        fc.integer({ min: 1, max: 3 }),
        (sessions, freeMinutes, recipes, isChild, stretchedMm, weeks) => {
          const readings = [strands(stretchedMm, Math.min(stretchedMm, 64))];
          const { problem, plan } = planFor(
            { sessions, recipes, readings },
            { freeMinutes, ageBand: isChild ? 'child' : 'adult' },
            weeks,
          );
          expect(checkPlan(problem, [plan])).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('the checker', () => {
  it('finds what is wrong in a plan that was tampered with', () => {
    const problem = problemOf({ history: { readings: [GUMMY] } });
    const [plan] = searchSchedule(problem).plans as [Plan];
    const [first] = mains(plan);
    const days = plan.days.map((day, index) =>
      index < 3 && first
        ? { ...day, assignments: [{ ...first, day: day.day, recipeId: 'strong' }] }
        : { ...day, assignments: [] },
    );
    const rules = new Set(checkPlan(problem, [{ ...plan, days }]).map((breach) => breach.rule));
    for (const rule of [
      PLAN_RULES.washGap.id,
      PLAN_RULES.strongProteinGap.id,
      PLAN_RULES.mainsPerWeek.id,
      'moisture-after-protein',
      'free-time',
    ]) {
      expect([...rules]).toContain(rule);
    }
  });
});
