import { t } from '@lingui/core/macro';
import { failed, ok, type Result } from '../../base/measures';
import { storedRecordSchema, type StoredRecord } from '../shapes';
import { liftRecord } from './migrations';
import { DATA_VERSION } from './recordFile';

/** A record as it lies in the browser's storage: one entry a record, with the version it was written by. */
interface Envelope {
  readonly v: number;
  readonly record: unknown;
}

export function packRecord(record: StoredRecord): string {
  const envelope: Envelope = { v: DATA_VERSION, record };
  return JSON.stringify(envelope);
}

/** Reads one stored entry, lifting it from older versions. A problem leaves the entry where it is. */
export function unpackRecord(text: string): Result<StoredRecord> {
  let envelope: Partial<Envelope>;
  try {
    envelope = (JSON.parse(text) ?? {}) as Partial<Envelope>;
  } catch {
    return failed('not-json', t`A stored entry is damaged.`);
  }
  const { v, record } = envelope;
  if (typeof v !== 'number') return failed('no-version', t`A stored entry carries no version.`);
  if (v > DATA_VERSION)
    return failed('newer-version', t`A stored entry was written by a newer version of the application.`);
  const parsed = storedRecordSchema.safeParse(liftRecord(record, v, DATA_VERSION));
  return parsed.success
    ? ok(parsed.data)
    : failed('invalid', t`A stored entry does not have the shape of a record.`);
}
