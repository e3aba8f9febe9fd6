import { createSelector, createSlice, original, type Draft, type PayloadAction } from '@reduxjs/toolkit';
import { headsIn, historyFrom, larderOf } from '@/core/hair/history';
import { pantryOf } from '@/core/kitchen/pantry';
import { inOrder, latestStamp, liveRecords, stampAfter } from '@/core/records/log';
import { ofKind, type StoredRecord } from '@/core/records/shapes';
import type { KeptKey } from './recordStorage';

interface RecordsState {
  /** By id. */
  readonly entities: Readonly<Record<string, StoredRecord>>;
  readonly status: 'loading' | 'ready' | 'blocked';
  /** Written in this tab, not yet known to be stored. */
  readonly unsaved: readonly string[];
  /** Why the last write or read failed; null when all is well. */
  readonly problem: string | null;
  /** Stored entries that can neither be read nor were found in a copy. */
  readonly damaged: number;
  /** Those that were taken from a copy at the last start. */
  readonly healed: number;
  /** Stored by a newer version of the application: left where they are. */
  readonly newer: number;
  /** The newest moment of writing of all that is here; undefined where there is nothing. */
  readonly latest: string | undefined;
  /** Entries beside the records that are not stored yet as they are now. */
  readonly unkept: readonly KeptKey[];
}

type Loaded = Pick<RecordsState, 'damaged' | 'healed' | 'newer'> & {
  readonly records: readonly StoredRecord[];
};

const initialState: RecordsState = {
  entities: {},
  status: 'loading',
  unsaved: [],
  problem: null,
  damaged: 0,
  healed: 0,
  newer: 0,
  latest: undefined,
  unkept: [],
};

/**
 * The state with records that it does not have yet. Written without drafts, and with records frozen as they come: a store
 * of ten thousand would otherwise be walked through property by property.
 */
function withRecords(state: RecordsState, records: readonly StoredRecord[]): RecordsState {
  const entities = { ...state.entities };
  for (const record of records)
    if (!Object.hasOwn(entities, record.id)) entities[record.id] = Object.freeze(record);
  return { ...state, entities, latest: later(state.latest, latestStamp(records)) };
}

function later(a: string | undefined, b: string | undefined): string | undefined {
  if (a === undefined || b === undefined) return a ?? b;
  return stampAfter(a, b) === b ? b : a;
}

/** New records, written after everything that is here, whatever the clock of this device says. */
function written(records: readonly StoredRecord[], latest: string | undefined): StoredRecord[] {
  let last = latest;
  return records.map((record) => {
    const recordedAt = stampAfter(latest, record.recordedAt);
    if (recordedAt === record.recordedAt) return record;
    last = stampAfter(last, record.recordedAt);
    return { ...record, recordedAt: last };
  });
}

/** The state with records that are not stored yet. */
function withUnsaved(before: RecordsState, records: readonly StoredRecord[]): RecordsState {
  const fresh = records.filter(({ id }) => !Object.hasOwn(before.entities, id));
  return { ...withRecords(before, fresh), unsaved: [...before.unsaved, ...fresh.map(({ id }) => id)] };
}

/** The state behind a draft; a reducer that returns a new one needs nothing else. */
function plain(state: Draft<RecordsState>): RecordsState {
  return original(state) ?? (state as RecordsState);
}

export const recordsSlice = createSlice({
  name: 'records',
  initialState,
  reducers: {
    recordsLoaded(state, { payload }: PayloadAction<Loaded>) {
      const { records, damaged, healed, newer } = payload;
      return { ...withRecords(plain(state), records), status: 'ready', damaged, healed, newer };
    },
    /** All records of before are gone; what was not stored yet in this tab stays. */
    recordsReplaced(state, { payload }: PayloadAction<readonly StoredRecord[]>) {
      const before = plain(state);
      const waiting = before.unsaved.flatMap((id) => before.entities[id] ?? []);
      return withRecords({ ...before, entities: {}, latest: undefined }, [...payload, ...waiting]);
    },
    /** The storage cannot be read at all: the app works on, from memory, and says so. */
    storageBlocked(state, action: PayloadAction<string>) {
      state.status = 'blocked';
      state.problem = action.payload;
    },
    /** New records from this tab; the persistence listener stores them. */
    recordsAdded(state, action: PayloadAction<readonly StoredRecord[]>) {
      const before = plain(state);
      return withUnsaved(before, written(action.payload, before.latest));
    },
    /** Records that come from elsewhere, as they were written there: a file, a copy, the demo. */
    recordsTaken(state, action: PayloadAction<readonly StoredRecord[]>) {
      return withUnsaved(plain(state), action.payload);
    },
    /** Records that another tab has stored already. */
    recordsSeen(state, action: PayloadAction<readonly StoredRecord[]>) {
      return withRecords(plain(state), action.payload);
    },
    recordsSaved(state, action: PayloadAction<readonly string[]>) {
      const saved = new Set(action.payload);
      state.unsaved = state.unsaved.filter((id) => !saved.has(id));
      if (state.unkept.length === 0) state.problem = null;
    },
    /** An entry beside the records has changed and is on its way into the store. */
    keptChanged(state, { payload }: PayloadAction<KeptKey>) {
      if (!state.unkept.includes(payload)) state.unkept.push(payload);
    },
    /** An entry beside the records is stored. */
    keptSaved(state, { payload }: PayloadAction<KeptKey>) {
      if (!state.unkept.includes(payload)) return;
      state.unkept = state.unkept.filter((key) => key !== payload);
      if (state.unkept.length + state.unsaved.length === 0) state.problem = null;
    },
    keptFailed(state, { payload }: PayloadAction<{ readonly key: KeptKey; readonly problem: string }>) {
      state.problem = payload.problem;
      if (!state.unkept.includes(payload.key)) state.unkept = [...state.unkept, payload.key];
    },
    /** What was stored is gone from the browser; all of it is still here, and is to be stored again. */
    storeLost(state, { payload }: PayloadAction<string>) {
      const before = plain(state);
      return { ...before, unsaved: Object.keys(before.entities), problem: payload };
    },
    saveFailed(state, action: PayloadAction<string>) {
      state.problem = action.payload;
    },
    saveRetried() {
      // Only the persistence listener acts on it.
    },
  },
});

export const {
  recordsLoaded,
  recordsReplaced,
  storageBlocked,
  recordsAdded,
  recordsTaken,
  recordsSeen,
  recordsSaved,
  keptChanged,
  keptSaved,
  keptFailed,
  storeLost,
  saveFailed,
  saveRetried,
} = recordsSlice.actions;

export interface RecordsRoot {
  readonly records: typeof initialState;
}

export const isSameRecords = (a: readonly StoredRecord[], b: readonly StoredRecord[]) =>
  a.length === b.length && a.every((record, index) => record === b[index]);

/** A selector's records stay one and the same list while they are the same: a reading does not put recipes in order again. */
export const unlessSame = { memoizeOptions: { resultEqualityCheck: isSameRecords } };

/** All records in the order of writing, withdrawn and corrected ones among them: what a backup holds. */
export const selectAllRecords = createSelector([(root: RecordsRoot) => root.records.entities], (entities) =>
  inOrder(Object.values(entities)),
);

/** The records that count today. */
export const selectLiveRecords = createSelector([selectAllRecords], (records) => liveRecords(records));

export const selectHeads = createSelector(
  [selectAllRecords, selectLiveRecords],
  (all, live) => headsIn(all, live),
  unlessSame,
);

const inLarder = (records: readonly StoredRecord[]) =>
  records.filter(({ kind }) => kind === 'recipe' || kind === 'ingredient' || kind === 'science');
const selectLarderRecords = createSelector([selectAllRecords], inLarder, unlessSame);
const selectLiveLarderRecords = createSelector([selectLiveRecords], inLarder, unlessSame);

/** Records that recipes can be made of: all, those taken back too, and those that count. */
export const selectLarderContents = createSelector(
  [selectLarderRecords, selectLiveLarderRecords],
  (all, live) => ({ all, live }),
);

/** Everything recipes can be made of. */
export const selectLarder = createSelector([selectLarderRecords, selectLiveLarderRecords], larderOf);

export const selectRecipes = createSelector([selectLarder], (larder) => larder.recipes);

/** What is known of one head, computed once for everything that asks. */
export const selectHistory = createSelector(
  [selectLiveRecords, selectLarder, (_: RecordsRoot, headId: string) => headId],
  historyFrom,
);

/** What is in the pantry, by ingredient. */
export const selectPantry = createSelector([selectLiveRecords], (records) =>
  pantryOf(ofKind(records, 'pantry')),
);

export const selectOwnIngredients = createSelector([selectLiveRecords], (records) =>
  ofKind(records, 'ingredient'),
);

export const selectStatus = (root: RecordsRoot) => root.records.status;
export const selectProblem = (root: RecordsRoot) => root.records.problem;
export const selectDamaged = (root: RecordsRoot) => root.records.damaged;
export const selectHealed = (root: RecordsRoot) => root.records.healed;
export const selectNewer = (root: RecordsRoot) => root.records.newer;
export const selectUnsaved = (root: RecordsRoot) => root.records.unsaved;
export const selectUnkept = (root: RecordsRoot) => root.records.unkept;
