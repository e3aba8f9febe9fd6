export { READING_TABLE } from './readingTable';
export { readRecords, writeRecords, type RecordTable, type TableImport } from './recordTable';
export { SESSION_TABLE } from './sessionTable';
