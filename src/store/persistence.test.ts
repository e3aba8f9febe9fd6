import { calendarDay } from '@/core/measures';
import { demoRecords } from '@/core/simulation';
import type { StoredRecord } from '@/core/exchange';
import {
  draftDropped,
  draftKept,
  dryingStarted,
  headChosen,
  lineWeighed,
  makeStore,
  makingEnded,
  makingStarted,
  prefsChanged,
  recordsAdded,
  recordsTaken,
  saveRetried,
  selectAllRecords,
  selectDamaged,
  selectDrafts,
  selectHeads,
  selectLarder,
  selectMaking,
  selectNewer,
  selectPrefs,
  selectProblem,
  selectRecipes,
  selectStatus,
  selectUnderway,
  selectUnkept,
  selectUnsaved,
  startPersistence,
  stepDone,
  tapped,
  waterAdded,
  type AppStore,
  type RecipeDraft,
} from '.';
import type { OtherTab } from './recordStorage';
import { memoryStorage, opened, over, settle, type Memory } from './testing/memoryStorage';

const demo = demoRecords(calendarDay('2026-05-13'));

const ended: (() => void)[] = [];
afterEach(() => ended.splice(0).forEach((end) => end()));
const open = (memory: Memory) => opened(memory, ended);

describe('records', () => {
  it('are there again after the page is opened anew', async () => {
    const memory = memoryStorage();
    const first = await open(memory);
    first.dispatch(recordsTaken(demo));
    first.dispatch(headChosen('pip'));
    await settle();
    expect(selectUnsaved(first.getState())).toEqual([]);
    const second = await open(memory);
    expect(selectAllRecords(second.getState())).toEqual(selectAllRecords(first.getState()));
    expect(selectHeads(second.getState()).map((head) => head.name)).toEqual(['Maren', 'Pip']);
    expect(selectPrefs(second.getState()).headId).toBe('pip');
  });

  it('that cannot be stored stay on screen, are said to be unsaved, and are stored on a second try', async () => {
    const memory = memoryStorage();
    const store = await open(memory);
    store.dispatch(recordsTaken(demo.slice(0, 3)));
    await settle();
    memory.failWith = 'QuotaExceededError';
    store.dispatch(recordsTaken(demo.slice(3, 5)));
    await settle();
    expect(selectProblem(store.getState())).toContain('no room left');
    expect(selectUnsaved(store.getState())).toHaveLength(2);
    expect(memory.entries.size).toBe(3);
    memory.failWith = null;
    store.dispatch(saveRetried());
    await settle();
    expect([selectProblem(store.getState()), selectUnsaved(store.getState()), memory.entries.size]).toEqual([
      null,
      [],
      5,
    ]);
  });

  it('that are damaged are counted and left where they are, and the others are read', async () => {
    const memory = memoryStorage();
    const store = await open(memory);
    store.dispatch(recordsTaken(demo));
    await settle();
    const [key] = memory.entries.keys();
    memory.entries.set(key!, '{"v":1,"rec');
    const again = await open(memory);
    expect([selectDamaged(again.getState()), selectAllRecords(again.getState()).length]).toEqual([
      1,
      demo.length - 1,
    ]);
    expect(memory.entries.get(key!)).toBe('{"v":1,"rec');
  });

  it('written in two tabs at once are both kept', async () => {
    const memory = memoryStorage();
    const [one, two] = [await open(memory), await open(memory)];
    one.dispatch(recordsTaken(demo.slice(0, 10)));
    two.dispatch(recordsTaken(demo.slice(10)));
    await settle();
    const third = await open(memory);
    expect(selectAllRecords(third.getState())).toHaveLength(demo.length);
  });

  it('written by another tab come in without being written again', async () => {
    const memory = memoryStorage();
    const storage = over(memory);
    let tell: (news: OtherTab) => void = () => undefined;
    const store = makeStore(storage);
    ended.push(
      await startPersistence(store, {
        ...storage,
        onOtherTab: (listener) => {
          tell = listener;
          return () => undefined;
        },
      }),
    );
    tell({ what: 'records', records: demo.slice(0, 4) });
    await settle();
    expect(selectAllRecords(store.getState())).toHaveLength(4);
    expect([selectUnsaved(store.getState()), memory.entries.size]).toEqual([[], 0]);
  });

  it('added twice count once', async () => {
    const store = await open(memoryStorage());
    store.dispatch(recordsTaken(demo));
    store.dispatch(recordsTaken(demo));
    expect(selectAllRecords(store.getState())).toHaveLength(demo.length);
  });

  it('can be taken back', async () => {
    const store = await open(memoryStorage());
    store.dispatch(recordsTaken(demo));
    const recipe = selectRecipes(store.getState())[0]!;
    const withdrawal: StoredRecord = {
      kind: 'withdrawal',
      id: 'w',
      recordedAt: '2027-01-01T00:00:00Z',
      withdraws: recipe.id,
    };
    store.dispatch(recordsAdded([withdrawal]));
    expect(selectRecipes(store.getState()).map((each) => each.recipeId)).not.toContain(recipe.recipeId);
    expect(selectAllRecords(store.getState()).map((each) => each.id)).toContain(recipe.id);
  });
});

describe('a storage that is blocked', () => {
  it('leaves the app working from memory and says so', async () => {
    const memory = memoryStorage();
    memory.getAllKeys = async () => Promise.reject(new Error('blocked'));
    const store = await open(memory);
    expect(selectStatus(store.getState())).toBe('blocked');
    store.dispatch(recordsTaken(demo));
    expect(selectHeads(store.getState())).toHaveLength(2);
    expect(selectProblem(store.getState())).toContain('export it before you leave');
  });
});

describe('a making that is under way', () => {
  const started = { recipeId: 'gel', version: 2, factor: 1.5, startedAt: '2026-05-13T10:00:00Z' };

  it('is where it was after a reload, and gone when it is ended', async () => {
    const memory = memoryStorage();
    const first = await open(memory);
    first.dispatch(makingStarted(started));
    first.dispatch(stepDone({ id: 's1', done: true }));
    first.dispatch(stepDone({ id: 's2', done: true }));
    first.dispatch(stepDone({ id: 's2', done: false }));
    first.dispatch(lineWeighed({ line: 0, grams: 31.5 }));
    first.dispatch(waterAdded(25));
    await settle();
    const again = await open(memory);
    expect(selectMaking(again.getState())).toEqual({
      ...started,
      done: ['s1'],
      weighed: { 0: 31.5 },
      waterAddedGrams: 25,
    });
    again.dispatch(makingEnded());
    await settle();
    expect(selectMaking((await open(memory)).getState())).toBeNull();
  });

  it('that is damaged in the store is none', async () => {
    for (const text of ['{"recipeId": 4}', 'no json', '[]', '{"factor": -1}']) {
      const store = await open(memoryStorage(new Map([['making', text]])));
      expect(selectMaking(store.getState())).toBeNull();
      expect(selectStatus(store.getState())).toBe('ready');
    }
  });

  it('ignores a weight when nothing is under way', async () => {
    const store = await open(memoryStorage());
    store.dispatch(lineWeighed({ line: 0, grams: 10 }));
    store.dispatch(stepDone({ id: 's1', done: true }));
    expect(selectMaking(store.getState())).toBeNull();
  });
});

describe('the larder', () => {
  it('stays the same one when a reading comes, and is a new one when a recipe does', async () => {
    const store = await open(memoryStorage());
    const recipes = demo.filter(({ kind }) => kind === 'recipe');
    const [reading] = demo.filter(({ kind }) => kind === 'reading');
    if (!reading) throw new Error('the demo has readings');
    store.dispatch(recordsAdded(recipes.slice(1)));
    const before = selectLarder(store.getState());
    store.dispatch(recordsAdded([reading]));
    expect(selectLarder(store.getState())).toBe(before);
    store.dispatch(recordsAdded(recipes.slice(0, 1)));
    expect(selectLarder(store.getState())).not.toBe(before);
  });

  it('keeps a record that is there already as it was', async () => {
    const store = await open(memoryStorage());
    const [first] = demo;
    if (!first) throw new Error('the demo has records');
    store.dispatch(recordsTaken([first]));
    store.dispatch(recordsTaken([{ ...first, recordedAt: '2030-01-01T00:00:00Z' }]));
    expect(selectAllRecords(store.getState())).toEqual([first]);
    await settle();
  });
});

describe('what is under way', () => {
  it('is there again after a locked screen or a reload, tap by tap', async () => {
    const memory = memoryStorage();
    const first = await open(memory);
    for (const tap of ['broken', 'shed', 'section', 'broken'] as const)
      first.dispatch(tapped({ headId: 'maren', tap }));
    first.dispatch(dryingStarted({ headId: 'maren', at: '2026-05-10T10:00:00Z' }));
    await settle();
    const second = await open(memory);
    expect(selectUnderway('maren')(second.getState())).toMatchObject({
      taps: ['broken', 'shed', 'section', 'broken'],
      dryingSince: '2026-05-10T10:00:00Z',
    });
  });

  it('that is damaged in the store is nothing under way, and harms nothing else', async () => {
    const memory = memoryStorage(new Map([['underway', '{"maren":{"taps":"many"}}']]));
    const store = await open(memory);
    expect(selectUnderway('maren')(store.getState()).taps).toEqual([]);
    expect(selectStatus(store.getState())).toBe('ready');
  });
});

describe('a picture', () => {
  const photo: StoredRecord = {
    kind: 'photo',
    id: 'picture',
    recordedAt: '2026-05-10T10:00:00Z',
    headId: 'maren',
    day: calendarDay('2026-05-10'),
    moment: 'dry',
    place: 'nape',
    widthPx: 10,
    heightPx: 10,
    jpeg: '/9j/AAAA',
  };
  const takenBack: StoredRecord = {
    kind: 'withdrawal',
    id: 'gone',
    recordedAt: '2026-05-10T11:00:00Z',
    withdraws: 'picture',
  };
  const lies = (memory: Memory) => memory.entries.has('record/picture');

  it('that was taken back is erased when the page is opened anew, and not before', async () => {
    const memory = memoryStorage();
    const first = await open(memory);
    first.dispatch(recordsAdded([photo]));
    first.dispatch(recordsAdded([takenBack]));
    await settle();
    expect(lies(memory)).toBe(true);
    const second = await open(memory);
    expect(selectAllRecords(second.getState()).map(({ id }) => id)).toEqual(['gone']);
    expect(lies(memory)).toBe(false);
  });

  it('whose taking back was undone stays', async () => {
    const memory = memoryStorage();
    const first = await open(memory);
    const undone: StoredRecord = {
      kind: 'withdrawal',
      id: 'undone',
      recordedAt: '2026-05-10T11:01:00Z',
      withdraws: 'gone',
    };
    first.dispatch(recordsAdded([photo, takenBack, undone]));
    await settle();
    await open(memory);
    expect(lies(memory)).toBe(true);
  });
});

describe('a clock that was once ahead', () => {
  it('makes nothing that is written later ineffective', async () => {
    const memory = memoryStorage();
    const store = await open(memory);
    store.dispatch(
      recordsTaken(
        demo.map((record) =>
          record.kind === 'head' ? { ...record, recordedAt: '2031-01-01T00:00:00Z' } : record,
        ),
      ),
    );
    const [head] = selectHeads(store.getState());
    if (!head) throw new Error('the demo has a head');
    const changed = { ...head, id: 'later', recordedAt: '2026-06-01T00:00:00Z', lengthCm: 61 };
    store.dispatch(recordsAdded([changed]));
    expect(selectHeads(store.getState()).map(({ lengthCm }) => lengthCm)).toContain(61);
    await settle();
    const again = await open(memory);
    expect(selectHeads(again.getState()).map(({ lengthCm }) => lengthCm)).toContain(61);
  });
});

describe('what is kept beside the records', () => {
  const draft = (name: string): RecipeDraft => ({
    name,
    text: '2 tbsp honey',
    use: 'mask',
    contactMinutes: '20',
    warmth: 'room',
  });
  const drafts = (store: AppStore) => Object.values(selectDrafts(store.getState())).map(({ name }) => name);

  it('that could not be stored is said, asked about on leaving, and stored on a second try', async () => {
    const memory = memoryStorage();
    const store = await open(memory);
    memory.failWith = 'QuotaExceededError';
    store.dispatch(draftKept({ of: 'new', draft: draft('Unsaved') }));
    store.dispatch(tapped({ headId: 'maren', tap: 'broken' }));
    store.dispatch(
      makingStarted({ recipeId: 'gel', version: 1, factor: 1, startedAt: '2026-05-13T10:00:00Z' }),
    );
    store.dispatch(prefsChanged({ theme: 'dark' }));
    await settle();
    expect(selectProblem(store.getState())).toContain('no room left');
    expect([...selectUnkept(store.getState())].sort()).toEqual(['drafts', 'making', 'prefs', 'underway']);
    memory.failWith = null;
    store.dispatch(saveRetried());
    await settle();
    expect([selectProblem(store.getState()), selectUnkept(store.getState())]).toEqual([null, []]);
    const again = await open(memory);
    expect([drafts(again), selectPrefs(again.getState()).theme]).toEqual([['Unsaved'], 'dark']);
    expect(selectUnderway('maren')(again.getState()).taps).toEqual(['broken']);
    expect(selectMaking(again.getState())?.recipeId).toBe('gel');
  });

  it('of two tabs stays: drafts of two recipes, and two settings', async () => {
    const memory = memoryStorage();
    const [one, two] = [await open(memory), await open(memory)];
    one.dispatch(draftKept({ of: 'gel', draft: draft('Of the first tab') }));
    one.dispatch(prefsChanged({ theme: 'dark' }));
    await settle();
    two.dispatch(draftKept({ of: 'new', draft: draft('Of the second tab') }));
    two.dispatch(prefsChanged({ cup: 'metric' }));
    await settle();
    const third = await open(memory);
    expect(drafts(third).sort()).toEqual(['Of the first tab', 'Of the second tab']);
    expect(selectPrefs(third.getState())).toMatchObject({ theme: 'dark', cup: 'metric' });
    // What one gives up is gone, what the other has stays.
    one.dispatch(draftDropped('gel'));
    await settle();
    expect(drafts(await open(memory))).toEqual(['Of the second tab']);
  });
});

describe('a database', () => {
  const closing = 'The database connection is closing.';

  it('that the browser closed is opened again, and nothing is lost', async () => {
    const memory = memoryStorage();
    let forgotten = 0;
    const storage = over(memory, () => {
      forgotten++;
      memory.failWith = null;
    });
    const store = makeStore(storage);
    ended.push(await startPersistence(store, storage));
    store.dispatch(recordsTaken(demo.slice(0, 3)));
    await settle();
    memory.failWith = closing;
    store.dispatch(recordsTaken(demo.slice(3, 5)));
    await settle();
    expect([forgotten, memory.entries.size, selectProblem(store.getState())]).toEqual([1, 5, null]);
    expect(selectUnsaved(store.getState())).toEqual([]);
  });

  it('that was emptied by another tab is said, and filled again from this page when asked', async () => {
    const memory = memoryStorage();
    const storage = over(memory, () => {
      memory.entries.clear();
      memory.failWith = null;
    });
    const store = makeStore(storage);
    ended.push(await startPersistence(store, storage));
    store.dispatch(recordsTaken(demo.slice(0, 3)));
    await settle();
    memory.failWith = closing;
    store.dispatch(recordsTaken(demo.slice(3, 5)));
    await settle();
    expect(selectProblem(store.getState())).toContain('was deleted');
    expect(selectUnsaved(store.getState())).toHaveLength(5);
    store.dispatch(saveRetried());
    await settle();
    expect([memory.entries.size, selectProblem(store.getState())]).toEqual([5, null]);
  });

  it.each([
    ['', 'no room left'],
    ['The transaction was aborted due to exceeding its quota limitations.', 'no room left'],
    ['The user denied permission to access the database.', 'does not let this page save'],
    ['Something odd', 'Something odd'],
  ])('that fails with “%s” says what to do', async (message, said) => {
    const memory = memoryStorage();
    const store = await open(memory);
    memory.setMany = async () => Promise.reject(new Error(message));
    store.dispatch(recordsTaken(demo.slice(0, 1)));
    await settle();
    expect(selectProblem(store.getState())).toContain(said);
  });

  it('of a newer version says so, and so do single entries that it wrote', async () => {
    const memory = memoryStorage();
    memory.getAllKeys = async () =>
      Promise.reject(new Error('The requested version (1) is less than the existing version (2).'));
    expect(selectProblem((await open(memory)).getState())).toContain('newer version');
    const store = await open(memoryStorage(new Map([['record/future', '{"v":999,"record":{}}']])));
    expect([selectNewer(store.getState()), selectDamaged(store.getState())]).toEqual([1, 0]);
  });
});

describe('records that are called like what every object has', () => {
  it('are no stranger than others', async () => {
    const store = await open(memoryStorage());
    const [first] = demo;
    if (!first) throw new Error('the demo has records');
    store.dispatch(recordsTaken([{ ...first, id: 'toString' }]));
    expect(selectAllRecords(store.getState()).map(({ id }) => id)).toEqual(['toString']);
    await settle();
  });
});
