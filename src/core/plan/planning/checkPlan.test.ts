import { addDays, daysBetween } from '../../base/measures';
import {
  ALL,
  BALM,
  beat,
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
import { checkBeats } from './checkPlan';
import { breachesOf } from './permits';
import type { Standing } from './plan';
import { RULE_CHECKS } from './ruleChecks';

/** The rules that these beats break, each once. */
function broken(beats: readonly Standing[], asked: Asked = {}): string[] {
  return [...new Set(checkBeats(openProblem(asked), new Map([['h', beats]])).map(({ rule }) => rule))].sort();
}

describe('a plan that keeps every rule', () => {
  it('is a wash of each sort with what belongs to it', () => {
    expect(
      broken([
        beat(0, 'oil', 'pre-poo', true),
        beat(1, 'strong'),
        beat(1, 'cream', 'follow-up'),
        beat(4, 'mist', 'refresh'),
        beat(6, 'cream'),
        beat(10, 'light'),
        beat(14, 'oil', 'pre-poo'),
        beat(14, 'balm'),
      ]),
    ).toEqual([]);
  });

  it('is no plan at all, too', () => {
    expect(broken([])).toEqual([]);
  });
});

describe('each rule is seen when it alone is broken', () => {
  it.each(RULE_CASES.map(([name, rule, beats, asked = {}]) => [name, rule, beats, asked] as const))(
    '%s',
    (_, rule, beats, asked) => {
      expect(broken(beats, asked)).toContain(rule);
    },
  );

  it('and by how much: days for a gap, minutes for a day', () => {
    const problem = problemOf({ weeks: 2, history: { recipes: [...ALL, BALM] } });
    const [head] = problem.heads;
    if (!head) throw new Error('there is a head');
    const beats = [beat(0, 'light'), beat(3, 'light')];
    const [, later] = beats;
    if (!later) throw new Error('there are two');
    const gap = breachesOf(problem, head, beats, later).find(
      ({ rule }) => rule === PLAN_RULES.lightProteinGap.id,
    );
    expect(gap?.by).toBe(PLAN_RULES.lightProteinGap.value - 3);
    // A Monday has no minutes.
    const over = checkBeats(problem, new Map([['h', [beat(1, 'balm')]]])).find(
      ({ rule }) => rule === 'free-time',
    );
    expect(over?.by).toBeGreaterThan(PLAN_RULES.washMinutes.value);
  });

  it('uses of the past count like planned ones', () => {
    const used = (recipeId: string, back: number) => ({
      history: { sessions: [...KNOWN, testSession(recipeId, addDays(from, -back))] },
    });
    expect(broken([beat(2, 'light')], used('light', 4))).toContain(PLAN_RULES.lightProteinGap.id);
    expect(broken([beat(3, 'light')], used('light', 4))).toEqual([]);
    expect(broken([beat(1, 'balm')], used('balm', 0))).toContain(PLAN_RULES.washGap.id);
    expect(broken([beat(3, 'new')], used('newer', 3))).toContain(PLAN_RULES.newPerWeek.id);
    expect(broken([beat(4, 'new')], used('newer', 3))).toEqual([]);
  });

  it('a rule that is switched off is not', () => {
    const off = { history: { planSettings: [settings({ rules: { [PLAN_RULES.mainsPerWeek.id]: null } })] } };
    expect(broken([beat(1, 'balm'), beat(4, 'balm'), beat(7, 'balm')], off)).toEqual([]);
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
    expect(broken([beat(3, 'balm')], decision('place', 'balm'))).toEqual([]);
    expect(broken([beat(3, 'balm')], decision('avoid', null))).toEqual(['locked']);
    expect(broken([beat(3, 'balm')], decision('avoid', 'light'))).toEqual([]);
  });

  it('any beat moved by a day is told apart from the plan that it was', () => {
    const kept = [beat(1, 'balm'), beat(3, 'balm')];
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
      ...cases.map(([, , beats, asked]) => broken(beats, asked).includes(rule)),
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
