import { addDays, calendarDay } from '../../base/measures';
import { STAMP, testOccasion } from '../../lab/testing';
import { decisionSchema, occasionSchema, occasionsOf } from '../../records/shapes';
import { isOn } from './occasion';
import { choicesOf, USUAL_CHOICES } from './planSettings';

const start = calendarDay('2026-03-02');

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
