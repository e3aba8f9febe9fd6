export { READING_TABLE } from './readingTable';
export { SESSION_TABLE } from './sessionTable';
export { readRecords, writeRecords, type RecordTable, type TableImport } from './recordTable';
