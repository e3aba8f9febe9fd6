import { historyOf, readBackup, type Backup, type StoredRecord } from '@/core/exchange';
import { estimateHair } from '@/core/estimation';
import type { HairState, Head } from '@/core/hair';
import type { CalendarDay, Result } from '@/core/measures';
import { planProblem, weekSearch, type Plan } from '@/core/planning';
import { demoRecords } from '@/core/simulation';

/** What a worker is asked for; everything in it can be cloned. */
export interface HairQuestion {
  readonly head: Head;
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
}

export interface PlanQuestion extends HairQuestion {
  readonly state: HairState;
  readonly weeks: number;
}

/** Computed from records, in the estimator's worker. */
export const estimatorApi = {
  estimate: ({ head, records, today }: HairQuestion): HairState =>
    estimateHair(head, historyOf(records, head.headId), today),
  readBackup: (text: string): Result<Backup> => readBackup(text),
  demo: (today: CalendarDay): StoredRecord[] => demoRecords(today),
};

/** In a worker of its own: a long plan must not keep a reading waiting. */
export const plannerApi = {
  plan: ({ head, records, today, state, weeks }: PlanQuestion): Plan =>
    weekSearch(planProblem(head, historyOf(records, head.headId), state, today, weeks)),
};

export type EstimatorApi = typeof estimatorApi;
export type PlannerApi = typeof plannerApi;
