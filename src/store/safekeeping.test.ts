import { BroadcastChannel } from 'node:worker_threads';
import { calendarDay } from '@/core/base/measures';
import { demoRecords } from '@/core/lab/simulation';
import {
  STAMP,
  testHead,
  testReading,
  testSession,
  testWashRun,
  testWashStep,
  valueOf,
} from '@/core/lab/testing';
import type { StoredRecord } from '@/core/records/shapes';
import { memoryStorage, opened, settle, type Memory } from './testing/memoryStorage';
import { selectAllWashRuns } from './washSlice';
import {
  copiesListed,
  copyKept,
  copyLookedAt,
  everythingDeleted,
  everythingReplaced,
  recordsAdded,
  selectAllRecords,
  selectDamaged,
  selectHealed,
  selectUnsaved,
  washStarted,
} from '.';

/** Tabs hear one another through the browser; here through the same thing of node. */
class Channel extends BroadcastChannel {
  constructor(name: string) {
    super(name);
    // An open channel would keep the process.
    this.unref();
  }
}
beforeAll(() => Object.assign(globalThis, { BroadcastChannel: Channel }));

const ended: (() => void)[] = [];
afterEach(() => ended.splice(0).forEach((end) => end()));
const open = (memory: Memory) => opened(memory, ended);

const day = calendarDay('2026-05-10');
const head = testHead();
const records: StoredRecord[] = [head, testReading(day, { feel: 1 }), testSession('oat', day)];
const photo: StoredRecord = {
  ...STAMP,
  kind: 'photo',
  id: 'photo',
  headId: 'h',
  day,
  moment: 'before',
  place: 'crown',
  widthPx: 10,
  heightPx: 10,
  jpeg: '/9j/AAAA',
};
const others: StoredRecord[] = [testHead({ id: 'k', headId: 'k', name: 'Bo' })];
const NOW = '2026-05-13T20:00:00.000Z';
const stamp = (id: string, now = NOW) => ({ id, now });
type Store = Awaited<ReturnType<typeof open>>;
const ids = (store: Store) => selectAllRecords(store.getState()).map(({ id }) => id);

async function filled(memory: Memory, all = records): Promise<Store> {
  const store = await open(memory);
  store.dispatch(recordsAdded(all));
  await settle();
  return store;
}

describe('a copy of the day', () => {
  it('is kept once a day, without pictures, and can be looked into', async () => {
    const store = await filled(memoryStorage(), [...records, photo]);
    valueOf(await store.dispatch(copyKept(stamp('one'))));
    expect(valueOf(await store.dispatch(copyKept(stamp('two'))))).toBeNull();
    const [copy, ...more] = await store.dispatch(copiesListed());
    expect([copy?.id, copy?.records, more]).toEqual(['one', 3, []]);
    if (!copy) throw new Error('there is a copy');
    expect(valueOf(await store.dispatch(copyLookedAt(copy)))).toMatchObject({ missing: [] });
  });

  it('is none where the browser lets nobody look', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    memory.getItem = () => Promise.reject(new Error('Access is denied.'));
    expect(await store.dispatch(copiesListed())).toEqual([]);
    expect((await store.dispatch(copyKept(stamp('one')))).ok).toBe(false);
  });

  it('of nothing is none', async () => {
    const store = await open(memoryStorage());
    expect(valueOf(await store.dispatch(copyKept(stamp('one'))))).toBeNull();
  });

  it('heals an entry that cannot be read any more; the unreadable text is put aside', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    await store.dispatch(copyKept(stamp('one')));
    memory.entries.set('record/h', '{"v":5,"rec');
    const again = await open(memory);
    expect([selectHealed(again.getState()), selectDamaged(again.getState())]).toEqual([1, 0]);
    expect(ids(again).sort()).toEqual(records.map(({ id }) => id).sort());
    expect(memory.entries.get('damaged/record/h')).toBe('{"v":5,"rec');
    const third = await open(memory);
    expect(selectHealed(third.getState())).toBe(0);
  });

  it('that is damaged itself heals what it can', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    await store.dispatch(copyKept(stamp('one')));
    memory.entries.set('copy/one', (memory.entries.get('copy/one') ?? '').replace('"Ada"', '"Ada'));
    memory.entries.set('record/h', 'no');
    memory.entries.set(`record/session-oat-${day}`, 'no');
    const again = await open(memory);
    expect([selectHealed(again.getState()), selectDamaged(again.getState())]).toEqual([1, 1]);
  });

  it('says so where there is no room for it, and harms nothing', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    memory.failWith = 'QuotaExceededError';
    const result = await store.dispatch(copyKept(stamp('one')));
    expect(!result.ok && result.problems[0].message).toContain('no room left');
    expect(ids(await open(memory))).toHaveLength(3);
  });
});

describe('replacing everything', () => {
  it('leaves these records and no others, and a copy of what was there, pictures too', async () => {
    const memory = memoryStorage();
    const store = await filled(memory, [...records, photo]);
    valueOf(await store.dispatch(everythingReplaced(others, stamp('before'))));
    expect(ids(store)).toEqual(['k']);
    expect(ids(await open(memory))).toEqual(['k']);
    const [copy] = await store.dispatch(copiesListed());
    if (!copy) throw new Error('there is a copy');
    const looked = valueOf(await store.dispatch(copyLookedAt(copy)));
    expect(looked.missing.map(({ id }) => id).sort()).toEqual([...records, photo].map(({ id }) => id).sort());
    // And back again.
    valueOf(
      await store.dispatch(everythingReplaced(looked.records, stamp('back', '2026-05-13T21:00:00.000Z'))),
    );
    expect(ids(await open(memory)).sort()).toEqual([...records, photo].map(({ id }) => id).sort());
  });

  it('that finds no room changes nothing', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    memory.failWith = 'QuotaExceededError';
    expect((await store.dispatch(everythingReplaced(others, stamp('before')))).ok).toBe(false);
    memory.failWith = null;
    expect(ids(store)).toHaveLength(3);
    expect(ids(await open(memory))).toHaveLength(3);
  });

  it('waits for what is not stored yet', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    memory.failWith = 'QuotaExceededError';
    store.dispatch(recordsAdded(others));
    await settle();
    expect(selectUnsaved(store.getState())).toEqual(['k']);
    const result = await store.dispatch(everythingReplaced([], stamp('before')));
    expect(!result.ok && result.problems[0].code).toBe('unsaved');
  });

  it('that was cut off between writing and clearing up is finished at the next start', async () => {
    const memory = memoryStorage();
    const store = await filled(memory);
    const { removeMany } = memory;
    memory.removeMany = () => Promise.reject(new Error('the page was closed'));
    await store.dispatch(everythingReplaced(others, stamp('before')));
    memory.removeMany = removeMany;
    expect(ids(await open(memory))).toEqual(['k']);
    expect(memory.entries.has('leaving')).toBe(false);
  });
});

describe('two tabs', () => {
  it('share what is under way, and follow when everything is replaced or deleted', async () => {
    const memory = memoryStorage();
    const one = await filled(memory);
    const two = await open(memory);
    one.dispatch(washStarted(testWashRun([testWashStep('detangle', 10)])));
    await heard(() => selectAllWashRuns(two.getState()).h !== undefined);
    await one.dispatch(everythingReplaced(others, stamp('before')));
    await heard(() => ids(two).join() === 'k');
    valueOf(await two.dispatch(everythingDeleted()));
    await heard(() => ids(one).length === 0);
    expect([...memory.entries.keys()]).toEqual([]);
  });

  it('what one of them writes while the other replaces everything is not lost', async () => {
    const memory = memoryStorage();
    const one = await filled(memory, demoRecords(day).slice(0, 5));
    const two = await open(memory);
    two.dispatch(recordsAdded(others));
    await settle();
    await one.dispatch(everythingReplaced(records, stamp('before')));
    two.dispatch(recordsAdded([photo]));
    await heard(() => ids(one).includes('photo'));
    expect(ids(await open(memory))).toContain('photo');
  });
});

/** Tabs hear from one another a moment later. */
async function heard(what: () => boolean): Promise<void> {
  for (let tries = 0; tries < 200 && !what(); tries++) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(what()).toBe(true);
}
