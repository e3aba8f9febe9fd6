import fc from 'fast-check';
import { instantAt, millisecondsOf } from '../../base/measures';
import {
  learnedWashMinutes,
  stepsDone,
  washRunSchema,
  wornIn,
  type RunEvent,
  type WashRun,
} from '../../hair/history';
import { testWashRun, testWashStep } from '../../lab/testing';
import { FELT, washDaySchema, type WashDay, type WashStep } from '../../records/shapes';
import { lateMinutes, quietSince, runState, withEvent } from './replay';

const START = '2026-03-02T18:00:00.000Z';
/** So many minutes after the beginning. */
const at = (minutes: number) => instantAt(millisecondsOf(START) + 60_000 * minutes);

const step = testWashStep;

const STEPS: readonly WashStep[] = [
  step('detangle', 10, { sections: 4 }),
  step('on', 12, { phase: 'apply', slot: 'main', recipeId: 'set' }),
  step('wait', 30, { phase: 'wait', slot: 'main', recipeId: 'set', waits: true }),
  step('rinse', 8, { phase: 'rinse', slot: 'main', recipeId: 'set' }),
  step('feel', 1, { phase: 'feel' }),
  step('moist-on', 6, { phase: 'apply', slot: 'follow-up', recipeId: 'cream', onlyIfFirm: true }),
  step('moist-wait', 20, {
    phase: 'wait',
    slot: 'follow-up',
    recipeId: 'cream',
    waits: true,
    onlyIfFirm: true,
  }),
  step('seal', 5, { phase: 'seal' }),
];

const RUN = testWashRun(STEPS);

const live = (...events: readonly RunEvent[]): WashRun => events.reduce(withEvent, RUN);
const done = (id: string, minutes: number): RunEvent => ({ what: 'done', step: id, at: at(minutes) });
const outcomes = (run: WashRun, minutes: number) =>
  Object.fromEntries(runState(run, at(minutes)).steps.map((each) => [each.step.id, each.outcome]));
const real = (run: WashRun, id: string, minutes: number) =>
  runState(run, at(minutes)).steps.find((each) => each.step.id === id)?.realMinutes;

describe('a wash day under way', () => {
  it('goes from step to step, and writes down how long each really took', () => {
    const run = live(done('detangle', 14), done('on', 30));
    expect(outcomes(run, 31)).toMatchObject({ detangle: 'done', on: 'done', wait: 'now', rinse: 'ahead' });
    expect([
      real(run, 'detangle', 31),
      real(run, 'on', 31),
      real(run, 'wait', 31),
      real(run, 'rinse', 31),
    ]).toEqual([14, 16, 1, null]);
  });

  it('a second tap, and a tap on what is not the turn of, say nothing', () => {
    const once = live(done('detangle', 14));
    expect(withEvent(once, done('detangle', 15))).toBe(once);
    expect(withEvent(once, done('rinse', 15))).toBe(once);
    expect(withEvent(RUN, { what: 'back', at: at(1) })).toBe(RUN);
    expect(withEvent(RUN, { what: 'resumed', at: at(1) })).toBe(RUN);
    expect(withEvent(RUN, { what: 'longer', step: 'detangle', minutes: 5, at: at(1) })).toBe(RUN);
  });

  it('a clock runs from when the step began, and late is late: 30 planned, 95 real', () => {
    const run = live(done('detangle', 10), done('on', 20));
    const [timer] = runState(run, at(25)).timers;
    expect(timer).toMatchObject({ id: 'wait', dueAt: at(50), isStep: true, minutes: 30 });
    expect(timer && lateMinutes(timer, at(40))).toBe(-10);
    expect(timer && lateMinutes(timer, at(115))).toBe(65);
    const late = live(done('detangle', 10), done('on', 20), done('wait', 115));
    expect(real(late, 'wait', 200)).toBe(95);
    expect(runState(late, at(116)).timers).toEqual([]);
  });

  it('gives more time when asked, and has clocks of its own beside', () => {
    const run = live(
      done('detangle', 10),
      done('on', 20),
      { what: 'longer', step: 'wait', minutes: 10, at: at(45) },
      { what: 'timer', id: 'soak', label: 'Linseed soaks', minutes: 120, at: at(22) },
      { what: 'timer', id: 'tea', label: 'Tea steeps', minutes: 15, at: at(46) },
      { what: 'timer-off', id: 'tea', at: at(60) },
    );
    expect(runState(run, at(61)).timers.map(({ id, dueAt }) => [id, dueAt])).toEqual([
      ['wait', at(60)],
      // An event is not taken to lie before the one that came before it.
      ['soak', at(165)],
    ]);
  });

  it('a pause stops her hands and not what works by itself', () => {
    const pause = (from: number, to: number): RunEvent[] => [
      { what: 'paused', at: at(from) },
      { what: 'resumed', at: at(to) },
    ];
    const run = live(
      ...pause(2, 7),
      done('detangle', 12),
      done('on', 22),
      ...pause(30, 40),
      done('wait', 60),
    );
    expect(real(run, 'detangle', 60)).toBe(7);
    expect(real(run, 'wait', 60)).toBe(38);
    expect(runState(live({ what: 'paused', at: at(3) }), at(50)).paused).toBe(true);
    expect(real(live({ what: 'paused', at: at(3) }), 'detangle', 50)).toBe(3);
  });

  it('goes back a step, adds up both times, and the clock of what is on runs from its first beginning', () => {
    const run = live(done('detangle', 10), done('on', 20), done('wait', 50), { what: 'back', at: at(52) });
    expect(outcomes(run, 53)).toMatchObject({ wait: 'now', rinse: 'ahead' });
    expect(runState(run, at(53)).timers[0]?.startedAt).toBe(at(20));
    const further = withEvent(run, done('wait', 55));
    expect(real(further, 'wait', 60)).toBe(33);
    expect(real(further, 'rinse', 60)).toBe(7);
  });

  it('marks sections one by one, and takes a mark back', () => {
    const section = (index: number, minutes: number): RunEvent => ({
      what: 'section',
      step: 'detangle',
      section: index,
      at: at(minutes),
    });
    const run = live(section(0, 1), section(2, 2), section(0, 3), section(3, 4), section(7, 5));
    expect(runState(run, at(6)).current?.sectionsDone).toEqual([2, 3]);
  });

  it.each([
    ['soft', 'left-out'],
    ['right', 'left-out'],
    ['firm', 'now'],
    ['rough', 'now'],
  ] as const)('hair that feels %s: the moisture after it is %s', (felt, outcome) => {
    const run = live(
      ...['detangle', 'on', 'wait', 'rinse'].map((id, index) => done(id, 10 * (index + 1))),
      { what: 'felt', felt, at: at(41) },
      done('feel', 41),
    );
    expect(outcomes(run, 42)['moist-on']).toBe(outcome);
    expect(outcomes(run, 42).seal).toBe(outcome === 'now' ? 'ahead' : 'now');
  });

  it('is put together anew on the way: what is done stays done, what is ahead is what was said', () => {
    const run = live(done('detangle', 10), {
      what: 'changed',
      said: 'No heat today.',
      treatments: [],
      steps: [step('on', 12), step('wait', 45, { waits: true })],
      at: at(11),
    });
    expect(outcomes(run, 12)).toEqual({ detangle: 'done', on: 'now', wait: 'ahead' });
    expect(runState(run, at(12)).changes).toEqual(['No heat today.']);
  });

  it('ended early keeps what was done, and nothing is taken after it', () => {
    const run = live(done('detangle', 10), done('on', 22), { what: 'ended', at: at(40) });
    const state = runState(run, at(600));
    expect(state).toMatchObject({
      ended: true,
      endedEarly: true,
      endedAt: at(40),
      current: null,
      timers: [],
    });
    expect(stepsDone(state).map(({ outcome }) => outcome)).toEqual([
      'done',
      'done',
      ...Array<string>(6).fill('not-reached'),
    ]);
    expect(withEvent(run, done('wait', 50))).toBe(run);
    // It was on for eighteen minutes, and rinsed without telling.
    expect(wornIn(state)).toEqual([{ slot: 'main', recipeId: 'set', minutes: 18 }]);
  });

  it('ended with the rest done, unwatched: all is done but what waited for the feel, and no minutes are made up', () => {
    const run = live(done('detangle', 10), done('on', 22), { what: 'ended', at: at(22), restDone: true });
    const state = runState(run, at(5000));
    expect(state).toMatchObject({ ended: true, endedEarly: false, endedAt: at(22) });
    expect(stepsDone(state).map(({ id, outcome, real: took }) => [id, outcome, took])).toEqual([
      ['detangle', 'done', 10],
      ['on', 'done', 12],
      ['wait', 'done', null],
      ['rinse', 'done', null],
      ['feel', 'done', null],
      ['moist-on', 'not-reached', null],
      ['moist-wait', 'not-reached', null],
      ['seal', 'done', null],
    ]);
    // Nobody watched the clock: as long as it was meant to.
    expect(wornIn(state)).toEqual([{ slot: 'main', recipeId: 'set', minutes: 30 }]);
  });

  it.each([
    ['hands at work, five hours', 0, 5 * 60, null],
    ['hands at work, seven hours', 0, 7 * 60, at(0)],
    ['a mask that is on, six hours past the last tap', 2, 6 * 60 + 22 + 20, null],
    ['a mask that is on, six hours past its end', 2, 6 * 60 + 22 + 31, at(22)],
  ])('is taken to be over when nothing happened for long: %s', (_, steps, minutes, since) => {
    const run = live(...[done('detangle', 10), done('on', 22)].slice(0, steps));
    expect(quietSince(run, at(minutes))).toBe(since);
  });

  it('one that is over is never asked after', () => {
    expect(quietSince(live({ what: 'ended', at: at(3) }), at(9000))).toBeNull();
  });

  it('taken up again after two days: her hands rested, what works by itself went on', () => {
    const twoDays = 2 * 24 * 60;
    const rested: RunEvent[] = [
      { what: 'paused', at: at(0) },
      { what: 'resumed', at: at(twoDays) },
    ];
    const run = live(...rested, done('detangle', twoDays + 10));
    expect(real(run, 'detangle', twoDays + 11)).toBe(10);
    expect(quietSince(run, at(twoDays + 11))).toBeNull();
  });

  it('waiting that was tapped through counts as it was planned; taken off early it counts as it was', () => {
    const off = (minutes: number) => live(done('detangle', 10), done('on', 22), done('wait', 22 + minutes));
    expect(wornIn(runState(off(0.1), at(60)))[0]?.minutes).toBe(30);
    expect(wornIn(runState(off(4), at(60)))[0]?.minutes).toBe(4);
  });

  it('what was noticed on the way is kept, the last word on each thing', () => {
    const run = live(
      { what: 'noted', at: at(5), noted: { shedBall: 'walnut', shine: 1 } },
      done('detangle', 10),
      { what: 'noted', at: at(11), noted: { shine: 3, note: 'less than last week' } },
    );
    expect(runState(run, at(12)).noted).toEqual({
      shedBall: 'walnut',
      shine: 3,
      note: 'less than last week',
    });
    expect(
      withEvent({ ...run, events: [] }, { what: 'noted', at: at(1), noted: { scent: 4 } }).events,
    ).toHaveLength(1);
  });

  it('a treatment whose putting on was skipped was not worn', () => {
    const run = live(done('detangle', 10), { what: 'skipped', step: 'on', at: at(11) }, done('wait', 12));
    expect(wornIn(runState(run, at(13)))).toEqual([]);
  });

  it('a clock that is set back takes nothing away', () => {
    const run = live(done('detangle', 10), done('on', -50), done('wait', 40));
    expect(real(run, 'on', 60)).toBe(0);
    expect(real(run, 'wait', 60)).toBe(30);
    expect(runState(run, at(-500)).steps.every(({ realMinutes }) => (realMinutes ?? 0) >= 0)).toBe(true);
  });

  it('over a change of the clock minutes stay minutes', () => {
    // In the night to 29 March 2026 European clocks leap from two to three.
    const night: WashRun = { ...RUN, startedAt: '2026-03-29T00:30:00.000Z' };
    const run = withEvent(night, { what: 'done', step: 'detangle', at: '2026-03-29T01:10:00.000Z' });
    expect(runState(run, '2026-03-29T01:10:00.000Z').steps[0]?.realMinutes).toBe(40);
  });
});

describe('whatever happens in whatever order', () => {
  const minute = fc.integer({ min: 0, max: 400 });
  const id = fc.constantFrom(...STEPS.map((each) => each.id), 'unknown');
  const event: fc.Arbitrary<RunEvent> = fc.oneof(
    fc.record({ what: fc.constantFrom('done' as const, 'skipped' as const), step: id, at: minute.map(at) }),
    fc.record({
      what: fc.constantFrom('back' as const, 'paused' as const, 'resumed' as const),
      at: minute.map(at),
    }),
    fc.record({
      what: fc.constant('section' as const),
      step: id,
      section: fc.integer({ min: 0, max: 7 }),
      at: minute.map(at),
    }),
    fc.record({
      what: fc.constant('longer' as const),
      step: id,
      minutes: fc.integer({ min: 1, max: 30 }),
      at: minute.map(at),
    }),
    fc.record({ what: fc.constant('felt' as const), felt: fc.constantFrom(...FELT), at: minute.map(at) }),
    fc.record({
      what: fc.constant('timer' as const),
      id: fc.constantFrom('x', 'y'),
      label: fc.constant('tea'),
      minutes: fc.integer({ min: 1, max: 90 }),
      at: minute.map(at),
    }),
    fc.record({ what: fc.constant('timer-off' as const), id: fc.constantFrom('x', 'y'), at: minute.map(at) }),
  );

  it('there is no dead end: doing what is asked for always comes to the end', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (events) => {
        let run = live(...events);
        for (let tap = 0; tap < STEPS.length; tap++) {
          const { current } = runState(run, at(500 + tap));
          if (current) run = withEvent(run, done(current.step.id, 500 + tap));
        }
        expect(runState(run, at(600))).toMatchObject({ ended: true, endedEarly: false, minutesAhead: 0 });
      }),
    );
  });

  it('real times add up to the time that passed, less the pauses of her hands', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 40 }), (events) => {
        const withoutPauses = events.filter(({ what }) => what !== 'paused' && what !== 'resumed');
        const ended = withEvent(live(...withoutPauses), { what: 'ended', at: at(450) });
        const spent = runState(ended, at(900)).steps.reduce(
          (sum, { realMinutes }) => sum + (realMinutes ?? 0),
          0,
        );
        const { endedAt } = runState(ended, at(900));
        // A run that came to its end by itself stops counting there.
        const passed = (millisecondsOf(endedAt ?? START) - millisecondsOf(START)) / 60_000;
        expect(spent).toBeLessThanOrEqual(passed + 1e-9);
        const everDone = runState(live(...withoutPauses), at(450)).current === null;
        if (!everDone && !withoutPauses.some(({ what }) => what === 'felt'))
          expect(spent).toBeCloseTo(passed, 6);
      }),
    );
  });

  it('a reload changes nothing: what is stored is read back as it was, and says the same', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), (events) => {
        const run = live(...events);
        const again = washRunSchema.parse(JSON.parse(JSON.stringify(run)));
        expect(runState(again, at(450))).toEqual(runState(run, at(450)));
      }),
    );
  });

  it('one step at most is the one to do, and none is after the end', () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), minute, (events, now) => {
        const state = runState(live(...events), at(now));
        const nows = state.steps.filter(({ outcome }) => outcome === 'now');
        expect(nows).toHaveLength(state.ended ? 0 : 1);
        expect(state.current?.step).toBe(nows[0]?.step);
      }),
    );
  });
});

describe('how long a wash of this head takes', () => {
  const day = (minutes: readonly number[], changes: Partial<WashDay> = {}): WashDay => {
    let passed = 0;
    const events = ['detangle', 'on', 'wait', 'rinse', 'feel'].map((id, index) =>
      done(id, (passed += minutes[index] ?? 0)),
    );
    const run = live(...events, { what: 'felt', felt: 'right', at: at(passed) }, done('seal', passed + 5));
    const state = runState(run, at(passed + 5));
    return washDaySchema.parse({
      id: 'd',
      recordedAt: START,
      kind: 'wash-day',
      headId: 'h',
      day: RUN.day,
      startedAt: START,
      endedAt: state.endedAt,
      endedEarly: state.endedEarly,
      steps: stepsDone(state),
      felt: state.felt,
      changes: [],
      uses: [],
      note: '',
      ...changes,
    });
  };

  it('is not known before a wash day was done to its end', () => {
    expect(learnedWashMinutes([], 60)).toBeNull();
    expect(learnedWashMinutes([day([10, 12, 30, 8, 1], { endedEarly: true })], 60)).toBeNull();
    const unwatched = day([10, 12, 30, 8, 1]);
    const steps = unwatched.steps.map((each) => (each.id === 'rinse' ? { ...each, real: null } : each));
    expect(learnedWashMinutes([{ ...unwatched, steps }], 60)).toBeNull();
  });

  it('is drawn from the usual to hers, and waiting does not count', () => {
    const slow = day([40, 30, 95, 25, 1]);
    // Forty, thirty, twenty-five and five for the ends: 100 minutes, beside two days of an hour.
    expect(learnedWashMinutes([slow], 60)).toEqual({ minutes: 75, of: 1 });
    expect(learnedWashMinutes(Array<WashDay>(20).fill(slow), 60)).toEqual({ minutes: 90, of: 6 });
  });

  it('a day that was tapped through afterwards tells nothing', () => {
    expect(learnedWashMinutes([day([0.1, 0.1, 0.1, 0.1, 0.1])], 60)).toBeNull();
    // One quick step among others is a quick step.
    expect(learnedWashMinutes([day([40, 30, 95, 25, 1])], 60)).not.toBeNull();
  });

  it('a day on which a step was skipped tells nothing', () => {
    const whole = day([40, 30, 95, 25, 1]);
    const skipped = {
      ...whole,
      steps: whole.steps.map((each) =>
        each.id === 'rinse' ? { ...each, outcome: 'skipped' as const } : each,
      ),
    };
    expect(learnedWashMinutes([skipped], 60)).toBeNull();
  });
});
