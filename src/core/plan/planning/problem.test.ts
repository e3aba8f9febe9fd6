import { addDays } from '../../base/measures';
import type { HeadHistory } from '../../hair/history';
import { trialOrder } from '../../hair/trials';
import {
  ALL,
  BALM,
  CREAM,
  FROM as from,
  KNOWN,
  LIGHT,
  problemOf,
  STAMP,
  STRONG,
  testBatch,
  testRhythm,
  testRecipe,
  testSession,
  type Asked,
} from '../../lab/testing';
import type { Batch, Decision, PantryItem, PlanSettings, Trial, WashDay } from '../../records/shapes';
import { PLAIN_WASH_ID, PLAN_RULES, USUAL_CHOICES } from '../agenda';
import { draftOf } from './draft';
import { MOST_WEEKS, type Treatment } from './plan';
import { preparationOf } from './preparation';
import { EMPTY_KITCHEN, type Kitchen } from './problem';

const headOf = (asked: Asked) => {
  const [head] = problemOf(asked).heads;
  if (!head) throw new Error('there is a head');
  return head;
};
const treatmentOf = (asked: Asked, recipeId: string): Treatment | undefined =>
  headOf(asked).treatments.find((known) => known.recipeId === recipeId);

const batch = (changes: Partial<Batch> = {}) =>
  testBatch('balm', addDays(from, -1), {
    batchId: 'b',
    weighed: [100, 15],
    portions: 2,
    portionGrams: 57,
    ...changes,
  });

const withBatches = (...batches: Batch[]): Kitchen => ({ ...EMPTY_KITCHEN, batches });
const balm: Partial<HeadHistory> = { recipes: [BALM] };

describe('what is done already', () => {
  const placed = (recipeId: string, days: number): Decision => ({
    ...STAMP,
    kind: 'decision',
    id: `placed-${recipeId}-${days}`,
    headId: 'h',
    day: addDays(from, days),
    slot: 'main',
    what: 'place',
    recipeId,
  });
  const washDay = (changes: Partial<WashDay> = {}): WashDay => ({
    ...STAMP,
    kind: 'wash-day',
    id: 'w',
    headId: 'h',
    day: from,
    startedAt: '2026-01-01T10:00:00Z',
    endedAt: '2026-01-01T11:00:00Z',
    endedEarly: false,
    steps: [
      {
        id: 'cleanse',
        phase: 'cleanse',
        title: 'Cleanse',
        slot: null,
        recipeId: null,
        waits: false,
        planned: 10,
        real: 9,
        outcome: 'done',
      },
    ],
    felt: null,
    changes: [],
    uses: [],
    note: '',
    ...changes,
  });
  const usesOf = (day: WashDay) =>
    headOf({ history: { recipes: [BALM], sessions: [], washDays: [day] } }).past;

  it('is not asked for once more: what she put on today, and did today', () => {
    const history = {
      recipes: [BALM, CREAM],
      decisions: [placed('balm', 0), placed('cream', 0), placed('balm', 7)],
      sessions: [testSession('balm', from)],
    };
    expect(headOf({ history }).decisions.map(({ id }) => id)).toEqual(['placed-cream-0', 'placed-balm-7']);
  });

  it('is a wash, too, where nothing but a wash was done, and then one that was put there stands no more', () => {
    expect(usesOf(washDay()).map(({ day, recipeId }) => [day, recipeId])).toEqual([[from, PLAIN_WASH_ID]]);
    const history = { washDays: [washDay()], decisions: [placed(PLAIN_WASH_ID, 0)] };
    expect(headOf({ history }).decisions).toEqual([]);
  });

  it('is no wash where it was ended before the shampoo, and no second one beside a mask', () => {
    const [cleanse] = washDay().steps;
    if (!cleanse) throw new Error('there is a step');
    expect(usesOf(washDay({ steps: [{ ...cleanse, outcome: 'not-reached', real: null }] }))).toEqual([]);
    const use = { sessionId: 's', recipeId: 'balm', slot: 'main', rating: null, leftGrams: null } as const;
    expect(usesOf(washDay({ uses: [use] }))).toEqual([]);
  });
});

describe('a house without heat', () => {
  const warm = testRecipe('warm', ['100 g plain conditioner', '1 tbsp glycerin'], {
    warmth: 'warm',
    contactMinutes: 30,
  });
  const planned = (lacks: HeadHistory['lacks']) =>
    treatmentOf({ history: { recipes: [warm], lacks } }, 'warm');

  it('has its treatments on for longer, to the same dose, and the plan counts with it', () => {
    expect(planned([])).toMatchObject({ contactMinutes: 30, warmth: 'warm' });
    const without = planned(['heat']);
    expect(without?.warmth).toBe('room');
    expect(without?.contactMinutes).toBeGreaterThan(30);
    expect(planned(['blender', 'freezer'])).toMatchObject({ contactMinutes: 30 });
  });
});

describe('what may be planned', () => {
  it('is the newest version of every recipe, and a wash without any', () => {
    const older = { ...BALM, name: 'older' };
    const newer = { ...BALM, id: 'balm-2', version: 2, name: 'newer' };
    const { treatments } = headOf({ history: { recipes: [older, newer, CREAM] } });
    expect(treatments.map(({ name }) => name).sort()).toEqual([
      'A wash without a treatment',
      'cream',
      'newer',
    ]);
  });

  it('is nothing that a caution stops on this head', () => {
    const honey = testRecipe('honey', ['200 ml water', '3 tbsp honey', '2 tbsp plain conditioner']);
    expect(treatmentOf({ history: { recipes: [honey] } }, 'honey')).toBeDefined();
    expect(
      treatmentOf({ history: { recipes: [honey] }, head: { allergies: ['bee-products'] } }, 'honey'),
    ).toBeUndefined();
  });

  it('tells strong protein, light protein and moisture apart as spacing needs it', () => {
    const sorts = [STRONG, LIGHT, CREAM].map(({ recipeId }) => {
      const found = treatmentOf({}, recipeId);
      return found && [found.firms, found.strong, found.moistens];
    });
    expect(sorts).toEqual([
      [true, true, false],
      [true, false, false],
      [false, false, true],
    ]);
  });

  it.each([
    ['never used and not tested', null, { isNew: true, patchTest: 'waits', allowedFrom: addDays(from, 2) }],
    ['tested and clear', 'clear', { isNew: true, patchTest: 'clear', allowedFrom: from }],
    ['under test since yesterday', 'waiting', { patchTest: 'runs', allowedFrom: addDays(from, 1) }],
    ['tested and reacted to', 'reacted', undefined],
  ] as const)('after its patch test: %s', (_, outcome, expected) => {
    const history: Partial<HeadHistory> = {
      recipes: [LIGHT],
      sessions: [],
      patchTests:
        outcome === null
          ? []
          : [
              {
                ...STAMP,
                kind: 'patch-test',
                id: 'p',
                headId: 'h',
                recipeId: 'light',
                startedOn: addDays(from, -1),
                outcome,
                note: '',
              },
            ],
    };
    const found = treatmentOf({ history }, 'light');
    if (expected) expect(found).toMatchObject(expected);
    else expect(found).toBeUndefined();
  });

  it('costs what its part of the batch costs, and nothing is said where no price is known', () => {
    const priced: PantryItem = {
      ...STAMP,
      kind: 'pantry',
      id: 'p',
      ingredientId: 'plain-conditioner',
      gramsLeft: null,
      pack: { grams: 200, price: 4 },
    };
    const recipe = testRecipe('jar', ['100 g plain conditioner']);
    const history = { recipes: [recipe], sessions: [testSession('jar', addDays(from, -60))] };
    const id = recipe.lines[0]?.ingredientId ?? '';
    const pantry = new Map([[id, { ...priced, ingredientId: id }]]);
    const cost = treatmentOf({ history, kitchen: { ...EMPTY_KITCHEN, pantry } }, 'jar')?.cost;
    expect(cost).toBeGreaterThan(0);
    // Two in a hundred grams of a jar at four for two hundred, times what this head takes.
    const longer = treatmentOf(
      { history, head: { lengthCm: 60 }, kitchen: { ...EMPTY_KITCHEN, pantry } },
      'jar',
    )?.cost;
    expect(longer).toBeGreaterThan(cost ?? Infinity);
    expect(treatmentOf({ history }, 'jar')?.cost).toBeNull();
  });
});

describe('the shelf', () => {
  it('is planned from while it is good, in whole portions', () => {
    expect(treatmentOf({ history: balm, kitchen: withBatches(batch()) }, 'balm')?.batches).toMatchObject([
      { batchId: 'b', portions: 2 },
    ]);
    expect(
      treatmentOf({ history: balm, kitchen: withBatches(batch({ portions: 0.5 })) }, 'balm')?.batches,
    ).toEqual([]);
  });

  it('is not planned from once it is past its day, nor where leftovers are made fresh', () => {
    const old = withBatches(batch({ madeOn: addDays(from, -365) }));
    expect(treatmentOf({ history: balm, kitchen: old }, 'balm')?.batches).toEqual([]);
    const fresh: PlanSettings = {
      ...STAMP,
      ...USUAL_CHOICES,
      kind: 'plan-settings',
      id: 's',
      headId: 'h',
      leftovers: 'fresh',
    };
    const asked = { history: { ...balm, planSettings: [fresh] }, kitchen: withBatches(batch()) };
    expect(treatmentOf(asked, 'balm')?.batches).toEqual([]);
  });
});

describe('the past', () => {
  it('counts each use as the version that was used, whatever the recipe is now', () => {
    const once = { ...STRONG, recipeId: 'changed', id: 'changed-1' };
    const now = { ...CREAM, recipeId: 'changed', id: 'changed-2', version: 2 };
    const sessions = [
      testSession('changed', addDays(from, -20)),
      testSession('changed', addDays(from, -10), { recipeVersion: 2, id: 'later' }),
    ];
    const { past } = headOf({ history: { recipes: [once, now], sessions } });
    expect(past.map(({ strong, moistens }) => [strong, moistens])).toEqual([
      [true, false],
      [false, true],
    ]);
  });

  it('is forgotten where no rule looks any more, and where nothing is known of what was used', () => {
    const sessions = [testSession('light', addDays(from, -800)), testSession('lost', addDays(from, -3))];
    expect(headOf({ history: { sessions } }).past).toEqual([]);
  });

  it('the last reading is the newest of the past; one of tomorrow does not count', () => {
    expect(headOf({ history: { readings: [] } }).lastReading).toBeNull();
  });
});

describe('what has been promised', () => {
  it('a trial asks for its washes in the drawn order until it is over', () => {
    const trial: Trial = {
      ...STAMP,
      kind: 'trial',
      id: 't',
      trialId: 'trial-7',
      headId: 'h',
      recipeId: 'cream',
      againstId: null,
      signal: 'firmness',
      startsOn: from,
      rounds: 3,
      washoutDays: 5,
      endsBy: addDays(from, 60),
      givenUpOn: null,
    };
    const demand = headOf({ history: { trials: [trial] } }).trial;
    expect(demand?.recipeIds).toEqual(trialOrder(trial).map((arm) => (arm === 'a' ? 'cream' : null)));
    expect(demand).toMatchObject({ washoutDays: 5, from });
    expect(headOf({ history: { trials: [{ ...trial, givenUpOn: from }] } }).trial).toBeNull();
  });

  it('a rhythm asks for what its weeks still want, and of a week that goes on after the plan for its share', () => {
    const history = {
      rhythms: [testRhythm(addDays(from, -1), { when: { every: 'week', times: 2 } })],
      sessions: [...KNOWN, testSession('cream', addDays(from, -1))],
    };
    const { rhythms, rhythmStates } = headOf({ history, weeks: 3 });
    expect(rhythms[0]?.windows.map(({ wanted }) => wanted)).toEqual([1, 2, 2, 0]);
    expect(rhythms[0]?.says).toMatch(/^Moisture: twice a week, until /);
    expect(rhythmStates[0]?.wanted).toBe(1);
    expect(headOf({ history, weeks: MOST_WEEKS }).rhythms[0]?.windows).toHaveLength(8);
  });
});

describe('preparation', () => {
  const tasksOf = (asked: Asked, recipeId: string, at: number, from_ = 0) => {
    const problem = problemOf(asked);
    const [head] = problem.heads;
    const treatment = head?.treatments.find((known) => known.recipeId === recipeId);
    if (!head || !treatment) throw new Error('it may be planned');
    const draft = draftOf(addDays(from, at), treatment, 'main');
    const earlier = from_ > 0 ? [draftOf(addDays(from, from_), treatment, 'main')] : [];
    return preparationOf(problem, head, [...earlier, draft], draft).map(
      ({ day, text, leadHours, startMinute }) => ({
        at: day,
        text,
        leadHours,
        startMinute,
      }),
    );
  };

  it('sets to soak the evening before, and to steep on the day', () => {
    const [soak] = tasksOf({}, 'cream', 3);
    expect(soak?.at).toBe(addDays(from, 2));
    expect(soak?.text).toMatch(/begin this evening, it takes \d+ hours/);
    expect(soak?.leadHours).toBeGreaterThan(4);
    // Eight hours before six on a Wednesday is ten in the morning; for the night it is begun by nine in the evening.
    expect(soak?.startMinute).toBe(21 * 60);
  });

  it('tests a new recipe two days ahead, once, and never before today', () => {
    const asked = { history: { recipes: ALL, sessions: [] } };
    const test = (at: number, from_ = 0) =>
      tasksOf(asked, 'light', at, from_).filter(({ text }) => text.startsWith('Patch test'));
    expect(test(5)).toEqual([
      {
        at: addDays(from, 5 - PLAN_RULES.patchTest.value),
        text: 'Patch test of light behind the ear',
        leadHours: null,
        startMinute: null,
      },
    ]);
    expect(test(1)[0]?.at).toBe(from);
    expect(test(12, 4)).toEqual([]);
  });

  it('of a portion on the shelf is taking it, and nothing is soaked', () => {
    const problem = problemOf({ history: balm, kitchen: withBatches(batch()) });
    const [head] = problem.heads;
    const treatment = head?.treatments.find(({ recipeId }) => recipeId === 'balm');
    if (!head || !treatment) throw new Error('it may be planned');
    const draft = { ...draftOf(addDays(from, 3), treatment, 'main'), batchId: 'b' };
    expect(preparationOf(problem, head, [draft], draft).map(({ text }) => text)).toEqual([
      'Take a portion of balm from the shelf',
    ]);
  });
});
