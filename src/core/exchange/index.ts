export {
  backupSchema,
  DATA_VERSION,
  readBackup,
  storedRecordSchema,
  writeBackup,
  type Backup,
  type RecordKind,
  type RecordOf,
  type StoredRecord,
} from './backup';
export { mergeRecords, type Merge } from './merge';
export {
  headsIn,
  historyFrom,
  historyOf,
  larderOf,
  ofKind,
  planProblemFrom,
  recordsFor,
  type HeadToPlan,
} from './selectHistory';
export { packRecord, unpackRecord } from './storedRecord';
