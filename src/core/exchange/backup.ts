import { z } from 'zod';
import {
  calendarExportSchema,
  challengeSchema,
  decisionSchema,
  kitSchema,
  occasionSchema,
  planSettingsSchema,
} from '../agenda';
import { batchEventSchema, batchSchema } from '../batches';
import { headSchema } from '../hair';
import { ownIngredientSchema } from '../ingredients';
import { instantSchema, withdrawalSchema, type Result } from '../measures';
import { pantryItemSchema } from '../pantry';
import { headEventSchema, photoSchema, readingSchema } from '../readings';
import { recipeVersionSchema } from '../recipes';
import { patchTestSchema } from '../safety';
import { sessionSchema, washDaySchema } from '../sessions';
import { trialSchema, trialWashSchema } from '../trials';
import { DATA_VERSION, readRecordFile, writeRecordFile, type FileFormat } from './recordFile';

/** Everything that is ever stored: one schema a kind. */
export const storedRecordSchema = z.discriminatedUnion('kind', [
  headSchema,
  recipeVersionSchema,
  readingSchema,
  sessionSchema,
  washDaySchema,
  headEventSchema,
  ownIngredientSchema,
  pantryItemSchema,
  batchSchema,
  batchEventSchema,
  patchTestSchema,
  trialSchema,
  trialWashSchema,
  photoSchema,
  decisionSchema,
  occasionSchema,
  planSettingsSchema,
  challengeSchema,
  calendarExportSchema,
  kitSchema,
  withdrawalSchema,
]);
export type StoredRecord = z.infer<typeof storedRecordSchema>;
export type RecordKind = StoredRecord['kind'];
export type RecordOf<K extends RecordKind> = Extract<StoredRecord, { kind: K }>;

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
