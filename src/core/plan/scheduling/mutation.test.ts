import loadHighs from 'highs';
import { daysBetween } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import { FROM, openProblem, RULE_CASES, STAMP, type Asked } from '../../lab/testing';
import type { Decision } from '../../records/shapes';
import { isSmall } from '../agenda';
import { checkPlan, type PlanProblem } from '../planning';
import { searchSchedule, trySolving } from './schedule';

/** The rule that the planners forget in a test; null for none. */
const mockForgotten: { rule: string | null } = { rule: null };

jest.mock('../planning/permits', () => {
  const actual = jest.requireActual('../planning/permits');
  return {
    ...actual,
    breachesOf: (...asked: unknown[]) =>
      actual.breachesOf(...asked).filter(({ rule }: { rule: string }) => rule !== mockForgotten.rule),
  };
});
jest.mock('./rows', () => {
  const actual = jest.requireActual('./rows');
  class Rows extends actual.Rows {
    row(terms: unknown, is: unknown, value: unknown, rule: string | null = null): void {
      if (rule === null || rule !== mockForgotten.rule) super.row(terms, is, value, rule);
    }
  }
  return { ...actual, Rows };
});

// Part of a dose would mend what the planner forgot: after less of it fewer days are needed.
jest.mock('./fitDoses', () => ({ fitDoses: (...[, , washes]: unknown[]) => washes }));

afterEach(() => {
  mockForgotten.rule = null;
});

const rulesBroken = (problem: PlanProblem, { plans }: { readonly plans: Parameters<typeof checkPlan>[1] }) =>
  checkPlan(problem, plans).map(({ rule }) => rule);

/** What no planner can do at all, whatever the rules say, needs no rule in it: an oil is never offered as a mask. */
const CANNOT_BE_PLANNED = new Set(['unknown-recipe', 'not-a-mask', 'not-a-pre-poo', 'two-pre-poos']);
/** Kept by what the planner counts, not by what it asks of a treatment: see the tests of minutes, shelf and trials. */
const COUNTED = new Set(['free-time', 'trial', 'batch']);

type Case = readonly [name: string, rule: string, assignments: (typeof RULE_CASES)[number][2], asked?: Asked];
const CASES = RULE_CASES.filter(
  ([, rule]) => !CANNOT_BE_PLANNED.has(rule) && !COUNTED.has(rule),
) as readonly Case[];

it('what was agreed before a trial began does not stand in its way', () => {
  const [, , assignments, asked] = RULE_CASES.find(([, rule]) => rule === 'trial') as Case;
  const problem = openProblem({ ...asked, weeks: 1, agreed: [...assignments] });
  expect(rulesBroken(problem, searchSchedule(problem))).not.toContain('trial');
});

describe.each(
  CASES.map(([name, rule, assignments, asked = {}]) => [name, rule, assignments, asked] as const),
)('the search, on %s', (_, rule, assignments, asked) => {
  // What was agreed stands as a whole where it keeps every rule, and does not where it breaks one.
  // No week beyond it, for which the search could give some of it up again.
  const problem = openProblem({
    ...asked,
    weeks: Math.ceil((1 + Math.max(...assignments.map(({ day }) => daysBetween(FROM, day)))) / 7),
    agreed: assignments.map(({ day, slot, recipeId, overnight }) => ({ day, slot, recipeId, overnight })),
  });

  it(`keeps ${rule}`, () => {
    expect(rulesBroken(problem, searchSchedule(problem))).not.toContain(rule);
  });

  it(`and breaks it when it forgets ${rule}: the checker sees that`, () => {
    mockForgotten.rule = rule;
    expect(rulesBroken(problem, searchSchedule(problem))).toContain(rule);
  });
});

/** Not a row of the programme: these are never offered to it in the first place. */
const NEVER_OFFERED = new Set([
  'pre-poo-without-a-wash',
  'follow-up-without-protein',
  'oil-only',
  'overnight-only-oil',
]);

const OFFERED_ON_HER_EVENINGS = 'an overnight oil on an evening that is not hers';

describe.each(
  CASES.filter(([name, rule]) => !NEVER_OFFERED.has(rule) && name !== OFFERED_ON_HER_EVENINGS).map(
    ([name, rule, assignments, asked = {}]) => [name, rule, assignments, asked] as const,
  ),
)('the programme, on %s', (_, rule, assignments, asked) => {
  let solve: SolveProgramme;
  beforeAll(async () => {
    solve = solverFrom(await loadHighs());
  });
  // She puts all of it there: where a rule forbids it there is no plan.
  const problem = openProblem({
    ...asked,
    history: {
      ...asked.history,
      decisions: assignments
        .filter((each) => !isSmall(each))
        .map(({ day, slot, recipeId }): Decision => ({
          ...STAMP,
          kind: 'decision',
          id: `${day}-${slot}`,
          headId: 'h',
          day,
          slot,
          what: 'place',
          recipeId,
        })),
    },
  });
  const plan = () => trySolving(problem, solve, { seconds: 10, gap: 0.5 }, []);

  it(`keeps ${rule}`, () => {
    const answer = plan();
    expect(answer.status === 'solved' ? rulesBroken(problem, answer.schedule) : []).not.toContain(rule);
  });

  it(`and breaks it when it forgets ${rule}: the checker sees that`, () => {
    mockForgotten.rule = rule;
    const answer = plan();
    expect(answer.status === 'solved' ? rulesBroken(problem, answer.schedule) : [answer.status]).toContain(
      rule,
    );
  });
});
