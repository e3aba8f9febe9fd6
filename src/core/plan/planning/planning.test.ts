import { addDays } from '../../base/measures';
import { FROM as from, GUMMY, KNOWN, problemOf, STAMP, testOccasion, testSession } from '../../lab/testing';
import { LEANINGS, type Occasion } from '../../records/shapes';
import {
  overdueFactor,
  RULE_KEYS,
  PLAN_RULES,
  rulesInForce,
  USUAL_CHOICES,
  WEIGHTS,
  weightsInForce,
} from '../agenda';
import { searchSchedule } from '../scheduling';
import { isFreeEvening, freeMinutesOn, washWindow } from './draft';
import { duesOf } from './dues';
import { forecastOn } from './forecast';
import { pathOf, scoreOf, scoreParts, spanOf } from './score';

const occasion = (what: Occasion['what'], first: number, last: number, minutes: number | null = null) =>
  testOccasion(what, addDays(from, first), addDays(from, last), { id: `${what}${first}`, minutes });
const headOf = (problem: ReturnType<typeof problemOf>) => {
  const [head] = problem.heads;
  if (!head) throw new Error('there is a head');
  return head;
};

describe('the rules', () => {
  it('are data: each within its own range, with a reason, and known by one id', () => {
    expect(new Set(RULE_KEYS.map((key) => PLAN_RULES[key].id)).size).toBe(RULE_KEYS.length);
    for (const key of RULE_KEYS) {
      const { value, least, most, why, label } = PLAN_RULES[key];
      expect(value).toBeGreaterThanOrEqual(least);
      expect(value).toBeLessThanOrEqual(most);
      expect(why.length).toBeGreaterThan(15);
      expect(label.length).toBeGreaterThan(5);
    }
  });

  it('in force are hers where she changed them, within their range; what keeps her safe cannot be off', () => {
    const rules = rulesInForce({
      rules: { 'wash-gap': 4, 'mains-per-week': 99, 'firm-hold': null, 'patch-test': null, unknown: 3 },
    });
    expect(rules).toMatchObject({
      washGap: 4,
      mainsPerWeek: PLAN_RULES.mainsPerWeek.most,
      firmHold: null,
      patchTest: 2,
    });
  });

  it('count a date more where nothing was read lately, and most where the calendar decides', () => {
    expect(overdueFactor('readings', 3, false)).toBe(0);
    expect(overdueFactor('readings', 15, false)).toBe(1);
    expect(overdueFactor('readings', Infinity, false)).toBe(1);
    expect(overdueFactor('calendar', 3, false)).toBeGreaterThan(1);
    expect(overdueFactor('calendar', 30, false)).toBe(overdueFactor('calendar', 3, false));
  });

  it('count a date that she set herself whatever is measured', () => {
    expect(overdueFactor('readings', 3, true)).toBe(1);
    expect(overdueFactor('feel', 3, true)).toBe(overdueFactor('feel', 3, false));
  });

  it('lean as she says: more of one raises what it names and nothing else', () => {
    for (const leaning of LEANINGS) {
      const leaned = weightsInForce({
        rhythm: 'readings',
        leanings: { ...USUAL_CHOICES.leanings, [leaning]: 1 },
      });
      const usual = weightsInForce(USUAL_CHOICES);
      const raised = Object.entries(leaned).filter(
        ([key, value]) => value !== usual[key as keyof typeof WEIGHTS],
      );
      expect(raised.length).toBeGreaterThan(0);
      for (const [key, value] of raised) expect(value).toBeGreaterThan(usual[key as keyof typeof WEIGHTS]);
    }
  });
});

describe('her days', () => {
  const history = {
    occasions: [
      occasion('hours', 1, 1, 90),
      occasion('hours', 3, 4, 0),
      occasion('style', 6, 9),
      occasion('no-wash', 12, 13),
    ],
  };
  const head = headOf(problemOf({ history, weeks: 3 }));

  it('have other minutes where she said so, and less where a style is taken down', () => {
    // A Sunday, a Monday with 90 minutes, a Wednesday away, and the take-down on a Tuesday.
    expect([0, 1, 3, 9].map((at) => freeMinutesOn(head, addDays(from, at)))).toEqual([200, 90, 0, 0]);
    const saturday = headOf(problemOf({ history: { occasions: [occasion('style', 1, 6)] } }));
    expect(freeMinutesOn(saturday, addDays(from, 6))).toBe(200 - PLAN_RULES.takeDownMinutes.value);
  });

  it('have no evening while she is away', () => {
    expect([2, 3, 4].map((at) => isFreeEvening(head, addDays(from, at)))).toEqual([true, false, false]);
  });

  it('are closed to a wash inside a style but not on its two ends, and all through a stretch without wash', () => {
    const windows = [5, 6, 7, 8, 9, 11, 12, 13].map((at) => washWindow(head, addDays(from, at)));
    expect(windows).toEqual([
      undefined,
      undefined,
      'style',
      'style',
      undefined,
      undefined,
      'no-wash',
      'no-wash',
    ]);
  });
});

describe('overdue and too soon', () => {
  it('are both told, with when it is allowed and when it is planned', () => {
    const problem = problemOf({
      history: {
        readings: [GUMMY],
        sessions: [
          ...KNOWN,
          testSession('light', addDays(from, -3)),
          testSession('cream', addDays(from, -12)),
        ],
      },
      weeks: 2,
    });
    const plan = searchSchedule(problem);
    const dues = duesOf(problem, headOf(problem), plan.drafts[0] ?? []);
    const due = (what: string) => dues.find((each) => each.what === what);
    expect(due('protein')).toMatchObject({
      since: 3,
      tooSoonFor: 4,
      allowedFrom: addDays(from, 4),
      overdueBy: 0,
    });
    expect(due('moisture')).toMatchObject({ since: 12, overdueBy: 5, tooSoonFor: 0 });
    const protein = due('protein')?.plannedOn;
    expect(protein && protein >= addDays(from, 4)).toBe(true);
    expect(due('strong protein')?.since).toBe(60);
  });

  it('call protein overdue only where the calendar decides, and no strong one due on a child', () => {
    const settings = {
      ...STAMP,
      ...USUAL_CHOICES,
      kind: 'plan-settings' as const,
      id: 's',
      headId: 'h',
      rhythm: 'calendar' as const,
    };
    const overdue = (planSettings: (typeof settings)[]) => {
      const problem = problemOf({ history: { planSettings } });
      return duesOf(problem, headOf(problem), []).find(({ what }) => what === 'protein')?.overdueBy;
    };
    expect(overdue([])).toBe(0);
    expect(overdue([settings])).toBe(60 - PLAN_RULES.proteinWithin.value);
    const child = problemOf({ head: { ageBand: 'child' } });
    expect(duesOf(child, headOf(child), []).map(({ what }) => what)).not.toContain('strong protein');
  });
});

describe('what a plan costs', () => {
  const problem = problemOf({ history: { readings: [GUMMY] }, weeks: 3 });
  const head = headOf(problem);
  const drafts = searchSchedule(problem).drafts[0] ?? [];

  it('is the sum of its parts, and what is planned is better than nothing', () => {
    const parts = scoreParts(head, from, drafts, spanOf(3));
    expect(scoreOf(parts)).toBeCloseTo(
      Object.values(parts).reduce((sum, part) => sum + part, 0),
      12,
    );
    expect(scoreOf(parts)).toBeLessThan(scoreOf(scoreParts(head, from, [], spanOf(3))));
  });

  it('follows the same course as the forecast of a single day', () => {
    const path = pathOf(head, 'firmness', from, drafts, 21);
    for (const at of [0, 5, 13, 20]) {
      const single = forecastOn(head, 'firmness', drafts, addDays(from, at));
      expect(path[at]?.mean).toBeCloseTo(single.mean, 9);
      expect(path[at]?.sd).toBeCloseTo(single.sd, 9);
    }
  });

  it('counts a day to look good more than others', () => {
    const event = problemOf({
      history: { readings: [GUMMY], occasions: [occasion('look-good', 2, 2)] },
      weeks: 3,
    });
    const comfortZone = (asked: typeof problem) => scoreParts(headOf(asked), from, [], spanOf(3)).outOfLane;
    expect(comfortZone(event)).toBeGreaterThan(comfortZone(problem) + 0.5);
  });
});
