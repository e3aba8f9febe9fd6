import { liveRecords, withdrawalsOf } from '../log';
import type { StoredRecord } from '../shapes';
import { sortedKeys } from './sortedKeys';

const textOf = (record: StoredRecord) => JSON.stringify(sortedKeys(record));

export interface Merge {
  /** Records that are not here yet. */
  readonly added: readonly StoredRecord[];
  /** Records that are here already, word for word. */
  readonly same: number;
  /** Ids that are here with other contents; what is here stays. */
  readonly differing: readonly string[];
  /** Withdrawals that are here and take back what counts in `incoming`: taking them back brings that here again. */
  readonly takenBack: readonly string[];
}

/** What reading `incoming` in would add to `here`. Records are append-only, so a union is all there is to merging. */
export function mergeRecords(here: readonly StoredRecord[], incoming: readonly StoredRecord[]): Merge {
  const known = new Map(here.map((record) => [record.id, record]));
  const added: StoredRecord[] = [];
  const differing: string[] = [];
  let same = 0;
  for (const record of incoming) {
    const old = known.get(record.id);
    if (!old) added.push(record);
    else if (textOf(old) === textOf(record)) same++;
    else differing.push(record.id);
  }
  const counting = new Set(liveRecords(incoming).map(({ id }) => id));
  return { added, same, differing, takenBack: withdrawalsOf(counting, here) };
}
