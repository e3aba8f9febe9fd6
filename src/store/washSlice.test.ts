import { testHead, testWashStep, testWashRun } from '@/core/lab/testing';
import { recordsAdded, recordsSlice } from './recordsSlice';
import {
  readWash,
  selectAllWashRuns,
  selectWashRuns,
  washChanged,
  washClosed,
  washSlice,
  washStarted,
} from './washSlice';

const at = '2026-03-02T18:00:00.000Z';
const run = (headId: string) => testWashRun([testWashStep('detangle', 10)], { id: `run-${headId}`, headId });
const { reducer } = washSlice;

describe('wash days under way', () => {
  const both = [washStarted(run('h')), washStarted(run('k'))].reduce(reducer, {});

  it('are one a head; what happens to one leaves the other as it is', () => {
    const event = { what: 'done', step: 'detangle', at } as const;
    const after = reducer(both, washChanged({ ...run('h'), events: [event] }));
    expect(after.h?.events).toEqual([event]);
    expect(after.k).toBe(both.k);
  });

  it('are gone when they are written down', () => {
    expect(Object.keys(reducer(both, washClosed('h')))).toEqual(['k']);
  });

  it('come back as they were stored; what cannot be read is none', () => {
    expect(readWash(JSON.stringify(both))).toEqual(both);
    for (const text of [null, '', '{', '[]', '{"h":{}}', '{"h":null}']) expect(readWash(text)).toEqual({});
  });

  it('of a head that is not there are kept and not shown', () => {
    const before = { wash: { h: run('h') }, records: recordsSlice.reducer(undefined, { type: 'begin' }) };
    expect([selectWashRuns(before), selectAllWashRuns(before)]).toEqual([{}, before.wash]);
    const after = { ...before, records: recordsSlice.reducer(before.records, recordsAdded([testHead()])) };
    expect(selectWashRuns(after)).toEqual(before.wash);
  });
});
