import { addDays, daysBetween } from '../../base/measures';
import {
  ALL,
  BALM,
  assignment,
  FROM as from,
  KNOWN,
  openProblem,
  problemOf,
  RULE_CASES,
  settings,
  STAMP,
  testSession,
  type Asked,
} from '../../lab/testing';
import type { Decision } from '../../records/shapes';
import { PLAN_RULES } from '../agenda';
import { checkAssignments } from './checkPlan';
import { breachesOf } from './permits';
import type { Standing } from './plan';
import { RULE_CHECKS } from './ruleChecks';

/** The rules that these treatments break, each once. */
function broken(assignments: readonly Standing[], asked: Asked = {}): string[] {
  return [
    ...new Set(checkAssignments(openProblem(asked), new Map([['h', assignments]])).map(({ rule }) => rule)),
  ].sort();
}

describe('a plan that keeps every rule', () => {
  it('is a wash of each sort with what belongs to it', () => {
    expect(
      broken([
        assignment(0, 'oil', 'pre-poo', true),
        assignment(1, 'strong'),
        assignment(1, 'cream', 'follow-up'),
        assignment(4, 'mist', 'refresh'),
        assignment(6, 'cream'),
        assignment(10, 'light'),
        assignment(14, 'oil', 'pre-poo'),
        assignment(14, 'balm'),
      ]),
    ).toEqual([]);
  });

  it('is no plan at all, too', () => {
    expect(broken([])).toEqual([]);
  });
});

describe('each rule is seen when it alone is broken', () => {
  it.each(
    RULE_CASES.map(([name, rule, assignments, asked = {}]) => [name, rule, assignments, asked] as const),
  )('%s', (_, rule, assignments, asked) => {
    expect(broken(assignments, asked)).toContain(rule);
  });

  it('and by how much: days for a gap, minutes for a day', () => {
    const problem = problemOf({ weeks: 2, history: { recipes: [...ALL, BALM] } });
    const [head] = problem.heads;
    if (!head) throw new Error('there is a head');
    const assignments = [assignment(0, 'light'), assignment(3, 'light')];
    const [, later] = assignments;
    if (!later) throw new Error('there are two');
    const gap = breachesOf(problem, head, assignments, later).find(
      ({ rule }) => rule === PLAN_RULES.lightProteinGap.id,
    );
    expect(gap?.by).toBe(PLAN_RULES.lightProteinGap.value - 3);
    // A Monday has no minutes.
    const over = checkAssignments(problem, new Map([['h', [assignment(1, 'balm')]]])).find(
      ({ rule }) => rule === 'free-time',
    );
    expect(over?.by).toBeGreaterThan(PLAN_RULES.washMinutes.value);
  });

  it('uses of the past count like planned ones', () => {
    const used = (recipeId: string, back: number) => ({
      history: { sessions: [...KNOWN, testSession(recipeId, addDays(from, -back))] },
    });
    expect(broken([assignment(2, 'light')], used('light', 4))).toContain(PLAN_RULES.lightProteinGap.id);
    expect(broken([assignment(3, 'light')], used('light', 4))).toEqual([]);
    expect(broken([assignment(1, 'balm')], used('balm', 0))).toContain(PLAN_RULES.washGap.id);
    expect(broken([assignment(3, 'new')], used('newer', 3))).toContain(PLAN_RULES.newPerWeek.id);
    expect(broken([assignment(4, 'new')], used('newer', 3))).toEqual([]);
  });

  it('a rule that is switched off is not', () => {
    const off = { history: { planSettings: [settings({ rules: { [PLAN_RULES.mainsPerWeek.id]: null } })] } };
    expect(broken([assignment(1, 'balm'), assignment(4, 'balm'), assignment(7, 'balm')], off)).toEqual([]);
  });

  it('what she decided has to stand, and what she does not want must not', () => {
    const decision = (what: 'place' | 'avoid', recipeId: string | null) => ({
      history: {
        decisions: [
          {
            ...STAMP,
            kind: 'decision' as const,
            id: 'd',
            headId: 'h',
            day: addDays(from, 3),
            slot: 'main' as const,
            what,
            recipeId,
          },
        ],
      },
    });
    expect(broken([], decision('place', 'balm'))).toEqual(['locked']);
    expect(broken([assignment(3, 'balm')], decision('place', 'balm'))).toEqual([]);
    expect(broken([assignment(3, 'balm')], decision('avoid', null))).toEqual(['locked']);
    expect(broken([assignment(3, 'balm')], decision('avoid', 'light'))).toEqual([]);
  });

  it('any treatment moved by a day is told apart from the plan that it was', () => {
    const kept = [assignment(1, 'balm'), assignment(3, 'balm')];
    expect(broken(kept)).toEqual([]);
    for (const moved of kept) {
      const other = kept.map((each) =>
        each === moved
          ? { ...each, day: addDays(each.day, daysBetween(from, each.day) === 1 ? 1 : -1) }
          : each,
      );
      expect(broken(other)).toEqual([PLAN_RULES.washGap.id]);
    }
  });
});

describe('a rule that is switched off in the checker', () => {
  const checks = RULE_CHECKS as Record<string, (typeof RULE_CHECKS)[string]>;

  it.each(Object.keys(RULE_CHECKS))('%s: a case above notices', (rule) => {
    const cases = RULE_CASES.filter(([, broke]) => broke === rule);
    const original = checks[rule];
    if (!original) throw new Error('there is such a rule');
    const noticed = () => [
      ...cases.map(([, , assignments, asked]) => broken(assignments, asked).includes(rule)),
      ...(rule === 'locked' ? [broken([], lockedOn(3)).includes(rule)] : []),
    ];
    expect(noticed().length).toBeGreaterThan(0);
    expect(noticed()).not.toContain(false);
    checks[rule] = () => [];
    try {
      expect(noticed()).not.toContain(true);
    } finally {
      checks[rule] = original;
    }
  });
});

/** She put a balm on this day. */
const lockedOn = (at: number): Asked => ({
  history: {
    decisions: [
      {
        ...STAMP,
        kind: 'decision',
        id: 'd',
        headId: 'h',
        day: addDays(from, at),
        slot: 'main',
        what: 'place',
        recipeId: 'balm',
      } satisfies Decision,
    ],
  },
});
