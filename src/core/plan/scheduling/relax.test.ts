import loadHighs from 'highs';
import { addDays, daysBetween } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import { estimateHair } from '../../hair/estimation';
import {
  ALL,
  BALM,
  FROM as from,
  GUMMY,
  KNOWN,
  problemOf,
  STAMP,
  STRONG,
  testHead,
  testHistory,
  testOccasion,
  testRecipe,
  testSession,
} from '../../lab/testing';
import type { Decision, Occasion } from '../../records/shapes';
import { effortLimits, PLAN_RULES, USUAL_CHOICES } from '../agenda';
import {
  checkPlan,
  EMPTY_KITCHEN,
  handsMinutes,
  planProblem,
  type Plan,
  type PlanProblem,
} from '../planning';
import { answerWhatIf } from './ask';
import { relaxPlan, type Relaxation } from './relax';
import { solveSchedule, searchSchedule } from './schedule';

let solve: SolveProgramme;
beforeAll(async () => {
  solve = solverFrom(await loadHighs());
});

const decision = (
  day: typeof from,
  what: Decision['what'],
  recipeId: string | null,
  slot: Decision['slot'] = 'main',
): Decision => ({
  ...STAMP,
  kind: 'decision',
  id: `${what}-${day}-${recipeId}`,
  headId: 'h',
  day,
  slot,
  what,
  recipeId,
});

const mains = (plan: Plan | undefined) =>
  (plan?.days ?? []).flatMap(({ assignments }) => assignments.filter(({ slot }) => slot === 'main'));
const rules = (relaxations: readonly Relaxation[]) => relaxations.map(({ rule }) => rule);

describe('what she decided', () => {
  it('stands, and the rest is planned around it', () => {
    const day = addDays(from, 3);
    const problem = problemOf({
      history: { readings: [GUMMY], decisions: [decision(day, 'place', 'cream')] },
      weeks: 2,
    });
    const { plans, relaxations } = solveSchedule(problem, solve);
    expect(mains(plans[0]).find((assignment) => assignment.day === day)).toMatchObject({
      recipeId: 'cream',
      locked: true,
    });
    expect(checkPlan(problem, plans)).toEqual([]);
    expect(relaxations).toEqual([]);
  });

  it('keeps a day free of what she does not want on it', () => {
    const first = mains(solveSchedule(problemOf({ history: { readings: [GUMMY] } }), solve).plans[0])[0];
    if (!first) throw new Error('there is a wash');
    const problem = problemOf({
      history: { readings: [GUMMY], decisions: [decision(first.day, 'avoid', null)] },
    });
    expect(mains(solveSchedule(problem, solve).plans[0]).some(({ day }) => day === first.day)).toBe(false);
  });

  it('locked again as it was answered, gives the same plan with the same score', () => {
    const asked = { history: { readings: [GUMMY] }, weeks: 3 };
    const [plan] = solveSchedule(problemOf(asked), solve, { seconds: 10, gap: 1e-4 }).plans;
    const locks = (plan?.days ?? []).flatMap(({ assignments }) =>
      assignments
        .filter(({ slot }) => slot === 'main' || slot === 'follow-up')
        .map(({ day, slot, recipeId }) => decision(day, 'place', recipeId, slot)),
    );
    expect(locks.length).toBeGreaterThan(1);
    const again = problemOf({ ...asked, history: { ...asked.history, decisions: locks } });
    const [locked] = solveSchedule(again, solve, { seconds: 10, gap: 1e-4 }).plans;
    expect(mains(locked).map(({ day, recipeId }) => [day, recipeId])).toEqual(
      mains(plan).map(({ day, recipeId }) => [day, recipeId]),
    );
    expect(locked?.score).toBeCloseTo(plan?.score ?? NaN, 6);
  });
});

describe('where nothing fits', () => {
  it('names the one rule in the way, by how much, and what one tap would do', () => {
    // Monday has no minutes at all.
    const day = addDays(from, 1);
    const problem = problemOf({ history: { decisions: [decision(day, 'place', 'cream')] } });
    const { plans, relaxations } = solveSchedule(problem, solve);
    expect(
      mains(plans[0]).some((assignment) => assignment.day === day && assignment.recipeId === 'cream'),
    ).toBe(true);
    const [minutes] = mains(plans[0])
      .filter((assignment) => assignment.day === day)
      .map((assignment) => assignment.minutes);
    expect(relaxations).toHaveLength(1);
    expect(relaxations[0]?.fix).toEqual({ what: 'minutes', day, minutes });
    expect(relaxations[0]?.text).toContain('Monday');
  });

  it('prefers one rule of hers to two of hers, and never relaxes what keeps her safe', () => {
    const problem = problemOf({
      head: { ageBand: 'child' },
      history: { decisions: [decision(addDays(from, 3), 'place', 'strong')] },
    });
    // A strong protein on a child's head: nothing but taking the decision back is offered.
    expect(rules(solveSchedule(problem, solve).relaxations)).toEqual(['locked']);
  });

  it('of two decisions that contradict each other asks to let one go', () => {
    const day = addDays(from, 3);
    const problem = problemOf({
      history: { decisions: [decision(day, 'place', 'cream'), decision(day, 'place', 'light')] },
    });
    const { relaxations, plans } = solveSchedule(problem, solve);
    expect(relaxations.every(({ fix }) => fix.what === 'decision')).toBe(true);
    expect(relaxations).toHaveLength(1);
    expect(mains(plans[0]).filter((assignment) => assignment.day === day)).toHaveLength(1);
  });

  const occasion = (what: Occasion['what'], first: number, last: number) =>
    testOccasion(what, addDays(from, first), addDays(from, last), { id: `${what}-o` });
  const wednesday = addDays(from, 3);
  const put = (recipeId: string) => [decision(wednesday, 'place', recipeId)];

  it.each([
    ['style', 'style-o'],
    ['no-wash', 'no-wash-o'],
  ] as const)('a wash that she put into “%s” offers to take that back', (what, occasionId) => {
    const problem = problemOf({
      history: { recipes: [...ALL, BALM], occasions: [occasion(what, 1, 6)], decisions: put('balm') },
    });
    const { relaxations } = solveSchedule(problem, solve);
    expect(relaxations.map(({ fix }) => fix)).toEqual([{ what: 'occasion', occasionId }]);
    expect(relaxations[0]?.text).toContain('Wash on Wednesday 13 May although');
  });

  it('what has to soak on an evening that is not hers offers that evening', () => {
    const problem = problemOf({
      head: { nights: [true, true, false, true, true, true, true] },
      history: { decisions: put('cream') },
    });
    const { relaxations } = solveSchedule(problem, solve);
    expect(relaxations.map(({ text, fix }) => [text, fix])).toEqual([
      ['Set it to soak on Tuesday evening', { what: 'evening', weekday: 2 }],
    ]);
  });

  it('another treatment while a trial runs offers to give the trial up', () => {
    const trial = {
      ...STAMP,
      kind: 'trial' as const,
      id: 't',
      trialId: 'trial-7',
      headId: 'h',
      recipeId: 'cream',
      againstId: null,
      signal: 'firmness' as const,
      startsOn: from,
      rounds: 3,
      washoutDays: 5,
      endsBy: addDays(from, 60),
      givenUpOn: null,
    };
    const problem = problemOf({
      history: { recipes: [...ALL, BALM], trials: [trial], decisions: put('balm') },
    });
    const { relaxations } = solveSchedule(problem, solve);
    expect(relaxations.map(({ fix }) => fix)).toContainEqual({ what: 'trial', trialId: 'trial-7' });
  });

  it('what would have to give way is told once, however many rows of the programme it stands in', () => {
    const problem = problemOf({
      history: {
        recipes: [...ALL, BALM],
        decisions: [0, 3, 6].map((at) => decision(addDays(from, at), 'place', 'balm')),
      },
    });
    const { relaxations } = solveSchedule(problem, solve);
    expect(relaxations.map(({ fix }) => fix)).toEqual([
      { what: 'rule', id: PLAN_RULES.mainsPerWeek.id, value: 3 },
    ]);
  });

  it('a rule that is relaxed as it says makes room', () => {
    const last = addDays(from, -3);
    const history = { sessions: [...KNOWN, testSession('light', last)], readings: [GUMMY] };
    const day = addDays(from, 3);
    const demand = { head: 0, is: 'placed', slot: 'main', recipeId: 'light', first: 3, last: 3 } as const;
    const loose = relaxPlan(problemOf({ history }), [demand], solve);
    if (loose.status !== 'relaxed') throw new Error(loose.status);
    expect(rules(loose.relaxations)).toEqual([PLAN_RULES.lightProteinGap.id]);
    const fix = loose.relaxations[0]?.fix;
    expect(fix).toEqual({ what: 'rule', id: PLAN_RULES.lightProteinGap.id, value: daysBetween(last, day) });
    const changed = {
      ...STAMP,
      kind: 'plan-settings' as const,
      id: 's',
      headId: 'h',
      ...USUAL_CHOICES,
      rules: { [PLAN_RULES.lightProteinGap.id]: 6 },
    };
    const room = problemOf({
      history: { ...history, planSettings: [changed], decisions: [decision(day, 'place', 'light')] },
    });
    expect(solveSchedule(room, solve).relaxations).toEqual([]);
  });
});

describe('a question about the plan', () => {
  const asked = { history: { recipes: [...ALL, BALM], readings: [GUMMY] }, weeks: 2 };
  const ask = (recipeId: string, at: number, what: 'why-not' | 'without') => {
    const problem = problemOf(asked);
    const { plans } = solveSchedule(problem, solve);
    return {
      plans,
      answer: answerWhatIf(
        problem,
        plans,
        { headId: 'h', what, slot: 'main', recipeId, day: addDays(from, at) },
        solve,
      ),
    };
  };

  it('why not on a day that could hold it: what would be worse, and what else would change', () => {
    const { plans, answer } = ask('balm', 0, 'why-not');
    expect(answer.possible).toBe(true);
    expect(
      mains(answer.plan ?? undefined).some(({ day, recipeId }) => day === from && recipeId === 'balm'),
    ).toBe(true);
    expect(answer.plan?.score).toBeGreaterThanOrEqual((plans[0]?.score ?? 0) * 0.99);
    expect(answer.headline).toContain('Sunday');
    expect(answer.reasons.length + answer.changes.length).toBeGreaterThan(0);
  });

  it('why not on a day without time: the minutes that are missing', () => {
    const { answer } = ask('cream', 1, 'why-not');
    expect(answer).toMatchObject({ possible: false, plan: null });
    expect(answer.relaxations.map(({ fix }) => fix.what)).toEqual(['minutes']);
  });

  it('what if it is left out: a plan without it', () => {
    const problem = problemOf(asked);
    const { plans } = solveSchedule(problem, solve);
    const [first] = mains(plans[0]);
    if (!first) throw new Error('there is a wash');
    const answer = answerWhatIf(
      problem,
      plans,
      { headId: 'h', what: 'without', slot: 'main', recipeId: first.recipeId, day: first.day },
      solve,
    );
    expect(
      mains(answer.plan ?? undefined).some(
        ({ day, recipeId }) => day === first.day && recipeId === first.recipeId,
      ),
    ).toBe(false);
    expect(answer.changes.length).toBeGreaterThan(0);
  });

  it('names the nearest day that could hold it, and none where it fits as asked', () => {
    // Cream has to soak: Sunday's evening before has passed, and Tuesday has no time.
    expect(ask('cream', 1, 'why-not').answer.nearest).toEqual({
      day: addDays(from, 3),
      text: 'It fits on Wednesday 13 May',
    });
    expect(ask('balm', 0, 'why-not').answer.nearest).toBeNull();
  });

  it('offers no day as the nearest while it could not be told of a nearer one', () => {
    const problem = problemOf(asked);
    const { plans } = solveSchedule(problem, solve);
    // Breaks off at the first of the days around; whatever else is asked it answers.
    let fits = 0;
    const hurried: SolveProgramme = (programme, options) =>
      options?.gap === 0.5 && ++fits === 1
        ? { status: 'failed', values: {}, objective: 0, bound: 0 }
        : solve(programme, options);
    const whatIf = {
      headId: 'h',
      what: 'why-not',
      slot: 'main',
      recipeId: 'cream',
      day: addDays(from, 1),
    } as const;
    expect(answerWhatIf(problem, plans, whatIf, hurried).nearest).toBeNull();
    expect(fits).toBe(1);
  });

  it('tells a question that was not worked out in time from one whose answer is no', () => {
    const problem = problemOf(asked);
    const { plans } = searchSchedule(problem);
    const whatIf = {
      headId: 'h',
      what: 'why-not',
      slot: 'main',
      recipeId: 'balm',
      day: from,
    } as const;
    const brokenOff: SolveProgramme = () => ({ status: 'failed', values: {}, objective: 0, bound: 0 });
    const answer = answerWhatIf(problem, plans, whatIf, brokenOff);
    expect(answer).toMatchObject({ possible: false, relaxations: [], nearest: null, plan: null });
    expect(answer.headline).toContain('could not be worked out in time');
    // The plan itself comes from the search then, and says so.
    expect(solveSchedule(problem, brokenOff).plans.map(({ planner }) => planner)).toEqual(['week-search']);
    const never = problemOf({ ...asked, head: { proteinSensitive: true } });
    const strong = answerWhatIf(never, searchSchedule(never).plans, { ...whatIf, recipeId: 'strong' }, solve);
    expect(strong.headline).toContain('get stiff from small doses');
    expect(strong.nearest).toBeNull();
  });
});

describe('two heads and one pair of hands', () => {
  const heads = (minutes: number) => {
    const free = [0, 0, 0, minutes, 0, 0, 0];
    return ['h', 'k'].map((headId) => {
      const head = testHead({ headId, id: headId, freeMinutes: free });
      const history = testHistory({
        recipes: ALL,
        sessions: KNOWN.map((session) => ({ ...session, headId, id: `${session.id}${headId}` })),
      });
      return { head, history, state: estimateHair(head, history, from) };
    });
  };

  it('share the hours: what fits one does not fit both', () => {
    const tight = planProblem(heads(120), EMPTY_KITCHEN, from, 1);
    const plans = solveSchedule(tight, solve).plans;
    expect(plans.flatMap(mains)).toHaveLength(1);
    expect(checkPlan(tight, plans)).toEqual([]);
    const wide = planProblem(heads(300), EMPTY_KITCHEN, from, 1);
    const both = solveSchedule(wide, solve).plans;
    expect(both.flatMap(mains)).toHaveLength(2);
    expect(checkPlan(wide, both)).toEqual([]);
  });

  it('out of one bowl: the same recipe for both is made once', () => {
    // Two creams take 97 minutes each, of which 7 make it and 30 are waiting, side by side: 157 together.
    const plansIn = (minutes: number) => {
      const problem = planProblem(heads(minutes), EMPTY_KITCHEN, from, 1);
      const { plans } = solveSchedule(problem, solve, effortLimits('usual', 1));
      expect(checkPlan(problem, plans)).toEqual([]);
      return plans.flatMap(mains).map(({ recipeId }) => recipeId);
    };
    expect(plansIn(157)).toEqual(['cream', 'cream']);
    expect(plansIn(156).filter((recipeId) => recipeId === 'cream').length).toBeLessThan(2);
  });

  it('wait side by side: the hands need their work one after the other and the longest wait', () => {
    const work = [
      { all: 113, waiting: 30 },
      { all: 90, waiting: 45 },
    ];
    expect(handsMinutes(work)).toBe(83 + 45 + 45);
    expect(handsMinutes([...work].reverse())).toBe(handsMinutes(work));
    expect(handsMinutes(work.slice(0, 1))).toBe(113);
    expect(handsMinutes([])).toBe(0);
  });
});

it('only strong protein: moisture that must follow is missing, so nothing is forced, and the words say why', () => {
  const problem = problemOf({ history: { recipes: [STRONG], readings: [GUMMY] } });
  const { plans, relaxations } = solveSchedule(problem, solve);
  expect(mains(plans[0])).toEqual([]);
  expect(relaxations).toEqual([]);
  expect(plans[0]?.unmet.length).toBeGreaterThan(0);
});

describe('a new recipe that she puts on today', () => {
  const fresh = testRecipe('fresh', ['100 g papaya', '1 tbsp honey'], { name: 'Papaya slip' });
  const asked = (at: number, decisions: readonly Decision[]) =>
    problemOf({
      weeks: 2,
      from: addDays(from, at),
      history: { readings: [GUMMY], recipes: [...ALL, fresh], decisions },
    });
  const onToday = [decision(from, 'place', 'fresh')];

  it.each([
    ['the programme', (problem: PlanProblem) => solveSchedule(problem, solve)],
    ['the search', (problem: PlanProblem) => searchSchedule(problem)],
  ])('is not done without its patch test, empties nothing and is told why, by %s', (_, planned) => {
    for (const at of [0, 1]) {
      const { plans, relaxations } = planned(asked(at, onToday));
      const without = planned(asked(at, []));
      expect(mains(plans[0]).length).toBeGreaterThanOrEqual(mains(without.plans[0]).length - 1);
      expect(mains(plans[0]).filter(({ day, recipeId }) => recipeId === 'fresh' && day === from)).toEqual([]);
      for (const { day, preparation, assignments } of plans[0]?.days ?? [])
        if (preparation.some(({ text }) => text.startsWith('Patch test')))
          expect(assignments.map((assignment) => [day, assignment.recipeId])).not.toContainEqual([
            day,
            'fresh',
          ]);
      if (at === 0) expect(relaxations.map(({ text }) => text).join()).toContain('patch test begun today');
    }
  });

  it('is asked about: the rule is named, with its way on', () => {
    const problem = asked(0, []);
    const { plans } = solveSchedule(problem, solve);
    const { possible, headline } = answerWhatIf(
      problem,
      plans,
      { headId: plans[0]?.headId ?? '', what: 'why-not', slot: 'main', recipeId: 'fresh', day: from },
      solve,
    );
    expect(possible).toBe(false);
    expect(headline).toContain('With a patch test begun today it may go on from Tuesday 12 May');
  });
});
