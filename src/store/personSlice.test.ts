import { personKept, personSlice, readNewPerson, type HeadDraft } from './personSlice';

const { reducer } = personSlice;
const draft: HeadDraft = {
  name: 'Ad',
  lengthCm: 'thirty',
  strand: 'medium',
  curl: 'unknown',
  density: 'medium',
  allergies: ['sesame'],
  porosityGuess: 'unknown',
  complaints: [],
  firstComplaints: undefined,
  free: ['0', '0', '0', '0', '0', '0', 'x'],
  from: ['10', '10', '10', '10', '10', '10', '10'],
  nights: [],
  comfort: undefined,
  school: 'my-hair',
  sensitive: 'no',
  ageBand: 'adult',
  lengths: { front: '', crown: '', sides: '', nape: '' },
  chemistry: [],
  health: [],
};

describe('a new person', () => {
  it('is kept as she is told of, right or wrong, with the step it is at, until she is saved', () => {
    const kept = reducer(null, personKept({ step: 1, draft }));
    expect(kept).toEqual({ step: 1, draft });
    expect(reducer(kept, personKept(null))).toBeNull();
  });

  it('comes back from its text; what cannot be read is nobody', () => {
    const stored = { step: 2, draft };
    expect(readNewPerson(JSON.stringify(stored))).toEqual(stored);
    const noWeek = { step: 0, draft: { ...draft, free: ['0'] } };
    for (const text of [null, '', '{', '7', '{"step":1}', JSON.stringify(noWeek)])
      expect(readNewPerson(text)).toBeNull();
  });
});
