import { readPrefs, prefsSlice, prefsChanged, headChosen } from './prefsSlice';
import { selectUndo, undoClosed, undoOffered, undoSlice } from './undoSlice';

const DEFAULTS = {
  theme: 'system',
  language: 'system',
  headId: null,
  units: 'metric',
  cup: 'us',
  myCup: null,
  mySpoon: null,
  dictation: false,
  measure: 'own',
  view: 'grams',
  pixelsPerMm: null,
  sound: true,
  loudness: 'usual',
  notices: false,
  quietFrom: 22,
  quietTo: 7,
  aloud: false,
  textSize: '100',
  motion: 'system',
  weekStart: 'monday',
  effort: 'usual',
  keys: true,
  exportedAt: null,
};

describe('prefs', () => {
  it.each([null, '', '{', '7', '{"theme":"neon"}', '{"headId":5}'])(
    'that read %p fall back to the defaults',
    (text) => {
      expect(readPrefs(text)).toEqual(DEFAULTS);
    },
  );

  it('keep what is valid', () => {
    expect(readPrefs('{"theme":"dark"}')).toEqual({ ...DEFAULTS, theme: 'dark' });
    // A choice that is not known any more takes no other with it.
    const some = readPrefs('{"theme":"neon","cup":"metric","weekStart":"sunday","old":1}');
    expect(some).toEqual({ ...DEFAULTS, cup: 'metric', weekStart: 'sunday' });
  });

  it('change one at a time', () => {
    const { reducer } = prefsSlice;
    const dark = reducer(undefined, prefsChanged({ theme: 'dark' }));
    expect(reducer(dark, headChosen('pip'))).toEqual({ ...DEFAULTS, theme: 'dark', headId: 'pip' });
  });
});

describe('the offer to undo', () => {
  it('is the last one made, until it is closed', () => {
    const { reducer } = undoSlice;
    const first = reducer(null, undoOffered({ said: 'one', recordIds: ['a'] }));
    const second = reducer(first, undoOffered({ said: 'two', recordIds: ['b'] }));
    expect(selectUndo({ undo: second })).toEqual({ said: 'two', recordIds: ['b'] });
    expect(reducer(second, undoClosed())).toBeNull();
  });
});
