import fc from 'fast-check';
import loadHighs from 'highs';
import { addDays, daysBetween, weekdayOf, type CalendarDay } from '../../base/measures';
import { solverFrom, type SolveProgramme } from '../../base/programme';
import {
  ALL,
  FROM as from,
  KNOWN,
  problemOf,
  STAMP,
  testOccasion,
  testRecipe,
  testRhythm,
  testSession,
  type Asked,
} from '../../lab/testing';
import type { Decision, Rhythm } from '../../records/shapes';
import { checkPlan, type Assignment, type Plan } from '../planning';
import { searchSchedule, solveSchedule } from './schedule';

let solve: SolveProgramme;
beforeAll(async () => {
  solve = solverFrom(await loadHighs());
});

const everyDay = { freeMinutes: Array(7).fill(200) as number[] };
const rhythm = (of: Rhythm['of'], when: Rhythm['when'], changes: Partial<Rhythm> = {}): Rhythm =>
  testRhythm(from, {
    id: JSON.stringify([of, when]),
    rhythmId: JSON.stringify([of, when]),
    name: null,
    of,
    when,
    until: null,
    ...changes,
  });
const planOf = (asked: Asked): Plan => {
  const problem = problemOf(asked);
  const { plans } = solveSchedule(problem, solve);
  expect(checkPlan(problem, plans)).toEqual([]);
  return plans[0] as Plan;
};
const assignmentsOf = ({ days }: Plan): Assignment[] => days.flatMap(({ assignments }) => assignments);
const daysOf = (plan: Plan, recipeId: string) =>
  assignmentsOf(plan)
    .filter((assignment) => assignment.recipeId === recipeId)
    .map(({ day }) => daysBetween(from, day));
const promises = ({ unmet }: Plan) =>
  unmet.flatMap(({ promise, rule }) => (promise ? [{ ...promise, rule }] : []));

describe('a rhythm of a recipe', () => {
  it('on Fridays is kept on Fridays, and only there', () => {
    const plan = planOf({
      head: everyDay,
      weeks: 3,
      history: { rhythms: [rhythm({ recipeId: 'cream' }, { every: 'weekdays', weekdays: [5], weeks: 1 })] },
    });
    expect(daysOf(plan, 'cream')).toEqual([5, 12, 19]);
    expect(promises(plan)).toEqual([]);
    const [first] = assignmentsOf(plan).filter(({ recipeId }) => recipeId === 'cream');
    expect(first?.reasons.map(({ text }) => text)).toContain('You asked for it. cream: Fridays.');
  });

  it('every second Friday, twice a month and before a style are kept too', () => {
    const style = testOccasion('style', addDays(from, 20), addDays(from, 27));
    const plan = planOf({
      head: everyDay,
      weeks: 4,
      history: {
        occasions: [style],
        rhythms: [
          rhythm({ recipeId: 'cream' }, { every: 'weekdays', weekdays: [5], weeks: 2 }),
          rhythm({ recipeId: 'light' }, { every: 'style', daysBefore: 3 }),
        ],
      },
    });
    expect(daysOf(plan, 'cream')).toEqual([5, 19]);
    expect(daysOf(plan, 'light').some((day) => day >= 17 && day <= 20)).toBe(true);
    expect(promises(plan).filter(({ rhythmId }) => rhythmId !== null)).toEqual([]);
  });

  it('that is firm goes before the comfort zone', () => {
    const asked = (firm: boolean) =>
      planOf({
        head: everyDay,
        weeks: 2,
        history: { rhythms: [rhythm({ recipeId: 'light' }, { every: 'week', times: 1 }, { firm })] },
      });
    expect(daysOf(asked(true), 'light')).toHaveLength(2);
    expect(promises(asked(true))).toEqual([]);
  });

  it('with each wash puts an oil before each wash', () => {
    const plan = planOf({
      head: everyDay,
      weeks: 2,
      history: { rhythms: [rhythm({ sort: 'pre-poo' }, { every: 'wash' }, { firm: true })] },
    });
    const washes = assignmentsOf(plan).filter(({ slot }) => slot === 'main');
    expect(washes.length).toBeGreaterThan(1);
    for (const { day } of washes)
      expect(
        assignmentsOf(plan).some(
          (assignment) =>
            assignment.slot === 'pre-poo' &&
            (assignment.overnight ? addDays(assignment.day, 1) : assignment.day) === day,
        ),
      ).toBe(true);
  });

  it('between the washes: a mist every night, a scalp oil twice a week', () => {
    const scalp = testRecipe('scalp', ['2 tbsp jojoba oil'], { use: 'scalp-oil' });
    const night = testRecipe('night', ['2 tbsp water', '1 tsp glycerin'], { use: 'mist' });
    const plan = planOf({
      head: everyDay,
      history: {
        recipes: [...ALL, scalp, night],
        sessions: [
          ...KNOWN,
          testSession('scalp', addDays(from, -60)),
          testSession('night', addDays(from, -60)),
        ],
        rhythms: [
          rhythm({ recipeId: 'night' }, { every: 'night' }),
          rhythm({ sort: 'scalp-oil' }, { every: 'week', times: 2 }),
        ],
      },
    });
    expect(daysOf(plan, 'night')).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(daysOf(plan, 'scalp')).toHaveLength(2);
    expect(promises(plan)).toEqual([]);
  });

  it('rests in its months and stops after so many times', () => {
    const resting = rhythm({ recipeId: 'mist' }, { every: 'night' }, { notIn: [5] });
    expect(daysOf(planOf({ history: { rhythms: [resting] } }), 'mist')).toEqual([]);
    const twice = rhythm({ recipeId: 'mist' }, { every: 'night' }, { times: 2 });
    expect(daysOf(planOf({ history: { rhythms: [twice] } }), 'mist')).toEqual([0, 1]);
  });
});

describe('what she asked for and does not get', () => {
  it('says the day that has no time, and the nearest that has', () => {
    // Sundays, Wednesdays and Saturdays are free.
    const plan = planOf({
      history: {
        rhythms: [
          rhythm({ recipeId: 'cream' }, { every: 'weekdays', weekdays: [5], weeks: 1 }, { firm: true }),
        ],
      },
    });
    const [promise] = promises(plan);
    expect(promise).toMatchObject({
      rule: 'free-time',
      from: addDays(from, 5),
      to: addDays(from, 5),
      times: 1,
    });
    expect(promise?.reason).toMatch(/^Friday 15 May has 0 minutes, and it takes \d+\.$/);
    expect(promise?.nearest).toMatchObject({ day: addDays(from, 6), text: 'Saturday 16 May would fit.' });
  });

  it('says that a recipe was not tested, and what to do', () => {
    const plan = planOf({
      head: everyDay,
      history: {
        sessions: KNOWN.filter(({ recipeId }) => recipeId !== 'cream'),
        rhythms: [rhythm({ recipeId: 'cream' }, { every: 'days', days: 1 })],
      },
    });
    const patch = promises(plan).find(({ rule }) => rule === 'patch-test');
    expect(patch?.reason).toBe("cream hasn't been patch-tested.");
  });

  it('says that protein twice a week is against its spacing', () => {
    const plan = planOf({
      head: everyDay,
      weeks: 2,
      history: { rhythms: [rhythm({ sort: 'protein' }, { every: 'week', times: 2 }, { firm: true })] },
    });
    const [promise] = promises(plan);
    expect(promise?.rule).toBe('light-protein-gap');
    expect(promise?.times).toBe(2);
  });

  it('says that nothing of the sort is saved', () => {
    const plan = planOf({ history: { rhythms: [rhythm({ sort: 'serum' }, { every: 'night' })] } });
    expect(promises(plan)).toMatchObject([{ rule: 'no-recipe', times: 7 }]);
  });

  it('says that a style is in, and that protein did not come before it', () => {
    const style = testOccasion('style', addDays(from, 1), addDays(from, 30));
    const plan = planOf({
      head: { freeMinutes: Array(7).fill(0) as number[] },
      history: { occasions: [style], rhythms: [rhythm({ recipeId: 'cream' }, { every: 'week', times: 1 })] },
    });
    expect(promises(plan).map(({ asked }) => asked)).toEqual([
      'cream: once a week',
      'Protein before the style of Monday 11 May',
    ]);
  });

  it('says that what she put on a day is not there', () => {
    const decision: Decision = {
      ...STAMP,
      kind: 'decision',
      id: 'd',
      headId: 'h',
      day: addDays(from, 3),
      slot: 'main',
      what: 'place',
      recipeId: 'gone',
    };
    const { plans } = solveSchedule(problemOf({ history: { decisions: [decision] } }), solve);
    expect(promises(plans[0] as Plan)).toMatchObject([{ asked: 'What you put there', rule: 'no-recipe' }]);
  });
});

describe('oil tonight', () => {
  it('is put on this evening and washed out tomorrow, whatever evenings are hers', () => {
    const decided = (
      day: CalendarDay,
      slot: Decision['slot'],
      recipeId: string,
      overnight?: true,
    ): Decision => ({
      ...STAMP,
      kind: 'decision',
      id: `${slot}-${day}`,
      headId: 'h',
      day,
      slot,
      what: 'place',
      recipeId,
      ...(overnight ? { overnight } : {}),
    });
    const plan = planOf({
      head: { ...everyDay, nights: Array(7).fill(false) as boolean[] },
      history: {
        decisions: [decided(from, 'pre-poo', 'oil', true), decided(addDays(from, 1), 'main', 'plain-wash')],
      },
    });
    const [tonight] = assignmentsOf(plan);
    expect(tonight).toMatchObject({ recipeId: 'oil', overnight: true, day: from });
    expect(daysOf(plan, 'plain-wash')).toEqual([1]);
  });
});

describe('a year of rhythms against the planner and the checker', () => {
  const RECIPES = ['cream', 'light', 'oil', 'mist'] as const;
  const of: fc.Arbitrary<Rhythm['of']> = fc.oneof(
    fc.constantFrom(...RECIPES).map((recipeId) => ({ recipeId })),
    fc.constantFrom('moisture' as const, 'protein' as const, 'pre-poo' as const).map((sort) => ({ sort })),
  );
  const when: fc.Arbitrary<Rhythm['when']> = fc.oneof(
    fc.record({ every: fc.constant('days' as const), days: fc.integer({ min: 1, max: 20 }) }),
    fc.record({
      every: fc.constant('weekdays' as const),
      weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 2 }),
      weeks: fc.integer({ min: 1, max: 2 }),
    }),
    fc.record({ every: fc.constant('week' as const), times: fc.integer({ min: 1, max: 3 }) }),
    fc.record({ every: fc.constant('month' as const), times: fc.integer({ min: 1, max: 2 }) }),
    fc.constant({ every: 'wash' as const }),
  );
  const rhythms = fc.array(
    fc.record({ of, when, firm: fc.boolean(), startedAgo: fc.integer({ min: 0, max: 300 }) }),
    { minLength: 1, maxLength: 3 },
  );

  it('no plan breaks a rule, and each of her weekdays is kept or said, at any time of the year', () => {
    fc.assert(
      fc.property(
        rhythms,
        fc.integer({ min: 0, max: 364 }),
        fc.array(fc.nat(250), { minLength: 7, maxLength: 7 }),
        (asked, later, freeMinutes) => {
          const today = addDays(from, later);
          const own = asked.map(({ of: what, when: often, firm, startedAgo }, index) =>
            rhythm(what, often, {
              id: `r${index}`,
              rhythmId: `r${index}`,
              firm,
              startsOn: addDays(today, -startedAgo),
            }),
          );
          const problem = problemOf({
            head: { freeMinutes },
            history: { rhythms: own },
            from: today,
            weeks: 2,
          });
          const { plans } = searchSchedule(problem);
          expect(checkPlan(problem, plans)).toEqual([]);
          const [plan] = plans as [Plan];
          const said = new Set(promises(plan).map(({ rhythmId }) => rhythmId));
          for (const { rhythmId, when: often, of: what, startsOn } of own) {
            if (often.every !== 'weekdays' || !('recipeId' in what)) continue;
            const missing = plan.days.some(
              ({ day, assignments }) =>
                often.weekdays.includes(weekdayOf(day)) &&
                Math.floor(daysBetween(startsOn, day) / 7) % often.weeks === 0 &&
                !assignments.some(({ recipeId }) => recipeId === what.recipeId),
            );
            expect([rhythmId, said.has(rhythmId)]).toEqual([rhythmId, missing]);
          }
          for (const { reason, nearest } of promises(plan)) {
            expect(reason).not.toBe('');
            expect(nearest.text).not.toBe('');
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
