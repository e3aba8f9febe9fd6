import type { Agreement, PlanNote } from '@/core/agenda';
import { historyOf, ofKind, planProblemFrom, type StoredRecord } from '@/core/exchange';
import type { HairState, Head } from '@/core/hair';
import type { CalendarDay } from '@/core/measures';
import type { Plan, PlanProblem } from '@/core/planning';
import { agreementAfter, plansOf, type Plans, type Schedule } from '@/core/scheduling';

/** A head to plan for, with what was agreed for it before. */
export interface PlannedHead {
  readonly head: Head;
  readonly state: HairState;
  readonly agreement: Agreement | null;
}

/** The heads that one person looks after, planned together. */
export interface PlanQuestion {
  readonly heads: readonly PlannedHead[];
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
  readonly weeks: number;
}

export interface PlanAnswer extends Plans {
  /** By head: what is agreed from now on, and what changed. */
  readonly agreed: readonly {
    readonly headId: string;
    readonly agreement: Agreement;
    readonly note: PlanNote | null;
  }[];
}

export function problemOf({ records, heads, today, weeks }: PlanQuestion): PlanProblem {
  return planProblemFrom(
    records,
    heads.map(({ head, state, agreement }) => ({
      head,
      state,
      agreed: (agreement?.beats ?? []).filter(({ day }) => day >= today),
    })),
    today,
    weeks,
  );
}

export function answerOf({ records, heads }: PlanQuestion, schedule: Schedule): PlanAnswer {
  const described = ofKind(records, 'head');
  return {
    ...plansOf(schedule),
    agreed: heads.flatMap(({ head: { headId }, agreement }) => {
      const plan = schedule.plans.find((each: Plan) => each.headId === headId);
      if (!plan) return [];
      const count = described.filter((head) => head.headId === headId).length;
      return [{ headId, ...agreementAfter(agreement, plan, historyOf(records, headId), count) }];
    }),
  };
}
