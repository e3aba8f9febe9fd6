import { addDays, calendarDay, instantAt, millisecondsOf } from '@/core/base/measures';
import type { RunEvent, TimerState, WashRun } from '@/core/hair/history';
import { STAMP, testHead, testHistory, testRecipe, testSession } from '@/core/lab/testing';
import type { Assignment } from '@/core/plan/planning';
import { runState, withEvent, washScript } from '@/core/plan/washday';
import { makeLarder } from '@/core/recipe/larder';
import { storedRecordSchema, type StoredRecord, type Trial } from '@/core/records/shapes';
import { clockText, clockWords } from './clockText';
import { offered, runOf, settingOf, treatmentsIn, washPlanOf } from './dayPlan';
import { NO_ANSWER, recordsOf, type DayAnswers } from './washRecords';

const today = calendarDay('2026-03-02');
const START = '2026-03-02T18:00:00.000Z';
const at = (minutes: number) => instantAt(millisecondsOf(START) + 60_000 * minutes);
const head = testHead();
const SILK = testRecipe('silk', ['200 ml rice water', '1 tbsp hydrolysed silk'], { contactMinutes: 25 });
const BALM = testRecipe('balm', ['100 g plain conditioner', '1 tbsp glycerin'], { warmth: 'warm' });
const CREAM = testRecipe('cream', ['3 tbsp linseed, boiled, strained', '300 ml water', '1 tbsp honey']);
const OIL = testRecipe('oil', ['3 tbsp sesame oil'], { use: 'pre-poo' });
const recipes = [SILK, BALM, CREAM, OIL];
const history = testHistory({
  recipes,
  larder: makeLarder({ recipes }),
  sessions: [
    testSession('cream', addDays(today, -20)),
    testSession('balm', addDays(today, -12)),
    testSession('balm', addDays(today, -5)),
  ],
});
const assignment = (slot: Assignment['slot'], recipeId: string, changes: Partial<Assignment> = {}) =>
  ({ day: today, slot, recipeId, overnight: false, batchId: null, ...changes }) as Assignment;

describe('the day as the plan has it', () => {
  it('has its treatments of today, and the moisture that this head knows best at hand', () => {
    const { treatments, sections, washMinutes } = settingOf(
      head,
      history,
      [assignment('main', 'silk')],
      today,
    );
    expect(treatments.map(({ slot, recipeId, minutes }) => [slot, recipeId, minutes])).toEqual([
      ['main', 'silk', 25],
      ['follow-up', 'balm', 30],
    ]);
    expect([sections, washMinutes]).toEqual([4, 60]);
  });

  it('takes the follow-up that is planned, the batch that it is taken from, and no oil of the night before', () => {
    const { treatments } = settingOf(
      head,
      history,
      [
        assignment('pre-poo', 'oil', { overnight: true }),
        assignment('main', 'silk', { batchId: 'b1' }),
        assignment('follow-up', 'cream'),
      ],
      today,
    );
    expect(treatments.map(({ recipeId, batchId }) => [recipeId, batchId])).toEqual([
      ['silk', 'b1'],
      ['cream', null],
    ]);
  });

  it('takes the dose that is planned, through to what is written down', () => {
    const dose = {
      minutes: 10,
      warmth: 'room',
      amount: 0.5,
      text: '10 minutes, half the usual amount',
    } as const;
    const setting = settingOf(head, history, [assignment('main', 'silk', { dose })], today);
    expect(setting.treatments[0]).toMatchObject({ minutes: 10, warmth: 'room', amount: 0.5 });
    const plan = washPlanOf(setting, head, history);
    expect(treatmentsIn(plan, setting.treatments)[0]).toMatchObject({ minutes: 10, amount: 0.5 });
    const on = washScript(plan).find(({ id }) => id === 'main-apply');
    expect(on?.how).toMatch(/^Half the usual amount, stirred into plain conditioner\./);
  });

  it('goes without heat where the house has none: for longer', () => {
    const cold = { ...history, lacks: ['heat'] as const };
    const balm = (known: typeof history) =>
      settingOf(head, known, [assignment('main', 'balm')], today).treatments.find(
        ({ slot }) => slot === 'main',
      );
    expect(balm(history)).toMatchObject({ warmth: 'warm', minutes: 30 });
    expect(balm(cold)).toMatchObject({ warmth: 'room' });
    expect(balm(cold)?.minutes).toBeGreaterThan(30);
  });

  it('knows that oil went on yesterday evening', () => {
    const oiled = { ...history, sessions: [...history.sessions, testSession('oil', addDays(today, -1))] };
    expect(settingOf(head, oiled, [], today).oiledOvernight).toBe(true);
    expect(settingOf(head, history, [], today).oiledOvernight).toBe(false);
  });

  it('makes a plan whose treatments are stored as they were, with the batch of the same recipe', () => {
    const setting = settingOf(head, history, [assignment('main', 'silk', { batchId: 'b1' })], today);
    expect(treatmentsIn(washPlanOf(setting, head, history), setting.treatments)).toEqual(setting.treatments);
  });

  it('leaves out what is no longer there', () => {
    const setting = settingOf(head, history, [assignment('main', 'silk')], today);
    const gone = { ...history, larder: makeLarder({ recipes: [BALM] }) };
    expect(washPlanOf(setting, head, gone).main).toBeNull();
  });
});

describe('what may go on today', () => {
  const EGG = testRecipe('egg', ['1 egg, whole', '100 ml coconut milk'], { name: 'Egg' });
  const all = { ...history, recipes: [...recipes, EGG], larder: makeLarder({ recipes: [...recipes, EGG] }) };

  it('is what is known to this head; a new one waits for its patch test, and says so', () => {
    const { masks, left } = offered(head, all, today);
    expect(masks.map(({ recipeId }) => recipeId)).toEqual(['balm', 'cream']);
    const whys = left.map(({ why }) => why).join(' ');
    expect(whys).toContain('Egg: New for this person');
    expect(whys).toContain('silk: New for this person');
  });

  it('is nothing that this head reacts to, however often it was used', () => {
    const used = { ...all, sessions: [...all.sessions, testSession('egg', addDays(today, -9))] };
    expect(offered(head, used, today).masks.map(({ recipeId }) => recipeId)).toContain('egg');
    const allergic = offered(testHead({ allergies: ['egg'] }), used, today);
    expect(allergic.masks.map(({ recipeId }) => recipeId)).not.toContain('egg');
    expect(allergic.left.map(({ why }) => why).join(' ')).toContain('Egg: There is a reaction to');
  });
});

describe('what a wash day leaves behind', () => {
  const begun = (assignments: readonly Assignment[]): WashRun =>
    runOf(settingOf(head, history, assignments, today), head, history, {
      id: 'run',
      day: today,
      startedAt: START,
    });
  const tapped = (run: WashRun, minutes: number, felt: 'right' | 'firm' = 'right'): WashRun => {
    let on = run;
    let passed = 0;
    for (let tap = 0; tap < 40; tap++) {
      const { current } = runState(on, at(passed));
      if (!current) break;
      const events: RunEvent[] = [
        ...(current.step.phase === 'feel' ? [{ what: 'felt' as const, felt, at: at(passed) }] : []),
        { what: 'done', step: current.step.id, at: at((passed += current.step.waits ? minutes : 2)) },
      ];
      on = events.reduce(withEvent, on);
    }
    return on;
  };
  const told = (run: WashRun, answers: Partial<DayAnswers> = {}): StoredRecord[] => {
    let count = 0;
    return recordsOf({
      run,
      state: runState(run, at(600)),
      answers: { slip: null, residue: null, uses: {}, note: '', ...answers },
      larder: history.larder,
      usualGrams: () => 80,
      batches: [],
      daysSinceDetangle: 3,
      stamp: () => ({ ...STAMP, id: `r${++count}` }),
    });
  };
  const ofKind = (records: readonly StoredRecord[], kind: string) =>
    records.filter((record) => record.kind === kind) as any[];

  it('what was put on with its real minutes, how it felt, and the day itself; all of it can be stored', () => {
    const records = told(tapped(begun([assignment('main', 'silk')]), 95));
    expect(ofKind(records, 'session')).toMatchObject([{ recipeId: 'silk', contactMinutes: 95, grams: null }]);
    expect(ofKind(records, 'reading')).toMatchObject([{ moment: 'after', feel: 0 }]);
    const [day] = ofKind(records, 'wash-day');
    expect(day).toMatchObject({
      felt: 'right',
      endedEarly: false,
      uses: [{ sessionId: 'r1', recipeId: 'silk' }],
    });
    for (const record of records) expect(storedRecordSchema.safeParse(record).success).toBe(true);
    expect(new Set(records.map(({ id }) => id)).size).toBe(records.length);
  });

  it('both halves of a trial of two sides, with the wash that it counts', () => {
    const trial: Trial = {
      ...STAMP,
      kind: 'trial',
      id: 'sides',
      trialId: 'sides',
      headId: head.headId,
      recipeId: 'silk',
      againstId: 'cream',
      signal: 'firmness',
      rounds: 2,
      washoutDays: 4,
      startsOn: today,
      endsBy: addDays(today, 40),
      givenUpOn: null,
      sides: true,
    };
    const tried = { ...history, trials: [trial] };
    const setting = settingOf(head, tried, [assignment('main', 'silk')], today);
    const run = runOf(setting, head, tried, { id: 'run', day: today, startedAt: START });
    expect(run.steps.map(({ id }) => id)).toContain('other-apply');
    const records = told(tapped(run, 30));
    expect(ofKind(records, 'session').map(({ recipeId }) => recipeId)).toEqual(['silk', 'cream']);
    expect(ofKind(records, 'trial-wash')).toMatchObject([{ trialId: 'sides', arm: setting.sides?.left }]);
    for (const record of records) expect(storedRecordSchema.safeParse(record).success).toBe(true);
    // Once it is washed nothing is due, and another recipe of the day is no part of it.
    const [washed] = ofKind(records, 'trial-wash');
    const next = settingOf(head, { ...tried, trialWashes: [washed] }, [assignment('main', 'silk')], today);
    expect(next.sides).toBeUndefined();
    expect(settingOf(head, tried, [assignment('main', 'balm')], today).sides).toBeUndefined();
  });

  it('half the amount where half was planned, and what the scale says where there was one', () => {
    const dose = { minutes: 10, warmth: 'room', amount: 0.5, text: '' } as const;
    const run = tapped(begun([assignment('main', 'silk', { dose })]), 12);
    expect(ofKind(told(run), 'session')).toMatchObject([{ amount: 0.5, grams: null, contactMinutes: 12 }]);
    for (const record of told(run)) expect(storedRecordSchema.safeParse(record).success).toBe(true);
    const weighed = told(run, { uses: { main: { ...NO_ANSWER, grams: 70 } } });
    expect(ofKind(weighed, 'session')).toMatchObject([{ grams: 70 }]);
  });

  it('two treatments where the hair felt firm, each rated and weighed on its own', () => {
    const records = told(tapped(begun([assignment('main', 'silk')]), 20, 'firm'), {
      slip: 3,
      uses: {
        main: { ...NO_ANSWER, rating: 'again', grams: 62 },
        'follow-up': { ...NO_ANSWER, rating: 'not-again' },
      },
    });
    expect(
      ofKind(records, 'session').map(({ recipeId, grams, warmth }) => [recipeId, grams, warmth]),
    ).toEqual([
      ['silk', 62, 'room'],
      ['balm', null, 'warm'],
    ]);
    expect(ofKind(records, 'wash-day')[0].uses.map(({ rating }: any) => rating)).toEqual([
      'again',
      'not-again',
    ]);
    expect(ofKind(records, 'reading')[0]).toMatchObject({ feel: 1, marks: { slip: 3, residue: null } });
  });

  it('a portion of the shelf is used, half of it where half was left', () => {
    const run = tapped(begun([assignment('main', 'silk', { batchId: 'b1' })]), 20);
    const portions = (left: 0 | 0.5 | 1) =>
      ofKind(told(run, { uses: { main: { ...NO_ANSWER, left } } }), 'batch-event').map((event) => [
        event.batchId,
        event.what,
        event.portions,
      ]);
    expect(portions(0)).toEqual([['b1', 'used', 1]]);
    expect(portions(0.5)).toEqual([['b1', 'used', 0.5]]);
  });

  it('what was made today and is left over goes on the shelf, unless it is thrown out', () => {
    const run = tapped(begun([assignment('main', 'silk')]), 20);
    const left = (part: object) => ofKind(told(run, { uses: { main: { ...NO_ANSWER, ...part } } }), 'batch');
    expect(left({ left: 0.5, place: 'freezer' })).toMatchObject([
      { recipeId: 'silk', portions: 0.5, portionGrams: 80, place: 'freezer', madeOn: today },
    ]);
    expect(left({ left: 1, place: null })).toEqual([]);
    expect(left({ left: 0 })).toEqual([]);
  });

  it('thrown away half way, it leaves what was done; where nothing went on, only the day', () => {
    const run = withEvent(begun([assignment('main', 'silk')]), { what: 'ended', at: at(5) });
    const records = told(run);
    expect(records.map(({ kind }) => kind)).toEqual(['wash-day']);
    expect(ofKind(records, 'wash-day')[0]).toMatchObject({ endedEarly: true, uses: [], felt: null });
  });
});

describe('a clock', () => {
  const timer: TimerState = {
    id: 't',
    label: 'tea',
    isStep: false,
    startedAt: START,
    dueAt: at(30),
    minutes: 30,
  };

  it.each([
    [0, '30:00', '30 minutes left'],
    [29.5, '0:30', 'one minute left'],
    [30, '0:00', '0 minutes left'],
    [31, '+1:00', 'one minute over'],
    [95, '+1:05:00', '65 minutes over'],
  ])('after %d minutes says %s', (minutes, text, words) => {
    expect(clockText(timer, at(minutes))).toBe(text);
    expect(clockWords(timer, at(minutes))).toBe(words);
  });

  it('of more than an hour says hours', () => {
    expect(clockText({ ...timer, dueAt: at(125) }, at(0))).toBe('2:05:00');
  });
});
