import { historyOf, type StoredRecord } from '@/core/exchange';
import { estimateHair, type HairState, type Head } from '@/core/hair';
import type { CalendarDay } from '@/core/measures';
import { planProblem, weekSearch, type Plan } from '@/core/planning';

/** What a worker is asked for; everything in it can be cloned. */
export interface HairQuestion {
  readonly head: Head;
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
}

export function estimateFor({ head, records, today }: HairQuestion): HairState {
  return estimateHair(head, historyOf(records, head.headId), today);
}

export interface PlanQuestion extends HairQuestion {
  readonly state: HairState;
  readonly weeks: number;
}

export function planFor({ head, records, today, state, weeks }: PlanQuestion): Plan {
  return weekSearch(planProblem(head, historyOf(records, head.headId), state, today, weeks));
}
