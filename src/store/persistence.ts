import { createListenerMiddleware, type UnknownAction } from '@reduxjs/toolkit';
import type { Agreed } from '@/core/plan/agenda';
import { liveRecords } from '@/core/records/log';
import { ofKind, type StoredRecord } from '@/core/records/shapes';
import { agreedLoaded, readAgreed, selectAgreed } from './agreedSlice';
import { draftsLoaded, readDrafts, selectDrafts } from './draftsSlice';
import { makingLoaded, readMaking, selectMaking, type MakingRun } from './makingSlice';
import { personLoaded, readNewPerson, selectNewPerson, type NewPerson } from './personSlice';
import { prefsLoaded, readPrefs, selectPrefs, type Prefs } from './prefsSlice';
import {
  keptChanged,
  keptFailed,
  keptSaved,
  recordsAdded,
  recordsLoaded,
  recordsReplaced,
  recordsSaved,
  recordsSeen,
  recordsTaken,
  saveFailed,
  saveRetried,
  storageBlocked,
  storeLost,
  type RecordsRoot,
} from './recordsSlice';
import type { KeptKey, LoadedRecords, RecordStorage } from './recordStorage';
import { saveMessage, storageProblemIn, wordsOf } from './storageProblem';
import { readUnderway, selectAllUnderway, underwayLoaded } from './underwaySlice';
import { readWash, selectAllWashRuns, washLoaded } from './washSlice';

type Root = RecordsRoot & {
  readonly prefs: Prefs;
  readonly making: MakingRun | null;
  readonly underway: ReturnType<typeof readUnderway>;
  readonly agreed: Agreed;
  readonly drafts: ReturnType<typeof selectDrafts>;
  readonly person: NewPerson;
  readonly wash: ReturnType<typeof readWash>;
};

/** A part of the state that is kept as one entry beside the records. */
interface Kept<State> {
  readonly select: (root: Root) => State;
  readonly read: (text: string | null) => State;
  readonly loaded: (state: State) => UnknownAction;
  /** What is under way in one tab is under way in the other; what each shows is its own. */
  readonly followed: boolean;
}
const kept = <State>(each: Kept<State>) => each as Kept<unknown>;

/** Everything that is kept beside the records: which part of the state, and how it comes back. */
const KEPT: Readonly<Record<KeptKey, Kept<unknown>>> = {
  prefs: kept({ select: selectPrefs, read: readPrefs, loaded: prefsLoaded, followed: false }),
  making: kept({ select: selectMaking, read: readMaking, loaded: makingLoaded, followed: true }),
  underway: kept({ select: selectAllUnderway, read: readUnderway, loaded: underwayLoaded, followed: true }),
  agreed: kept({ select: selectAgreed, read: readAgreed, loaded: agreedLoaded, followed: false }),
  wash: kept({ select: selectAllWashRuns, read: readWash, loaded: washLoaded, followed: true }),
  drafts: kept({ select: selectDrafts, read: readDrafts, loaded: draftsLoaded, followed: false }),
  person: kept({ select: selectNewPerson, read: readNewPerson, loaded: personLoaded, followed: false }),
};
const KEPT_KEYS = Object.keys(KEPT) as KeptKey[];
const LOADED = new Set(KEPT_KEYS.map((key) => KEPT[key].loaded({} as never).type));

type Entries = Readonly<Record<string, unknown>>;
const isEntries = (value: unknown): value is Entries => typeof value === 'object' && value !== null;

/** Names of what differs between two states of one part. */
function changedIn(before: unknown, after: unknown): string[] {
  const [a, b] = [isEntries(before) ? before : {}, isEntries(after) ? after : {}];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((name) => a[name] !== b[name]);
}

/** Stores what is added and what is under way, one write after the other, and says when a write fails. */
export function persistenceMiddleware(storage: RecordStorage) {
  const listener = createListenerMiddleware<Root>();
  let writes: Promise<void> = Promise.resolve();
  const next = (write: () => Promise<void>) => (writes = writes.then(write));

  listener.startListening({
    predicate: (action) =>
      recordsAdded.match(action) || recordsTaken.match(action) || saveRetried.match(action),
    // A second add waits for the first, then stores all that is still unsaved.
    effect: (_, api) => next(() => recordsWritten(api, storage)),
  });

  /** What this tab has changed of each part and not stored yet: the rest may be another tab's. */
  const changed = new Map<KeptKey, Set<string>>();
  listener.startListening({
    predicate: (action, now, before) =>
      saveRetried.match(action) ||
      (!LOADED.has(action.type) &&
        KEPT_KEYS.some((key) => KEPT[key].select(now) !== KEPT[key].select(before))),
    effect: (action, api) => {
      for (const key of KEPT_KEYS) {
        const { select } = KEPT[key];
        const [before, now] = [select(api.getOriginalState()), select(api.getState())];
        const isWaiting = saveRetried.match(action) && api.getState().records.unkept.includes(key);
        if (before !== now) {
          changed.set(key, new Set([...(changed.get(key) ?? []), ...changedIn(before, now)]));
          api.dispatch(keptChanged(key));
        }
        if (before !== now || isWaiting) void next(() => keptWritten(api, storage, key, changed));
      }
      return writes;
    },
  });

  return listener.middleware;
}

interface Writing {
  readonly dispatch: (action: UnknownAction) => unknown;
  readonly getState: () => Root;
}

async function recordsWritten({ dispatch, getState }: Writing, storage: RecordStorage): Promise<void> {
  const { unsaved, entities } = getState().records;
  const records = unsaved.flatMap((id) => entities[id] ?? []);
  if (records.length === 0) return;
  try {
    await storage.append(records);
    dispatch(recordsSaved(records.map((record) => record.id)));
    // A database that was opened again may be an empty one: what it had is stored once more when she says so.
    const here = getState().records;
    const wanted = Object.keys(here.entities).length - here.unsaved.length;
    if (storage.wasReopened() && (await storage.countRecords()) < wanted)
      dispatch(storeLost(wordsOf('lost')));
  } catch (error) {
    dispatch(saveFailed(await saveMessage(error)));
  }
}

async function keptWritten(
  { dispatch, getState }: Writing,
  storage: RecordStorage,
  key: KeptKey,
  changed: Map<KeptKey, Set<string>>,
): Promise<void> {
  const { select, read } = KEPT[key];
  const names = changed.get(key) ?? new Set();
  try {
    await storage.saveKept(key, (stored) => {
      const mine = select(getState());
      const theirs = stored === null ? null : read(stored);
      if (!isEntries(mine) || !isEntries(theirs) || key === 'making') return JSON.stringify(mine);
      // Entry by entry: what this tab did not touch stays as the last tab left it.
      const merged = new Map(Object.entries(theirs));
      for (const name of names) {
        if (Object.hasOwn(mine, name)) merged.set(name, mine[name]);
        else merged.delete(name);
      }
      return JSON.stringify(Object.fromEntries(merged));
    });
    // What has changed since has a write of its own.
    if (changed.has(key) && changed.get(key) !== names) return;
    changed.delete(key);
    dispatch(keptSaved(key));
  } catch (error) {
    dispatch(keptFailed({ key, problem: await saveMessage(error) }));
  }
}

interface Dispatching {
  dispatch(action: { type: string }): unknown;
}

function picturesTakenBack(records: readonly StoredRecord[]): ReadonlySet<string> {
  const photos = ofKind(records, 'photo');
  if (photos.length === 0) return new Set();
  const live = new Set(liveRecords(records).map(({ id }) => id));
  return new Set(photos.filter(({ id }) => !live.has(id)).map(({ id }) => id));
}

/** Brings what is stored into the store and keeps it in step with other tabs. @returns a function that ends it */
export async function startPersistence(store: Dispatching, storage: RecordStorage): Promise<() => void> {
  try {
    const loaded = await healedFromCopies(await storage.loadRecords(), storage);
    for (const key of KEPT_KEYS) await keptLoaded(store, storage, key);
    const erased = picturesTakenBack(loaded.records);
    const records = loaded.records.filter(({ id }) => !erased.has(id));
    store.dispatch(recordsLoaded({ ...loaded, records }));
    // Her pictures are hers: one that was taken back does not lie about. If it fails, the next start tries again.
    if (erased.size > 0) await storage.erase([...erased]).catch(() => undefined);
  } catch (error) {
    store.dispatch(storageBlocked(wordsOf(storageProblemIn(error) === 'newer' ? 'newer' : 'blocked')));
  }
  return storage.onOtherTab((news) => {
    if (news.what === 'records') store.dispatch(recordsSeen(news.records));
    else if (news.what === 'anew') void loadedAnew(store, storage);
    else if (KEPT[news.key].followed) void keptLoaded(store, storage, news.key);
  });
}

async function keptLoaded(store: Dispatching, storage: RecordStorage, key: KeptKey): Promise<void> {
  const { read, loaded } = KEPT[key];
  store.dispatch(loaded(read(await storage.loadKept(key))));
}

/** Another tab has put other records in the place of these. */
async function loadedAnew(store: Dispatching, storage: RecordStorage): Promise<void> {
  try {
    const { records } = await storage.loadRecords();
    store.dispatch(recordsReplaced(records));
    for (const key of KEPT_KEYS) if (KEPT[key].followed) await keptLoaded(store, storage, key);
  } catch (error) {
    store.dispatch(saveFailed(await saveMessage(error)));
  }
}

/** Entries that cannot be read are looked for in the copies, the newest first; a record never changes, so any copy will do. */
async function healedFromCopies(
  { records, damaged, newer }: LoadedRecords,
  storage: RecordStorage,
): Promise<{
  readonly records: readonly StoredRecord[];
  readonly damaged: number;
  readonly healed: number;
  readonly newer: number;
}> {
  if (damaged.length === 0) return { records, damaged: 0, healed: 0, newer };
  const wanted = new Set(damaged);
  const found: StoredRecord[] = [];
  try {
    for (const { id } of [...(await storage.copies())].reverse()) {
      if (wanted.size === 0) break;
      for (const record of await storage.copied(id)) if (wanted.delete(record.id)) found.push(record);
    }
    if (found.length > 0) await storage.heal(found);
  } catch {
    // Without its copies the store is as it was: what cannot be read stays where it is, and is said.
  }
  return { records: [...records, ...found], damaged: wanted.size, healed: found.length, newer };
}
