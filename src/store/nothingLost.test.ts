import { calendarDay } from '@/core/base/measures';
import { demoRecords } from '@/core/lab/simulation';
import { memoryStorage, opened, over, settle, type Memory } from './testing/memoryStorage';
import {
  draftDropped,
  draftKept,
  makeStore,
  makingStarted,
  prefsChanged,
  recordsAdded,
  recordsTaken,
  saveRetried,
  selectAllRecords,
  selectDamaged,
  selectDrafts,
  selectHeads,
  selectMaking,
  selectNewer,
  selectPrefs,
  selectProblem,
  selectUnderway,
  selectUnkept,
  selectUnsaved,
  startPersistence,
  tapped,
  type AppStore,
  type RecipeDraft,
} from '.';

const demo = demoRecords(calendarDay('2026-05-13'));

const ended: (() => void)[] = [];
afterEach(() => ended.splice(0).forEach((end) => end()));
const open = (memory: Memory) => opened(memory, ended);

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

  it('is asked about on leaving from the moment it changes until it is stored', async () => {
    const store = await open(memoryStorage());
    store.dispatch(draftKept({ of: 'new', draft: draft('One') }));
    store.dispatch(draftKept({ of: 'new', draft: draft('Two') }));
    expect(selectUnkept(store.getState())).toEqual(['drafts']);
    await settle();
    expect(selectUnkept(store.getState())).toEqual([]);
  });

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
