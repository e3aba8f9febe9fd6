import type { Agreed } from '@/core/agenda';
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
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
import {
  cupChosen,
  headChosen,
  prefsLoaded,
  aloudChosen,
  rulerCalibrated,
  readPrefs,
  selectPrefs,
  soundChosen,
  themeChosen,
  viewChosen,
  type Prefs,
} from './prefsSlice';
import {
  recordsAdded,
  recordsLoaded,
  recordsSaved,
  recordsSeen,
  saveFailed,
  saveRetried,
  storageBlocked,
  type RecordsRoot,
} from './recordsSlice';
import { agreedLoaded, planAgreed, planNoteSeen, readAgreed, selectAgreed } from './agreedSlice';
import { ofKind, type StoredRecord } from '@/core/exchange';
import { liveRecords } from '@/core/measures';
import type { RecordStorage } from './recordStorage';
import { readWash, selectWashRuns, washClosed, washHappened, washLoaded, washStarted } from './washSlice';
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
  readonly wash: ReturnType<typeof readWash>;
};

const FULL =
  'The browser has no room left to save. Export everything now, then free some space and try again.';
const BLOCKED =
  'The browser does not let this page save. What you enter stays only while the page is open: export it before you leave.';

function saveMessage(error: unknown): string {
  const text = String((error as Error | undefined)?.message ?? error);
  return /quota|full|disk/i.test(text)
    ? FULL
    : `Saving failed (${text}). Export everything to be safe, then try again.`;
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
    matcher: isAnyOf(
      themeChosen,
      headChosen,
      cupChosen,
      viewChosen,
      rulerCalibrated,
      soundChosen,
      aloudChosen,
    ),
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
      kept(api, () => storage.saveKept('wash', JSON.stringify(selectWashRuns(api.getState())))),
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
    const [loaded, prefs, making, underway, agreed, wash] = await Promise.all([
      storage.loadRecords(),
      storage.loadKept('prefs'),
      storage.loadKept('making'),
      storage.loadKept('underway'),
      storage.loadKept('agreed'),
      storage.loadKept('wash'),
    ]);
    store.dispatch(prefsLoaded(readPrefs(prefs)));
    store.dispatch(makingLoaded(readMaking(making)));
    store.dispatch(underwayLoaded(readUnderway(underway)));
    store.dispatch(agreedLoaded(readAgreed(agreed)));
    store.dispatch(washLoaded(readWash(wash)));
    const erased = picturesTakenBack(loaded.records);
    const records = loaded.records.filter(({ id }) => !erased.has(id));
    store.dispatch(recordsLoaded({ records, damaged: loaded.damaged }));
    // Her pictures are hers: one that was taken back does not lie about. If it fails, the next start tries again.
    if (erased.size > 0) await storage.erase([...erased]).catch(() => undefined);
  } catch {
    store.dispatch(storageBlocked(BLOCKED));
  }
  return storage.onOtherTab((records) => store.dispatch(recordsSeen(records)));
}
