import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { writeBackup, type StoredRecord } from '../../src/core/exchange';
import { addDays, dayOfDate } from '../../src/core/measures';
import { demoRecords } from '../../src/core/simulation';
import type { Browser } from './browser';

/**
 * The demo as it was three days ago, with time on every day: whatever weekday the tests run on, the last wash is long
 * enough ago and the next one may be today.
 */
export function unhurriedDemo(): StoredRecord[] {
  const before = addDays(dayOfDate(new Date()), -3);
  return demoRecords(before).map((record) =>
    record.kind === 'head' ? { ...record, freeMinutes: [240, 240, 240, 240, 240, 240, 240] } : record,
  );
}

/** Reads records in as a person would: from a file, under Heads. */
export async function readsIn(browser: Browser, records: readonly StoredRecord[]): Promise<void> {
  const file = path.join(browser.downloads, 'records.json');
  writeFileSync(file, writeBackup(records, '2026-01-01T00:00:00Z'));
  await browser.goto('/heads/keeping');
  await (await browser.byTestId('backup-file')).sendKeys(file);
  await browser.pressId('take-backup');
  await browser.sees('records, all stored');
}
