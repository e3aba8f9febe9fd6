export { backupSchema, readBackup, writeBackup, type Backup } from './backup';
export { copiesToDrop, copyListSchema, isCopyDue, type Copy } from './copies';
export { mergeRecords, type Merge } from './merge';
export { packRecord, unpackRecord } from './packed';
export { DATA_VERSION, readRecordFile, writeRecordFile, type FileFormat } from './recordFile';
export { sortedKeys } from './sortedKeys';
