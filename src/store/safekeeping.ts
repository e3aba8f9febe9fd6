import { t } from '@lingui/core/macro';
import { failed, ok, type Result } from '@/core/base/measures';
import { copiesToDrop, isCopyDue, mergeRecords, type Copy, type Merge } from '@/core/records/files';
import type { StoredRecord } from '@/core/records/shapes';
import { recordsReplaced, selectAllRecords, type RecordsRoot } from './recordsSlice';
import type { RecordStorage } from './recordStorage';
import { saveMessage } from './storageProblem';

interface Stamp {
  readonly id: string;
  readonly now: string;
}
type Step<T> = (
  dispatch: (action: { readonly type: string }) => unknown,
  getState: () => RecordsRoot,
  storage: RecordStorage,
) => Promise<T>;

/** Keeps a copy of the day, if there is none; pictures are left out, they would fill the store. */
export const copyKept =
  ({ id, now }: Stamp): Step<Result<Copy | null>> =>
  async (_, getState, storage) => {
    const records = selectAllRecords(getState()).filter(({ kind }) => kind !== 'photo');
    return trying(async () => {
      const copies = await storage.copies();
      if (records.length === 0 || !isCopyDue(copies, now)) return null;
      return keep(storage, copies, { id, takenAt: now, records: records.length, why: 'daily' }, records);
    });
  };

async function keep(
  storage: RecordStorage,
  copies: readonly Copy[],
  copy: Omit<Copy, 'characters'>,
  records: readonly StoredRecord[],
): Promise<Copy> {
  const whole = { ...copy, characters: 0 };
  const drop = copiesToDrop([...copies, whole]).map(({ id }) => id);
  await storage.keepCopy(copy, records, drop);
  return whole;
}

/** The copies that are kept, the newest first; none where the browser lets nobody look. */
export const copiesListed = (): Step<readonly Copy[]> => async (_, __, storage) => {
  const copies = await trying(() => storage.copies());
  return copies.ok ? [...copies.value].reverse() : [];
};

/**
 * Puts these records in the place of all that are here; a copy of what was here is kept first. Where that fails, nothing
 * has changed.
 */
export const everythingReplaced =
  (records: readonly StoredRecord[], { id, now }: Stamp): Step<Result<true>> =>
  async (dispatch, getState, storage) => {
    if (getState().records.unsaved.length > 0)
      return failed('unsaved', t`Something is not stored yet; wait a moment and try again.`);
    const before = selectAllRecords(getState());
    return trying(async () => {
      if (before.length > 0)
        await keep(
          storage,
          await storage.copies(),
          { id, takenAt: now, records: before.length, why: 'before' },
          before,
        );
      await storage.replaceRecords(records);
      dispatch(recordsReplaced(records));
      return true as const;
    });
  };

/** What of a copy is not here any more, or was taken back here since; see {@link Merge}. */
export interface LookedAt extends Pick<Merge, 'takenBack'> {
  readonly records: readonly StoredRecord[];
  readonly missing: readonly StoredRecord[];
}

/** What a copy holds, and which of it does not count here any more. */
export const copyLookedAt =
  (copy: Copy): Step<Result<LookedAt>> =>
  async (_, getState, storage) =>
    trying(async () => {
      const records = await storage.copied(copy.id);
      const { added: missing, takenBack } = mergeRecords(selectAllRecords(getState()), records);
      return { records, missing, takenBack };
    });

/** Everything is deleted, the copies too. */
export const everythingDeleted = (): Step<Result<true>> => async (dispatch, _, storage) =>
  trying(async () => {
    await storage.deleteAll();
    dispatch(recordsReplaced([]));
    return true as const;
  });

async function trying<T>(act: () => Promise<T>): Promise<Result<T>> {
  try {
    return ok(await act());
  } catch (error) {
    return failed('storage', await saveMessage(error));
  }
}
