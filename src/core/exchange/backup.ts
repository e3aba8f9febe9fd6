import { z } from 'zod';
import {
  calendarExportSchema,
  challengeSchema,
  decisionSchema,
  occasionSchema,
  planSettingsSchema,
} from '../agenda';
import { batchEventSchema, batchSchema } from '../batches';
import { headSchema } from '../hair';
import { ownIngredientSchema } from '../ingredients';

import { inOrder, instantSchema, withdrawalSchema, type Problem, type Result, failed, ok } from '../measures';
import { headEventSchema, photoSchema, readingSchema } from '../readings';
import { recipeVersionSchema } from '../recipes';
import { patchTestSchema } from '../safety';
import { sessionSchema, washDaySchema } from '../sessions';
import { trialSchema, trialWashSchema } from '../trials';
import { liftRecord } from './migrations';
import { sortedKeys } from './sortedKeys';
import { pantryItemSchema } from '../pantry';

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
  withdrawalSchema,
]);
export type StoredRecord = z.infer<typeof storedRecordSchema>;
export type RecordKind = StoredRecord['kind'];
export type RecordOf<K extends RecordKind> = Extract<StoredRecord, { kind: K }>;

/** Raised with every change of a stored shape; migrations.ts lifts what was written before. */
export const DATA_VERSION = 5;
export const BACKUP_FORMAT = 'velvet-rhythm-backup';

export const BACKUP_LIMITS = {
  /** Characters; five years of twice-weekly sessions take about 2 million. */
  characters: 50_000_000,
  records: 100_000,
  /** Problems listed for one file; the rest are counted. */
  problemsListed: 5,
} as const;

export const backupSchema = z.strictObject({
  format: z.literal(BACKUP_FORMAT),
  version: z.literal(DATA_VERSION),
  exportedAt: instantSchema,
  records: z.array(storedRecordSchema).max(BACKUP_LIMITS.records),
});
export type Backup = z.infer<typeof backupSchema>;

export function writeBackup(records: readonly StoredRecord[], exportedAt: string): string {
  const backup = {
    format: BACKUP_FORMAT,
    version: DATA_VERSION,
    exportedAt,
    records: inOrder(records).map(sortedKeys),
  };
  return `${JSON.stringify(backup, null, 1)}\n`;
}

/** Reads a backup file. Nothing of a file with a problem is taken. */
export function readBackup(text: string): Result<Backup> {
  if (text.length > BACKUP_LIMITS.characters) {
    return failed(
      'too-large',
      `The file is larger than ${BACKUP_LIMITS.characters / 1_000_000} million characters.`,
    );
  }
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return failed('not-json', 'This is not a JSON file; choose the file that “Export everything” wrote.');
  }
  const outer = checkOuter(raw);
  if (!outer.ok) return outer;
  const current = lifted(raw as { version: number; records?: unknown });
  const parsed = backupSchema.safeParse(current);
  if (!parsed.success) return { ok: false, problems: listed(parsed.error.issues, current) };
  return withoutDoubles(parsed.data);
}

/** A file of an older version with its records lifted to today's shapes. */
function lifted(raw: { readonly version: number; readonly records?: unknown }): unknown {
  if (raw.version === DATA_VERSION || !Array.isArray(raw.records)) return raw;
  return {
    ...raw,
    version: DATA_VERSION,
    records: raw.records.map((record) => liftRecord(record, raw.version, DATA_VERSION)),
  };
}

const outerSchema = z.looseObject({ format: z.string(), version: z.int().min(1) });

function checkOuter(raw: unknown): Result<true> {
  const outer = outerSchema.safeParse(raw);
  if (!outer.success || outer.data.format !== BACKUP_FORMAT) {
    return failed('not-a-backup', 'This file is no Velvet Rhythm backup: its format mark is missing.');
  }
  if (outer.data.version > DATA_VERSION) {
    return failed(
      'newer-version',
      `This backup was written by a newer version (data version ${outer.data.version}; this one reads up to ${DATA_VERSION}). Update the application, then read it again.`,
    );
  }
  return ok(true);
}

type Issues = readonly {
  readonly path: readonly PropertyKey[];
  readonly message: string;
  readonly code?: string;
}[];

function listed(issues: Issues, raw: unknown): [Problem, ...Problem[]] {
  const records = (raw as { records?: unknown }).records;
  const described = issues.slice(0, BACKUP_LIMITS.problemsListed).map((issue): Problem => {
    const [first, index, ...rest] = issue.path;
    const record =
      first === 'records' && Array.isArray(records) ? (records[Number(index)] as unknown) : undefined;
    const where =
      record === undefined
        ? issue.path.map(String).join('.') || 'the file'
        : `record ${Number(index) + 1}${nameOf(record)}`;
    const field = record !== undefined && rest.length > 0 ? `, ${rest.map(String).join('.')}` : '';
    return {
      code: issue.code ?? 'invalid',
      message: `In ${where}${field}: ${issue.message}`,
      path: issue.path.map(String).join('.'),
    };
  });
  const more = issues.length - described.length;
  const [
    head = { code: 'invalid', message: 'The file does not have the shape of a backup.', path: '' },
    ...tail
  ] = described;
  return more > 0
    ? [head, ...tail, { code: 'more', message: `… and ${more} more problems.`, path: '' }]
    : [head, ...tail];
}

function nameOf(record: unknown): string {
  const { kind, id } = (record ?? {}) as { kind?: unknown; id?: unknown };
  return typeof kind === 'string' && typeof id === 'string'
    ? ` (${kind.slice(0, 20)} ${id.slice(0, 64)})`
    : '';
}

function withoutDoubles(backup: Backup): Result<Backup> {
  const seen = new Map<string, string>();
  for (const [index, record] of backup.records.entries()) {
    const text = JSON.stringify(record);
    const known = seen.get(record.id);
    if (known !== undefined && known !== text) {
      return failed('double-id', `Two different records share the id “${record.id}”.`, `records.${index}.id`);
    }
    seen.set(record.id, text);
  }
  return ok({
    ...backup,
    records: [...new Map(backup.records.map((record) => [record.id, record])).values()],
  });
}
