import { newestHeads, type Head, type HeadHistory } from '../hair';
import { liveRecords } from '../measures';
import type { RecordKind, RecordOf, StoredRecord } from './backup';

export function ofKind<K extends RecordKind>(records: readonly StoredRecord[], kind: K): RecordOf<K>[] {
  return records.filter((record): record is RecordOf<K> => record.kind === kind);
}

/** The heads that are described today. */
export function headsIn(records: readonly StoredRecord[]): Head[] {
  return newestHeads(ofKind(liveRecords(records), 'head'));
}

/** What is known of one head: her own readings, sessions and events, and the recipes that all heads share. */
export function historyOf(records: readonly StoredRecord[], headId: string): HeadHistory {
  const live = liveRecords(records);
  const own = <T extends { readonly headId: string }>(list: readonly T[]) =>
    list.filter((record) => record.headId === headId);
  return {
    recipes: ofKind(live, 'recipe'),
    readings: own(ofKind(live, 'reading')),
    sessions: own(ofKind(live, 'session')),
    events: own(ofKind(live, 'event')),
  };
}
