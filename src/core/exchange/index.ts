export {
  backupSchema,
  readBackup,
  storedRecordSchema,
  writeBackup,
  type Backup,
  type RecordKind,
  type RecordOf,
  type StoredRecord,
} from './backup';
export { mergeRecords, type Merge } from './merge';
export { batchUses, gramsUsed, keyOfUse, type BatchUse } from './batchUses';
export { ofKind } from './kinds';
export { headsIn, historyFrom, historyOf, larderOf, recordsFor, withInner } from './selectHistory';
export { packRecord, unpackRecord } from './storedRecord';
export { DATA_VERSION, readRecordFile, writeRecordFile, type FileFormat } from './recordFile';
export { copiesToDrop, copyListSchema, isCopyDue, type Copy } from './copies';
export { sortedKeys } from './sortedKeys';
