import { addDays, calendarDay } from '../../base/measures';
import {
  testHead,
  testHistory,
  testReading,
  testRecipe,
  testSession,
  testStrand,
  testTally,
} from '../../lab/testing';
import { makeLarder } from '../../recipe/larder';
import type { Head, HeadEvent, Reading } from '../../records/shapes';
import { estimateHair } from './estimate';

const today = calendarDay('2026-05-10');
const head = testHead({ porosityGuess: 'unknown', freeMinutes: [120, 0, 0, 120, 0, 0, 120] });
const nothing = testHistory();
const reading = (id: string, part: Partial<Reading>): Reading => ({ ...testReading(today, {}), id, ...part });
const testEvent: HeadEvent = {
  kind: 'event',
  id: 'done',
  recordedAt: '2026-05-09T10:00:00Z',
  headId: head.headId,
  day: today,
  what: 'heat',
  note: '',
};
const gummy = Array.from({ length: 5 }, () => testStrand(60, 90, 80));
const brittle = Array.from(
  { length: 5 },
  () => ({ outcome: 'snapped', region: null, restMm: 60, snappedMm: 64 }) as const,
);

describe('a recipe that has been taken out', () => {
  it('keeps what it did to the hair: the state is the same as before', () => {
    const gelatin = testRecipe('set', ['12 g gelatin', '150 ml water']);
    const session = testSession('set', addDays(today, -2));
    const there = testHistory({ recipes: [gelatin], sessions: [session] });
    const out = testHistory({
      recipes: [],
      sessions: [session],
      larder: makeLarder({ formerRecipes: [gelatin] }),
    });
    expect(estimateHair(head, out, today).signals).toEqual(estimateHair(head, there, today).signals);
    expect(estimateHair(head, out, today).signals.firmness.mean).toBeGreaterThan(
      estimateHair(head, nothing, today).signals.firmness.mean,
    );
  });
});

describe('the state of a head', () => {
  it('is usable with no reading at all, and follows the complaint', () => {
    const state = estimateHair({ ...head, complaints: ['limp'] }, nothing, today);
    expect(state.signals.firmness.mean).toBeLessThan(0);
    expect(state.need.headline).toBe("You say it's limp");
    expect(state.need.reasons.join(' ')).toContain('guess from your first answers');
    expect(
      estimateHair({ ...head, complaints: ['stiff'] }, nothing, today).signals.firmness.mean,
    ).toBeGreaterThan(0);
  });

  it('asks for protein after a gummy reading and for moisture after a brittle one', () => {
    const soft = estimateHair(head, { ...nothing, readings: [reading('a', { strands: gummy })] }, today);
    expect([soft.need.kind, soft.need.headline]).toEqual(['protein', 'Much too soft']);
    const firm = estimateHair(
      head,
      { ...nothing, readings: [reading('a', { strands: brittle, feel: 3 })] },
      today,
    );
    expect(firm.need.kind).toBe('moisture');
    expect(firm.need.reasons.at(-1)).toContain('no protein');
  });

  it('is too soft where she says it is: the edges of her comfort zone are hers', () => {
    const soft = testHistory({ readings: [reading('soft', { strands: gummy })] });
    const at = (comfort: { low: number; high: number } | undefined) =>
      estimateHair({ ...head, ...(comfort ? { comfort } : {}) }, soft, today);
    const [usual, later] = [at(undefined), at({ low: -1.2, high: 0.5 })];
    expect(later.signals.firmness.mean).toBe(usual.signals.firmness.mean);
    expect(later.signals.firmness.probabilities.below).toBeLessThan(
      usual.signals.firmness.probabilities.below,
    );
    expect(later.need.probabilities.protein).toBeLessThan(usual.need.probabilities.protein);
  });

  it('grows less sure as days pass without a reading', () => {
    const readings = [reading('a', { strands: gummy })];
    const now = estimateHair(head, { ...nothing, readings }, today).signals.firmness;
    const later = estimateHair(head, { ...nothing, readings }, addDays(today, 20)).signals.firmness;
    expect(later.sd).toBeGreaterThan(now.sd);
  });

  it('learns from readings around a use what a recipe does, and keeps the prior of what was never used', () => {
    const version = testRecipe('silk', ['200 ml rice water', '15 ml hydrolysed silk']);
    const unused = { ...version, id: 'other', recipeId: 'other' };
    const days = [-24, -18, -12, -6];
    const sessions = days.map((back) => testSession('silk', addDays(today, back)));
    const firm = Array.from({ length: 5 }, () => testStrand(60, 63, 60));
    const soft = Array.from({ length: 5 }, () => testStrand(60, 84, 64));
    const readings = days.flatMap((back) => [
      reading(`b${back}`, { day: addDays(today, back), moment: 'before', strands: soft }),
      reading(`a${back}`, { day: addDays(today, back), moment: 'after', strands: firm }),
    ]);
    const { responses } = estimateHair(
      head,
      testHistory({ recipes: [version, unused], readings, sessions }),
      today,
    ).signals.firmness;
    const [silk, other] = ['silk', 'other'].map((id) =>
      responses.find((response) => response.recipeId === id),
    );
    expect(silk?.uses).toBe(4);
    expect(silk!.mean).toBeGreaterThan(other!.mean + 0.3);
    expect(silk!.sd).toBeLessThan(other!.sd);
    expect(other?.uses).toBe(0);
  });

  it('lets heat and swimming push toward firm', () => {
    const events = [-3, -2, -1].map((back): HeadEvent => ({
      kind: 'event',
      id: `e${back}`,
      recordedAt: '2026-05-01T10:00:00Z',
      headId: 'h',
      day: addDays(today, back),
      what: 'heat',
      note: '',
    }));
    const without = estimateHair(head, nothing, today).signals.firmness.mean;
    expect(estimateHair(head, { ...nothing, events }, today).signals.firmness.mean).toBeGreaterThan(
      without + 0.1,
    );
  });

  it('does not look at what is written for days to come', () => {
    const readings = [reading('a', { strands: gummy, day: addDays(today, 3) })];
    expect(estimateHair(head, { ...nothing, readings }, today).readingCount).toBe(0);
  });

  it('gives the same answer whatever the order of the records', () => {
    const readings = [
      reading('a', { strands: gummy, day: addDays(today, -4) }),
      reading('b', { strands: brittle }),
    ];
    const forward = estimateHair(head, { ...nothing, readings }, today).signals.firmness;
    const backward = estimateHair(head, { ...nothing, readings: [...readings].reverse() }, today).signals
      .firmness;
    expect(backward.mean).toBeCloseTo(forward.mean, 12);
  });

  it('sends alarming shedding to a doctor', () => {
    const readings = [reading('a', { tally: testTally(5, 900, 3) })];
    expect(estimateHair(head, { ...nothing, readings }, today).need.referral).toContain('doctor');
  });

  it('wants both for hair that breaks and drinks', () => {
    const readings = [1, 2, 3].map((n) =>
      reading(`r${n}`, {
        tally: testTally(80, 200, 3),
        porosity: { mistSoakSeconds: 6, dryMinutes: null, slide: null, sink: null },
        feel: 0,
        day: addDays(today, -n),
      }),
    );
    expect(estimateHair(head, { ...nothing, readings }, today).need.kind).toBe('both');
  });
});

describe('what was done to the hair for good', () => {
  const bleached = (daysAgo: number, part: Partial<Parameters<typeof testHistory>[0]> = {}) =>
    estimateHair(
      head,
      testHistory({
        events: [{ ...testEvent, what: 'bleach', day: addDays(today, -daysAgo) }],
        ...part,
      }),
      today,
    ).signals;
  const untouched = estimateHair(head, nothing, today).signals;

  it('does not fade: a month and half a year after a bleach the strand is as open, but for what has grown', () => {
    const [now, month, halfYear] = [0, 30, 180].map(
      (days) => bleached(days).porosity.mean - untouched.porosity.mean,
    );
    expect(now).toBeCloseTo(0.9, 1);
    expect(month).toBeGreaterThan(0.8);
    expect(halfYear).toBeGreaterThan(0.5);
    expect(halfYear).toBeLessThan(month!);
    expect(bleached(30).porosity.ahead.at(-1)!.mean).toBeGreaterThan(0.65);
  });

  it('is gone where that hair was cut off: lengths tell', () => {
    const trimmed = bleached(180, {
      readings: [reading('cut', { day: addDays(today, -60), lengths: [{ place: 'crown', cm: 9 }] })],
    });
    expect(trimmed.porosity.mean).toBeLessThan(bleached(180).porosity.mean - 0.2);
  });

  it('a day of heat fades, a relaxer does not', () => {
    const after = (what: 'heat' | 'relaxer') =>
      estimateHair(head, testHistory({ events: [{ ...testEvent, what, day: addDays(today, -60) }] }), today)
        .signals.breakage.mean - untouched.breakage.mean;
    expect(after('heat')).toBeLessThan(0.02);
    expect(after('relaxer')).toBeGreaterThan(0.35);
  });
});

describe('without a cause', () => {
  it.each([[[]], [['breaks']], [['limp']], [['stiff', 'dry']]] as Head['complaints'][][])(
    'nothing drifts: hair of which nothing is written down is in twelve weeks as it is now (%j)',
    (complaints) => {
      for (const { mean, ahead } of Object.values(
        estimateHair({ ...head, complaints }, nothing, today).signals,
      ))
        expect(ahead.at(-1)!.mean).toBeCloseTo(mean, 9);
    },
  );
});

describe('readings that are not what they seem', () => {
  const steady = [-20, -16, -12, -8, -4].map((back) =>
    reading(`s${back}`, {
      day: addDays(today, back),
      strands: Array.from({ length: 5 }, () => testStrand(60, 78, 61)),
    }),
  );
  const slip = reading('slip', {
    day: addDays(today, -2),
    strands: Array.from({ length: 5 }, () => testStrand(60, 92, 84)),
  });

  it('a mistyped length is marked as off and moves the level little', () => {
    const without = estimateHair(head, { ...nothing, readings: steady }, today).signals.firmness;
    const { mean, measurements } = estimateHair(head, { ...nothing, readings: [...steady, slip] }, today)
      .signals.firmness;
    expect(measurements.map(({ off }) => off)).toEqual([false, false, false, false, false, true]);
    expect(Math.abs(mean - without.mean)).toBeLessThan(0.45);
  });

  it('two of them on different days are believed: something happened to the hair', () => {
    const again = { ...slip, id: 'again', day: addDays(today, -1) };
    const { mean } = estimateHair(head, { ...nothing, readings: [...steady, slip, again] }, today).signals
      .firmness;
    expect(mean).toBeLessThan(-0.5);
  });

  it('one that was written twice counts once', () => {
    const twice = [...steady, { ...steady[0]!, id: 'twice' }];
    const state = estimateHair(head, { ...nothing, readings: twice }, today);
    expect(state.readingCount).toBe(steady.length);
    expect(state.signals.firmness.mean).toBe(
      estimateHair(head, { ...nothing, readings: steady }, today).signals.firmness.mean,
    );
  });
});

describe('two recipes that are always used together', () => {
  const gel = testRecipe('gel', ['3 tbsp linseed, soaked', '300 ml water']);
  const set = testRecipe('set', ['200 ml rice water', '15 ml hydrolysed silk']);
  const days = [-30, -25, -20, -15, -10, -5].map((back) => addDays(today, back));
  const readings = days.flatMap((day, index) => [
    testReading(day, { feel: 0 }, { id: `b${index}` }),
    testReading(addDays(day, 1), { feel: 1 }, { id: `a${index}`, moment: 'dry' }),
  ]);
  const stateOf = (sessions: ReturnType<typeof testSession>[]) =>
    estimateHair(head, testHistory({ recipes: [gel, set], sessions, readings }), today).signals.firmness;

  it('cannot be told apart, and it is said', () => {
    const together = days.flatMap((day) => [testSession('gel', day), testSession('set', day)]);
    expect(stateOf(together).entangled).toMatchObject([{ recipeIds: ['gel', 'set'] }]);
    const apart = days.map((day, index) => testSession(index % 2 === 0 ? 'gel' : 'set', day));
    expect(stateOf(apart).entangled).toEqual([]);
  });
});

describe('the dose of a session', () => {
  const gelatin = testRecipe('set', ['12 g gelatin', '150 ml water']);
  const levelAfter = (grams: number | null) =>
    estimateHair(
      head,
      testHistory({ recipes: [gelatin], sessions: [testSession('set', addDays(today, -1), { grams })] }),
      today,
    ).signals.firmness.mean;

  it('grows with the grams that went on, ever less', () => {
    const [little, usual, much] = [60, 120, 240].map(levelAfter);
    expect(little).toBeLessThan(usual!);
    expect(usual).toBeLessThan(much!);
    expect(much! - usual!).toBeLessThan(usual! - little!);
  });
});
