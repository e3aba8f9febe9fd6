import { calendarDay } from '@/core/base/measures';
import { demoRecords } from '@/core/lab/simulation';
import type { StoredRecord } from '@/core/records/shapes';
import type { OtherTab } from './recordStorage';
import { memoryStorage, opened, over, settle, type Memory } from './testing/memoryStorage';
import {
  dryingStarted,
  headChosen,
  lineWeighed,
  makeStore,
  allDone,
  makingEnded,
  makingStarted,
  recordsAdded,
  recordsTaken,
  saveRetried,
  selectAllRecords,
  selectDamaged,
  selectHeads,
  selectLarder,
  selectMaking,
  selectPrefs,
  selectProblem,
  selectRecipes,
  selectStatus,
  selectUnderway,
  selectUnsaved,
  startPersistence,
  stepDone,
  tapped,
  waterAdded,
} from '.';

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
    again.dispatch(allDone({ steps: 3 }));
    expect(selectMaking(again.getState())?.done).toEqual(['0', '1', '2']);
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
