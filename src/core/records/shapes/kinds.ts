import type { RecordKind, RecordOf, StoredRecord } from './storedRecord';

export function ofKind<K extends RecordKind>(records: readonly StoredRecord[], kind: K): RecordOf<K>[] {
  return records.filter((record): record is RecordOf<K> => record.kind === kind);
}
