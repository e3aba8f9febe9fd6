import { estimateHair } from '@/core/estimation';
import { historyOf, readBackup, type Backup, type StoredRecord } from '@/core/exchange';
import type { HairState } from '@/core/hair';
import type { CalendarDay, Result } from '@/core/measures';
import type { HairQuestion } from '@/core/question';
import { demoRecords } from '@/core/simulation';

/** Computed from records, in the estimator's worker; everything that goes in and out can be cloned. */
export const estimatorApi = {
  estimate: ({ head, records, today }: HairQuestion): HairState =>
    estimateHair(head, historyOf(records, head.headId), today),
  readBackup: (text: string): Result<Backup> => readBackup(text),
  demo: (today: CalendarDay): StoredRecord[] => demoRecords(today),
};

export type EstimatorApi = typeof estimatorApi;
