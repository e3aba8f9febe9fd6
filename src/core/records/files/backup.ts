import { z } from 'zod';
import { instantSchema, type Result } from '../../base/measures';
import { storedRecordSchema, type StoredRecord } from '../shapes';
import { DATA_VERSION, readRecordFile, writeRecordFile, type FileFormat } from './recordFile';

const BACKUP_FORMAT = 'velvet-rhythm-backup' satisfies FileFormat;

/** Records of a file. */
const MOST_RECORDS = 100_000;

export const backupSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(DATA_VERSION),
  exportedAt: instantSchema,
  records: z.array(storedRecordSchema).max(MOST_RECORDS),
});
export type Backup = z.infer<typeof backupSchema>;

export function writeBackup(records: readonly StoredRecord[], exportedAt: string): string {
  return writeRecordFile(BACKUP_FORMAT, { exportedAt, records });
}

/** Reads a backup file. Nothing of a file with a problem is taken. */
export function readBackup(text: string): Result<Backup> {
  return readRecordFile(text, BACKUP_FORMAT, backupSchema);
}
