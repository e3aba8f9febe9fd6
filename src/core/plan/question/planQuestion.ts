import type { CalendarDay } from '../../base/measures';
import { historyFrom, larderOf } from '../../hair/history';
import { pantryOf } from '../../kitchen/pantry';
import { liveRecords } from '../../records/log';
import { ofKind, type StoredRecord } from '../../records/shapes';
import { planProblem, type Kitchen, type PlannedHead, type PlanProblem } from '../planning';
import { withTodayDecided } from '../scheduling';
import { isDayCheck } from './todayAnswer';

/** What is made and what it is made of, for all heads. */
function kitchenOf(live: readonly StoredRecord[]): Kitchen {
  return {
    batches: ofKind(live, 'batch'),
    batchEvents: ofKind(live, 'batch-event'),
    pantry: pantryOf(ofKind(live, 'pantry')),
  };
}

/** A head that is to be planned for; the rest of it is in the records. */
export type HeadToPlan = Omit<PlannedHead, 'history'>;

/** The planner's question about heads that one person looks after, out of the records. */
export function planProblemFrom(
  records: readonly StoredRecord[],
  heads: readonly HeadToPlan[],
  from: CalendarDay,
  weeks: number,
): PlanProblem {
  const live = liveRecords(records);
  const larder = larderOf(records, live);
  return planProblem(
    heads.map((each) => ({ ...each, history: historyFrom(live, larder, each.head.headId) })),
    kitchenOf(live),
    from,
    weeks,
  );
}

/** What the weeks are planned from: today decided for every head that was felt or stretched on it. */
export function decidedProblem(problem: PlanProblem, records: readonly StoredRecord[]): PlanProblem {
  const readings = ofKind(liveRecords(records), 'reading');
  return withTodayDecided(problem, (headId) =>
    readings.some((reading) => reading.headId === headId && isDayCheck(reading, problem.from)),
  );
}
