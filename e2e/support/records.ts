import { addDays, type CalendarDay } from '../../src/core/base/measures';
import { demoRecords } from '../../src/core/lab/simulation';
import { packRecord } from '../../src/core/records/files';
import type { StoredRecord } from '../../src/core/records/shapes';
import { PREFS_KEY, RECORD_PREFIX } from '../../src/store/database';
import { testToday } from './clock';

/** What a browser has stored, by its keys. */
export type Snapshot = Readonly<Record<string, string>>;

/**
 * Records as the application stores them, one entry each, and the settings of a browser. Plans are looked for briefly
 * where a test is not about how well they are proven.
 */
export function snapshotOf(records: readonly StoredRecord[], prefs: object = {}): Snapshot {
  return {
    ...Object.fromEntries(records.map((record) => [RECORD_PREFIX + record.id, packRecord(record)])),
    [PREFS_KEY]: JSON.stringify({ effort: 'brief', ...prefs }),
  };
}

const made = new Map<string, readonly StoredRecord[]>();

/** The demo as it stands on this day; made once for all tests of a file. */
function demoOn(day: CalendarDay): readonly StoredRecord[] {
  const known = made.get(day) ?? demoRecords(day);
  made.set(day, known);
  return known;
}

export const demoOfToday = () => demoOn(testToday());

/**
 * The demo as it was three days ago, with time on every day: whatever weekday the tests run on, the last wash is long
 * enough ago and the next one may be today.
 */
export function unhurriedDemo(): StoredRecord[] {
  return demoOn(addDays(testToday(), -3)).map((record) =>
    record.kind === 'head' ? { ...record, freeMinutes: [240, 240, 240, 240, 240, 240, 240] } : record,
  );
}

/** The same with Maren alone: a plan for one head is found in a third of the time. */
export const unhurriedMaren = () =>
  unhurriedDemo().filter(
    (record) => !('headId' in record) || record.headId === null || record.headId === 'maren',
  );
