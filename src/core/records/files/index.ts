export { backupSchema, readBackup, writeBackup, type Backup } from './backup';
export { copiesToDrop, copyListSchema, isCopyDue, type Copy } from './copies';
export { doubtsIn, MOST_USES_A_DAY, type Doubt } from './doubts';
export { mergeRecords, type Merge } from './merge';
export { packRecord, unpackRecord } from './packed';
export { DATA_VERSION, readRecordFile, writeRecordFile, type FileFormat } from './recordFile';
export { sortedKeys } from './sortedKeys';
