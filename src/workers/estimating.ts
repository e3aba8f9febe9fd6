import type { CalendarDay, Result } from '@/core/base/measures';
import { estimateHair } from '@/core/hair/estimation';
import { historyOf } from '@/core/hair/history';
import type { HairState } from '@/core/hair/state';
import { demoRecords } from '@/core/lab/simulation';
import type { HairQuestion } from '@/core/plan/question';
import { readBackup, type Backup } from '@/core/records/files';
import type { StoredRecord } from '@/core/records/shapes';

/** Computed from records, in the estimator's worker; everything that goes in and out can be cloned. */
export const estimatorApi = {
  estimate: ({ head, records, today }: HairQuestion): HairState =>
    estimateHair(head, historyOf(records, head.headId), today),
  readBackup: (text: string): Result<Backup> => readBackup(text),
  demo: (today: CalendarDay): StoredRecord[] => demoRecords(today),
};

export type EstimatorApi = typeof estimatorApi;
