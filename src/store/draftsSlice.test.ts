import {
  draftDropped,
  draftKept,
  draftsSlice,
  NEW_RECIPE,
  readDrafts,
  type RecipeDraft,
} from './draftsSlice';

const { reducer } = draftsSlice;
const draft: RecipeDraft = {
  name: 'Half',
  text: '2 tbsp honey\n1/0',
  use: 'mask',
  contactMinutes: 'x',
  warmth: 'room',
};

describe('what is typed and not saved', () => {
  it('is kept as it is, right or wrong, one for each recipe, until it is dropped', () => {
    const both = [
      draftKept({ of: NEW_RECIPE, draft }),
      draftKept({ of: 'silk', draft: { ...draft, name: 'Silk' } }),
      draftKept({ of: NEW_RECIPE, draft: { ...draft, text: '' } }),
    ].reduce(reducer, {});
    expect(both).toEqual({ [NEW_RECIPE]: { ...draft, text: '' }, silk: { ...draft, name: 'Silk' } });
    expect(Object.keys(reducer(both, draftDropped(NEW_RECIPE)))).toEqual(['silk']);
  });

  it('comes back from its text; what cannot be read is none', () => {
    const stored = { silk: draft };
    expect(readDrafts(JSON.stringify(stored))).toEqual(stored);
    for (const text of [null, '', '{', '7', '[]', '{"silk":{"name":5}}', '{"silk":{}}']) {
      expect(readDrafts(text)).toEqual({});
    }
  });
});
