import fc from 'fast-check';
import {
  addDays,
  calendarDay,
  dayRange,
  daysBetween,
  weekdayOf,
  type CalendarDay,
} from '../../base/measures';
import { testOccasion, testRhythm } from '../../lab/testing';
import { rhythmSchema, type Rhythm } from '../../records/shapes';
import { countsFor, holdsOn, rhythmState, slackDays, windowsOf } from './rhythm';
import { rhythmLine, weekWords } from './rhythmWords';

/** A Monday. */
const start = calendarDay('2026-03-02');
const weekly = testRhythm(start);
const on = (...offsets: number[]) => offsets.map((days) => addDays(start, days));
const offsetsOf = (windows: readonly { from: CalendarDay; to: CalendarDay }[]) =>
  windows.map(({ from, to }) => [daysBetween(start, from), daysBetween(start, to)]);
const withWhen = (when: Rhythm['when'], changes: Partial<Rhythm> = {}) =>
  testRhythm(start, { when, until: null, ...changes });

describe('a rhythm in her words', () => {
  it.each<[string, Rhythm['when'], Partial<Rhythm>]>([
    [
      'Fridays, until 20 March',
      { every: 'weekdays', weekdays: [5], weeks: 1 },
      { until: calendarDay('2026-03-20') },
    ],
    ['Fridays, every second week', { every: 'weekdays', weekdays: [5], weeks: 2 }, {}],
    ['Mondays, Thursdays, Sundays', { every: 'weekdays', weekdays: [0, 4, 1], weeks: 1 }, {}],
    ['every day', { every: 'days', days: 1 }, {}],
    ['every other day', { every: 'days', days: 2 }, {}],
    ['every 10 days, 6 times', { every: 'days', days: 10 }, { times: 6 }],
    ['twice a week', { every: 'week', times: 2 }, {}],
    ['twice a month, not in June, July', { every: 'month', times: 2 }, { notIn: [7, 6] }],
    ['every wash', { every: 'wash' }, {}],
    ['every night, from 9 March', { every: 'night' }, { startsOn: calendarDay('2026-03-09') }],
    ['before each style', { every: 'style', daysBefore: 3 }, {}],
    ['once a week, until 3 January 2027', { every: 'week', times: 1 }, { until: calendarDay('2027-01-03') }],
  ])('%s', (line, when, changes) => {
    expect(rhythmLine(withWhen(when, changes), start)).toBe(line);
  });

  it('says the week that runs', () => {
    const state = rhythmState(weekly, [], addDays(start, 44));
    expect(weekWords(state.week)).toBe('week 7 of 8');
    expect(weekWords(rhythmState({ ...weekly, until: null }, [], addDays(start, 44)).week)).toBe('week 7');
    expect(weekWords(rhythmState(weekly, [], addDays(start, 80)).week)).toBeNull();
  });

  it.each([
    [{ when: { every: 'week', times: 0 } }, 'when.times'],
    [{ when: { every: 'weekdays', weekdays: [], weeks: 1 } }, 'when.weekdays'],
    [{ when: { every: 'weekdays', weekdays: [1, 1], weeks: 1 } }, 'when.weekdays'],
    [{ until: addDays(start, -1) }, 'until'],
    [{ name: ' ' }, 'name'],
    [{ of: {} }, 'of'],
  ])('%j is refused', (part, field) => {
    const result = rhythmSchema.safeParse({ ...weekly, ...part });
    expect(result.success ? null : result.error.issues[0]?.path.join('.')).toBe(field);
  });
});

describe('the stretches in which it asks for something', () => {
  const upTo = addDays(start, 20);
  it.each<[string, Rhythm, number[][]]>([
    [
      'weekdays',
      withWhen({ every: 'weekdays', weekdays: [5], weeks: 1 }),
      [
        [4, 4],
        [11, 11],
        [18, 18],
      ],
    ],
    [
      'every second Friday',
      withWhen({ every: 'weekdays', weekdays: [5], weeks: 2 }),
      [
        [4, 4],
        [18, 18],
      ],
    ],
    [
      'a week at a time from its own first day',
      withWhen({ every: 'week', times: 2 }),
      [
        [0, 6],
        [7, 13],
        [14, 20],
      ],
    ],
    [
      'a month in halves; of the first half nothing lies before its first day',
      withWhen({ every: 'month', times: 2 }),
      [
        [0, 13],
        [14, 29],
      ],
    ],
    [
      'every ten days, two more or less',
      withWhen({ every: 'days', days: 10 }),
      [
        [-2, 2],
        [8, 12],
        [18, 22],
      ],
    ],
    [
      'every three days, to the day',
      withWhen({ every: 'days', days: 9 }, { until: addDays(start, 9) }),
      [
        [-1, 1],
        [8, 9],
      ],
    ],
  ])('%s', (_, rhythm, windows) => {
    expect(offsetsOf(windowsOf(rhythm, upTo, []))).toEqual(windows);
  });

  it('what is due every so many days is counted on from when it was done', () => {
    const rhythm = withWhen({ every: 'days', days: 10 });
    expect(offsetsOf(windowsOf(rhythm, upTo, on(2)))).toEqual([
      [-2, 2],
      [10, 14],
      [20, 24],
    ]);
    expect(offsetsOf(windowsOf(rhythm, upTo, on(-5)))).toEqual([
      [3, 7],
      [13, 17],
    ]);
  });

  it('before a style is the days before it goes in', () => {
    const style = testOccasion('style', addDays(start, 12), addDays(start, 40));
    const rhythm = withWhen({ every: 'style', daysBefore: 3 });
    expect(offsetsOf(windowsOf(rhythm, upTo, [], [style]))).toEqual([[9, 12]]);
  });

  it('rests in its months', () => {
    const rhythm = withWhen({ every: 'night' }, { notIn: [4] });
    const days = windowsOf(rhythm, addDays(start, 70), []).map(({ from }) => from);
    expect(days.some((day) => day.slice(5, 7) === '04')).toBe(false);
    expect(days).toContain(calendarDay('2026-05-01'));
  });
});

describe('where it stands', () => {
  it('counts weeks from its own first day, and a week once however much was done in it', () => {
    const state = rhythmState(weekly, on(0, 1, 1, 3, 13), addDays(start, 15));
    expect(state.periods.slice(0, 4).map(({ state: week }) => week)).toEqual([
      'kept',
      'kept',
      'open',
      'ahead',
    ]);
    expect(state).toMatchObject({ kept: 2, missed: 0, streak: 2, wanted: 1, over: false });
  });

  it('is honest about a miss: it stays, the streak begins anew, and no later effort fills it up', () => {
    const state = rhythmState(weekly, on(2, 15, 16, 17, 22), addDays(start, 28));
    expect(state.periods.map(({ state: week }) => week).slice(0, 5)).toEqual([
      'kept',
      'missed',
      'kept',
      'kept',
      'open',
    ]);
    expect(state).toMatchObject({ kept: 3, missed: 1, streak: 2, longest: 2 });
  });

  it('does not call the week that runs missed before it has ended', () => {
    expect(rhythmState(weekly, [], addDays(start, 6)).periods[0]?.state).toBe('open');
    expect(rhythmState(weekly, [], addDays(start, 7)).periods[0]?.state).toBe('missed');
  });

  it('begun before she told of it: weeks of which nothing is written down are not called missed', () => {
    const told = { ...weekly, toldOn: addDays(start, 44) };
    const state = rhythmState(told, on(1), addDays(start, 50));
    expect(state.periods.map(({ state: week }) => week)).toEqual([
      'kept',
      'before',
      'before',
      'before',
      'before',
      'before',
      'missed',
      'open',
    ]);
  });

  it('given up, stops counting that day and asks for nothing', () => {
    const given = { ...weekly, endedOn: addDays(start, 9) };
    expect(rhythmState(given, on(1, 8, 16), addDays(start, 40))).toMatchObject({
      over: true,
      kept: 2,
      wanted: 0,
    });
  });

  it('is over after so many times, whatever the calendar says', () => {
    const rhythm = withWhen({ every: 'week', times: 1 }, { times: 3 });
    expect(rhythmState(rhythm, on(0, 8), addDays(start, 15)).over).toBe(false);
    expect(rhythmState(rhythm, on(0, 8, 15), addDays(start, 15)).over).toBe(true);
  });

  it('goes with each wash that was done', () => {
    const state = rhythmState(withWhen({ every: 'wash' }), [], addDays(start, 20), {
      washes: on(1, 8, 15).map((day, index) => ({ day, hadIt: index !== 1 })),
    });
    expect(state.periods.map(({ state: wash }) => wash)).toEqual(['kept', 'missed', 'kept']);
  });

  it('says what the week is about', () => {
    const themed = { ...weekly, themes: [{ week: 2, text: 'Ends only' }] };
    expect([0, 7, 14].map((days) => rhythmState(themed, [], addDays(start, days)).theme)).toEqual([
      null,
      'Ends only',
      null,
    ]);
  });
});

const whens: fc.Arbitrary<Rhythm['when']> = fc.oneof(
  fc.record({ every: fc.constant('days' as const), days: fc.integer({ min: 1, max: 60 }) }),
  fc.record({
    every: fc.constant('weekdays' as const),
    weekdays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 7 }),
    weeks: fc.integer({ min: 1, max: 4 }),
  }),
  fc.record({ every: fc.constant('week' as const), times: fc.integer({ min: 1, max: 7 }) }),
  fc.record({ every: fc.constant('month' as const), times: fc.integer({ min: 1, max: 4 }) }),
  fc.constant({ every: 'night' as const }),
);

describe('a year of any rhythm', () => {
  const rhythms = fc.record({
    when: whens,
    notIn: fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { maxLength: 4 }),
    until: fc.option(fc.integer({ min: 0, max: 364 }).map((days) => addDays(start, days))),
  });
  const done = fc
    .array(fc.integer({ min: -30, max: 364 }), { maxLength: 150 })
    .map((days) => on(...days).sort());

  it('asks in order, for no more than there are days, and never outside of it', () => {
    fc.assert(
      fc.property(rhythms, done, (changes, doneOn) => {
        const rhythm = testRhythm(start, changes);
        const windows = windowsOf(rhythm, addDays(start, 364), doneOn);
        windows.forEach(({ from, to, wanted }, index) => {
          const length = daysBetween(from, to) + 1;
          expect(wanted).toBeGreaterThanOrEqual(1);
          expect(wanted).toBeLessThanOrEqual(length);
          const next = windows[index + 1];
          if (next) expect(next.from > to).toBe(true);
          expect(changes.until === null || to <= changes.until).toBe(true);
          expect(changes.notIn).not.toContain(Number(from.slice(5, 7)));
          const slack = rhythm.when.every === 'days' ? slackDays(rhythm.when.days) : 0;
          expect(daysBetween(start, from)).toBeGreaterThanOrEqual(-slack);
        });
      }),
    );
  });

  it('adds up, and doing more never keeps less where it does not count on from the last time', () => {
    fc.assert(
      fc.property(rhythms, done, fc.integer({ min: 0, max: 364 }), (changes, doneOn, today) => {
        const rhythm = testRhythm(start, changes);
        const now = addDays(start, today);
        const state = rhythmState(rhythm, doneOn, now);
        expect(state.longest).toBeGreaterThanOrEqual(state.streak);
        expect(state.longest).toBeLessThanOrEqual(state.kept);
        if (rhythm.when.every === 'days') return;
        const more = rhythmState(rhythm, [...doneOn, now], now);
        expect(more.kept).toBeGreaterThanOrEqual(state.kept);
      }),
    );
  });

  it('names each of its weekdays and no other day', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1 }), (weekdays) => {
        const rhythm = withWhen({ every: 'weekdays', weekdays, weeks: 1 });
        const asked = new Set(windowsOf(rhythm, addDays(start, 27), []).map(({ from }) => from));
        for (const day of dayRange(start, 28)) expect(asked.has(day)).toBe(weekdays.includes(weekdayOf(day)));
      }),
    );
  });
});

describe('what a rhythm is about', () => {
  const treatment = { recipeId: 'a', use: 'mask' as const, firms: false, strong: false, moistens: true };
  it.each([
    [{ recipeId: 'a' }, true],
    [{ recipeId: 'b' }, false],
    [{ sort: 'main' as const }, true],
    [{ sort: 'moisture' as const }, true],
    [{ sort: 'protein' as const }, false],
    [{ sort: 'pre-poo' as const }, false],
  ])('%j: %s', (of, counts) => {
    expect(countsFor(of, treatment)).toBe(counts);
  });

  it('holds between its first and its last day', () => {
    expect([-1, 0, 55, 56].map((days) => holdsOn(weekly, addDays(start, days)))).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
});
