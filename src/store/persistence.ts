import type { Agreed } from '@/core/agenda';
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import { t } from '@/core/language';
import {
  lineWeighed,
  makingEnded,
  makingLoaded,
  makingStarted,
  readMaking,
  selectMaking,
  stepDone,
  waterAdded,
  type MakingRun,
} from './makingSlice';
import { headChosen, prefsChanged, prefsLoaded, readPrefs, selectPrefs, type Prefs } from './prefsSlice';
import {
  recordsAdded,
  recordsLoaded,
  recordsReplaced,
  recordsSaved,
  recordsSeen,
  saveFailed,
  saveRetried,
  storageBlocked,
  type RecordsRoot,
} from './recordsSlice';
import { draftDropped, draftKept, draftsLoaded, readDrafts, selectDrafts } from './draftsSlice';
import { agreedLoaded, planAgreed, planNoteSeen, readAgreed, selectAgreed } from './agreedSlice';
import { ofKind, type StoredRecord } from '@/core/exchange';
import { liveRecords } from '@/core/measures';
import type { KeptKey, LoadedRecords, RecordStorage } from './recordStorage';
import { readWash, selectAllWashRuns, washClosed, washHappened, washLoaded, washStarted } from './washSlice';
import {
  dryingStarted,
  readUnderway,
  selectAllUnderway,
  strandDropped,
  strandTaken,
  tapped,
  underwayEnded,
  underwayLoaded,
  untapped,
} from './underwaySlice';

type Root = RecordsRoot & {
  readonly prefs: Prefs;
  readonly making: MakingRun | null;
  readonly underway: ReturnType<typeof readUnderway>;
  readonly agreed: Agreed;
  readonly drafts: ReturnType<typeof selectDrafts>;
  readonly wash: ReturnType<typeof readWash>;
};

const FULL = t`The browser has no room left to save. Export everything now, then free some space and try again.`;
const BLOCKED = t`The browser does not let this page save. What you enter stays only while the page is open: export it before you leave.`;

/** Why something could not be stored, and what to do. */
export function saveMessage(error: unknown): string {
  const text = String((error as Error | undefined)?.message ?? error);
  return /quota|full|disk/i.test(text)
    ? FULL
    : t`Saving failed (${text}). Export everything to be safe, then try again.`;
}

/** Stores what is added, one write after the other, and says when a write fails. */
export function persistenceMiddleware(storage: RecordStorage) {
  const listener = createListenerMiddleware<Root>();
  let writes: Promise<void> = Promise.resolve();

  listener.startListening({
    matcher: isAnyOf(recordsAdded, saveRetried),
    effect: (_, api) => {
      const write = async () => {
        const { unsaved, entities } = api.getState().records;
        const records = unsaved.flatMap((id) => entities[id] ?? []);
        if (records.length === 0) return;
        try {
          await storage.append(records);
          api.dispatch(recordsSaved(records.map((record) => record.id)));
        } catch (error) {
          api.dispatch(saveFailed(saveMessage(error)));
        }
      };
      // A second add waits for the first, then stores all that is still unsaved.
      writes = writes.then(write);
      return writes;
    },
  });

  listener.startListening({
    matcher: isAnyOf(headChosen, prefsChanged),
    effect: (_, api) =>
      kept(api, () => storage.saveKept('prefs', JSON.stringify(selectPrefs(api.getState())))),
  });

  listener.startListening({
    matcher: isAnyOf(makingStarted, stepDone, lineWeighed, waterAdded, makingEnded),
    effect: (_, api) =>
      kept(api, () => storage.saveKept('making', JSON.stringify(selectMaking(api.getState())))),
  });

  listener.startListening({
    matcher: isAnyOf(tapped, untapped, strandTaken, strandDropped, dryingStarted, underwayEnded),
    effect: (_, api) =>
      kept(api, () => storage.saveKept('underway', JSON.stringify(selectAllUnderway(api.getState())))),
  });

  listener.startListening({
    matcher: isAnyOf(planAgreed, planNoteSeen),
    effect: (_, api) =>
      kept(api, () => storage.saveKept('agreed', JSON.stringify(selectAgreed(api.getState())))),
  });

  listener.startListening({
    matcher: isAnyOf(washStarted, washHappened, washClosed),
    effect: (_, api) =>
      kept(api, () => storage.saveKept('wash', JSON.stringify(selectAllWashRuns(api.getState())))),
  });

  listener.startListening({
    matcher: isAnyOf(draftKept, draftDropped),
    effect: (_, api) =>
      kept(api, () => storage.saveKept('drafts', JSON.stringify(selectDrafts(api.getState())))),
  });

  return listener.middleware;
}

async function kept(api: Dispatching, save: () => Promise<void>): Promise<void> {
  try {
    await save();
  } catch (error) {
    api.dispatch(saveFailed(saveMessage(error)));
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
    store.dispatch(prefsLoaded(readPrefs(await storage.loadKept('prefs'))));
    await Promise.all(SHARED.map((key) => keptLoaded(store, storage, key)));
    store.dispatch(draftsLoaded(readDrafts(await storage.loadKept('drafts'))));
    store.dispatch(agreedLoaded(readAgreed(await storage.loadKept('agreed'))));
    const erased = picturesTakenBack(loaded.records);
    const records = loaded.records.filter(({ id }) => !erased.has(id));
    store.dispatch(recordsLoaded({ ...loaded, records }));
    // Her pictures are hers: one that was taken back does not lie about. If it fails, the next start tries again.
    if (erased.size > 0) await storage.erase([...erased]).catch(() => undefined);
  } catch {
    store.dispatch(storageBlocked(BLOCKED));
  }
  return storage.onOtherTab((news) => {
    if (news.what === 'records') store.dispatch(recordsSeen(news.records));
    else if (news.what === 'anew') void loadedAnew(store, storage);
    else if (isShared(news.key)) void keptLoaded(store, storage, news.key);
  });
}

/** What is under way in one tab is under way in the other; what each shows is its own. */
const SHARED = ['making', 'underway', 'wash'] as const;
const isShared = (key: KeptKey): key is (typeof SHARED)[number] => SHARED.some((shared) => shared === key);

async function keptLoaded(
  store: Dispatching,
  storage: RecordStorage,
  key: (typeof SHARED)[number],
): Promise<void> {
  const text = await storage.loadKept(key);
  if (key === 'making') store.dispatch(makingLoaded(readMaking(text)));
  else if (key === 'underway') store.dispatch(underwayLoaded(readUnderway(text)));
  else store.dispatch(washLoaded(readWash(text)));
}

/** Another tab has put other records in the place of these. */
async function loadedAnew(store: Dispatching, storage: RecordStorage): Promise<void> {
  try {
    const { records } = await storage.loadRecords();
    store.dispatch(recordsReplaced(records));
    await Promise.all(SHARED.map((key) => keptLoaded(store, storage, key)));
  } catch (error) {
    store.dispatch(saveFailed(saveMessage(error)));
  }
}

/** Entries that cannot be read are looked for in the copies, the newest first; a record never changes, so any copy will do. */
async function healedFromCopies(
  { records, damaged }: LoadedRecords,
  storage: RecordStorage,
): Promise<{ readonly records: readonly StoredRecord[]; readonly damaged: number; readonly healed: number }> {
  if (damaged.length === 0) return { records, damaged: 0, healed: 0 };
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
  return { records: [...records, ...found], damaged: wanted.size, healed: found.length };
}
