import { testStrand } from '@/core/lab/testing';
import {
  dryingStarted,
  readUnderway,
  selectUnderway,
  strandDropped,
  strandTaken,
  tapped,
  underwayEnded,
  underwayLoaded,
  underwaySlice,
  untapped,
} from './underwaySlice';

const { reducer } = underwaySlice;
const after = (...actions: Parameters<typeof reducer>[1][]) =>
  actions.reduce(reducer, reducer(undefined, { type: 'begin' }));
const of = (state: ReturnType<typeof reducer>, headId: string) => selectUnderway(headId)({ underway: state });

describe('what is under way', () => {
  it('is kept for each head by itself', () => {
    const state = after(
      tapped({ headId: 'ada', tap: 'broken' }),
      tapped({ headId: 'bo', tap: 'shed' }),
      tapped({ headId: 'ada', tap: 'section' }),
    );
    expect([of(state, 'ada').taps, of(state, 'bo').taps, of(state, 'cleo').taps]).toEqual([
      ['broken', 'section'],
      ['shed'],
      [],
    ]);
  });

  it('takes a tap back, and no more than there are', () => {
    const state = after(
      tapped({ headId: 'ada', tap: 'broken' }),
      untapped({ headId: 'ada' }),
      untapped({ headId: 'ada' }),
    );
    expect(of(state, 'ada').taps).toEqual([]);
  });

  it('ends one part and leaves the others', () => {
    const state = after(
      tapped({ headId: 'ada', tap: 'broken' }),
      strandTaken({ headId: 'ada', strand: testStrand(60, 78, 61) }),
      strandTaken({ headId: 'ada', strand: testStrand(70, 90, 72) }),
      strandDropped({ headId: 'ada', index: 0 }),
      dryingStarted({ headId: 'ada', at: '2026-05-10T10:00:00Z' }),
      underwayEnded({ headId: 'ada', part: 'taps' }),
    );
    expect(of(state, 'ada')).toEqual({
      taps: [],
      strands: [testStrand(70, 90, 72)],
      dryingSince: '2026-05-10T10:00:00Z',
    });
  });

  it('comes back from the store as it was written', () => {
    const state = after(tapped({ headId: 'ada', tap: 'shed' }));
    expect(after(underwayLoaded(readUnderway(JSON.stringify(state))))).toEqual(state);
  });

  it.each([null, '', '{', '7', '{"ada":{"taps":["swallowed"]}}', '{"__proto__":{"taps":[]}}'])(
    '%p in the store is nothing under way',
    (text) => {
      expect(selectUnderway('ada')({ underway: readUnderway(text) }).taps).toEqual([]);
    },
  );
});
