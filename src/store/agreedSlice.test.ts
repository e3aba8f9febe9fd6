import { calendarDay } from '@/core/base/measures';
import type { Agreed, Agreement, PlanNote } from '@/core/plan/agenda';
import { agreedSlice, planAgreed, planNoteSeen, readAgreed } from './agreedSlice';

const monday = calendarDay('2026-03-02');
const agreement = (asOf = monday): Agreement => ({
  asOf,
  assignments: [{ day: asOf, slot: 'main', recipeId: 'cream', overnight: false }],
  knew: { sessions: 1, readings: 2, decisions: 0, settings: 0 },
});
const note: PlanNote = { why: 'because of a reading', changes: [] };
const { reducer } = agreedSlice;

describe('what was agreed', () => {
  it('is one agreement for each head; another head keeps its own', () => {
    const first = reducer({}, planAgreed([{ headId: 'h', agreement: agreement(), note: null }]));
    const both = reducer(first, planAgreed([{ headId: 'k', agreement: agreement(), note }]));
    expect(Object.keys(both)).toEqual(['h', 'k']);
    expect(both.h).toBe(first.h);
    expect(both.k?.note).toMatchObject({ on: monday });
  });

  it('a change that nobody has seen stays until it is seen or a newer one comes', () => {
    const told = reducer({}, planAgreed([{ headId: 'h', agreement: agreement(), note }]));
    const tuesday = calendarDay('2026-03-03');
    const unchanged = reducer(told, planAgreed([{ headId: 'h', agreement: agreement(tuesday), note: null }]));
    expect(unchanged.h?.note).toEqual(told.h?.note);
    expect(unchanged.h?.agreement.asOf).toBe(tuesday);
    expect(reducer(unchanged, planNoteSeen('h')).h?.note).toBeNull();
    expect(reducer(unchanged, planNoteSeen('nobody'))).toBe(unchanged);
  });

  it('is read as it was stored before its treatments had another name', () => {
    const { assignments, ...others } = agreement();
    const stored = JSON.stringify({ h: { agreement: { ...others, beats: assignments }, note: null } });
    expect(readAgreed(stored)).toEqual({ h: { agreement: agreement(), note: null } });
  });

  it.each([null, '', '{', '[]', '{"h":{"agreement":"?"}}', '{"h":null}'])(
    'stored as %j is forgotten, or nothing was there',
    (text) => {
      expect(readAgreed(text)).toEqual({} satisfies Agreed);
    },
  );
});
