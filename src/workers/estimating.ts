import { estimateHair } from '@/core/estimation';
import { historyOf, readBackup, type Backup, type StoredRecord } from '@/core/exchange';
import type { HairState, Head } from '@/core/hair';
import type { CalendarDay, Result } from '@/core/measures';
import { searched } from '@/core/scheduling';
import { demoRecords } from '@/core/simulation';
import { answerOf, problemOf, type PlanAnswer, type PlanQuestion } from './planning';

/** What a worker is asked for; everything in it can be cloned. */
export interface HairQuestion {
  readonly head: Head;
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
}

/** Computed from records, in the estimator's worker. */
export const estimatorApi = {
  estimate: ({ head, records, today }: HairQuestion): HairState =>
    estimateHair(head, historyOf(records, head.headId), today),
  readBackup: (text: string): Result<Backup> => readBackup(text),
  demo: (today: CalendarDay): StoredRecord[] => demoRecords(today),
};

/** In a worker of its own: a plan must not keep a reading waiting. The solver's answer comes from another one, and later. */
export const plannerApi = {
  firstPlan: (question: PlanQuestion): PlanAnswer => {
    const problem = problemOf(question);
    return answerOf(question, searched(problem), problem);
  },
};

export type EstimatorApi = typeof estimatorApi;
export type PlannerApi = typeof plannerApi;
