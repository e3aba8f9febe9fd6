import fc from 'fast-check';
import { addDays, calendarDay, dayRange } from '../../base/measures';
import { STAMP, testChallenge, testOccasion } from '../../lab/testing';
import { challengeSchema, decisionSchema, occasionSchema, occasionsOf } from '../../records/shapes';
import { challengeState } from './challenge';
import { isOn } from './occasion';
import { choicesOf, USUAL_CHOICES } from './planSettings';

const start = calendarDay('2026-03-02');
const challenge = testChallenge(start);
const on = (...offsets: number[]) => offsets.map((days) => addDays(start, days));

describe('a challenge', () => {
  it('counts weeks from its own first day, and a week once however much was done in it', () => {
    const state = challengeState(challenge, on(0, 1, 1, 3, 13), addDays(start, 15));
    expect(state.weeks.slice(0, 4).map(({ state: week }) => week)).toEqual(['kept', 'kept', 'open', 'ahead']);
    expect(state).toMatchObject({ kept: 2, missed: 0, streak: 2, wanted: 1, over: false });
  });

  it('is honest about a miss: it stays, the streak begins anew, and no later effort fills it up', () => {
    const state = challengeState(challenge, on(2, 15, 16, 17, 22), addDays(start, 28));
    expect(state.weeks.map(({ state: week }) => week).slice(0, 5)).toEqual([
      'kept',
      'missed',
      'kept',
      'kept',
      'open',
    ]);
    expect(state).toMatchObject({ kept: 3, missed: 1, streak: 2, longest: 2 });
  });

  it('does not call the week that runs missed before it has ended', () => {
    expect(challengeState(challenge, [], addDays(start, 6)).weeks[0]?.state).toBe('open');
    expect(challengeState(challenge, [], addDays(start, 7)).weeks[0]?.state).toBe('missed');
  });

  it('given up, stops counting that day and asks for nothing', () => {
    const given = { ...challenge, givenUpOn: addDays(start, 9) };
    const state = challengeState(given, on(1, 8, 16), addDays(start, 40));
    expect(state).toMatchObject({ over: true, kept: 2, wanted: 0, weekFrom: null });
    expect(state.weeks[2]?.state).toBe('ahead');
  });

  it('a year of weeks adds up, whatever was done', () => {
    const year = { ...challenge, weeks: 52, perWeek: 2 };
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -10, max: 400 }), { maxLength: 200 }),
        fc.integer({ min: 0, max: 400 }),
        (offsets, today) => {
          const state = challengeState(year, on(...offsets), addDays(start, today));
          const ended = state.weeks.filter(({ from }) => addDays(from, 7) <= addDays(start, today));
          expect(state.kept + state.missed).toBeGreaterThanOrEqual(ended.length);
          expect(state.longest).toBeGreaterThanOrEqual(state.streak);
          expect(state.longest).toBeLessThanOrEqual(state.kept);
          // Doing more never keeps less.
          const more = challengeState(
            year,
            on(...offsets, ...dayRange(start, 3).map((_, index) => index)),
            addDays(start, today),
          );
          expect(more.kept).toBeGreaterThanOrEqual(state.kept);
        },
      ),
      { numRuns: 100 },
    );
  });

  it.each([
    [{ weeks: 0 }, 'At least one week'],
    [{ weeks: 54 }, 'At most 53'],
    [{ name: ' ' }, 'name'],
  ])('%j is refused', (part, said) => {
    const result = challengeSchema.safeParse({ ...challenge, ...part });
    expect(result.success ? '' : result.error.issues.map(({ message }) => message).join()).toContain(said);
  });
});

describe('what is coming', () => {
  const occasion = testOccasion('hours', start, addDays(start, 2));

  it('holds on its first and its last day, for everybody where no head is named', () => {
    expect([-1, 0, 2, 3].map((days) => isOn(occasion, addDays(start, days)))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(occasionsOf([occasion, { ...occasion, headId: 'k' }], 'h')).toEqual([occasion]);
  });

  it.each([
    [{ to: addDays(start, -1) }, 'to'],
    [{ minutes: null }, 'minutes'],
    [{ minutes: 900 }, 'minutes'],
    [{ from: 'soon' }, 'from'],
  ])('%j is refused at its field', (part, field) => {
    const result = occasionSchema.safeParse({ ...occasion, ...part });
    expect(result.success ? null : result.error.issues[0]?.path[0]).toBe(field);
  });

  it('a decision to put something somewhere says what', () => {
    const decision = {
      ...STAMP,
      kind: 'decision',
      id: 'd',
      headId: 'h',
      day: start,
      slot: 'main',
      what: 'place',
      recipeId: null,
    };
    expect(decisionSchema.safeParse(decision).success).toBe(false);
    expect(decisionSchema.safeParse({ ...decision, what: 'avoid' }).success).toBe(true);
  });
});

it('what she chose last for a head is in force, and the usual where she chose nothing', () => {
  const settings = (headId: string, rhythm: 'calendar' | 'feel') => ({
    ...STAMP,
    ...USUAL_CHOICES,
    kind: 'plan-settings' as const,
    id: rhythm,
    headId,
    rhythm,
  });
  const all = [settings('h', 'calendar'), settings('k', 'feel'), settings('h', 'feel')];
  expect(choicesOf(all, 'h').rhythm).toBe('feel');
  expect(choicesOf(all.slice(0, 2), 'h').rhythm).toBe('calendar');
  expect(choicesOf(all, 'nobody')).toBe(USUAL_CHOICES);
});
