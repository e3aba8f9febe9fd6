import { calendarDay } from '@/core/measures';
import type { WashRun } from '@/core/sessions';
import { readWash, washClosed, washHappened, washSlice, washStarted } from './washSlice';

const at = '2026-03-02T18:00:00.000Z';
const run = (headId: string): WashRun => ({
  id: `run-${headId}`,
  headId,
  day: calendarDay('2026-03-02'),
  startedAt: at,
  treatments: [],
  sections: 2,
  washMinutes: 60,
  oiledOvernight: false,
  steps: [
    {
      id: 'detangle',
      phase: 'detangle',
      title: 'Detangle',
      how: 'From the ends up.',
      why: 'It breaks less.',
      minutes: 10,
      waits: false,
      slot: null,
      recipeId: null,
      sections: null,
      caution: null,
      onlyIfFirm: false,
      late: null,
    },
  ],
  events: [],
});
const { reducer } = washSlice;

describe('wash days under way', () => {
  const both = [washStarted(run('h')), washStarted(run('k'))].reduce(reducer, {});

  it('are one a head; what happens to one leaves the other as it is', () => {
    const event = { what: 'done', step: 'detangle', at } as const;
    const after = reducer(both, washHappened({ headId: 'h', event }));
    expect(after.h?.events).toEqual([event]);
    expect(after.k).toBe(both.k);
    expect(reducer(after, washHappened({ headId: 'nobody', event }))).toBe(after);
  });

  it('are gone when they are written down', () => {
    expect(Object.keys(reducer(both, washClosed('h')))).toEqual(['k']);
  });

  it('come back as they were stored; what cannot be read is none', () => {
    expect(readWash(JSON.stringify(both))).toEqual(both);
    for (const text of [null, '', '{', '[]', '{"h":{}}', '{"h":null}']) expect(readWash(text)).toEqual({});
  });
});
