import type { CalendarDay } from '../../base/measures';
import { historyOf, larderOf } from '../../hair/history';
import type { HairState } from '../../hair/state';
import { shelfOf, type ShelfItem } from '../../kitchen/batches';
import { liveRecords } from '../../records/log';
import { ofKind, type Head, type StoredRecord } from '../../records/shapes';
import type { Agreement, Effort, PlanNote } from '../agenda';
import type { Plan, PlanProblem } from '../planning';
import { agreementAfter, plansOf, whyNotIn, withTodayOpen, type Plans, type Schedule } from '../scheduling';
import { planProblemFrom } from './planQuestion';
import { todayAnswer, type TodayAnswer } from './todayAnswer';

/** What the state of hair is estimated from. */
export interface HairQuestion {
  readonly head: Head;
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
}

/** A head to plan for, with what was agreed for it before. */
export interface HeadOfPlan {
  readonly head: Head;
  readonly state: HairState;
  readonly agreement: Agreement | null;
}

/** The heads that one person looks after, planned together. */
export interface PlanQuestion {
  readonly heads: readonly HeadOfPlan[];
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
  readonly weeks: number;
  /** How long the solver may look. */
  readonly effort: Effort;
}

/** Something on the shelf that has to be used or thrown out. */
export type ShelfNote = Pick<ShelfItem, 'name' | 'left' | 'useBy'> & {
  readonly batchId: string;
  readonly state: 'past' | 'use-first';
};

export interface PlanAnswer extends Plans {
  /** By head: today by itself, decided from what is known this moment. */
  readonly today: readonly (TodayAnswer & { readonly headId: string })[];
  /** The most pressing first. */
  readonly shelf: readonly ShelfNote[];
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
      agreed: (agreement?.assignments ?? []).filter(({ day }) => day >= today),
    })),
    today,
    weeks,
  );
}

function shelfNotes(records: readonly StoredRecord[], today: CalendarDay): ShelfNote[] {
  const live = liveRecords(records);
  const items = shelfOf(ofKind(live, 'batch'), ofKind(live, 'batch-event'), larderOf(records, live), today);
  return items.flatMap(({ batch: { batchId }, name, left, useBy, state }): ShelfNote[] =>
    state === 'past' || state === 'use-first' ? [{ batchId, name, left, useBy, state }] : [],
  );
}

const NOTHING_DONE = { readings: [], sessions: [] } as const;

export function answerOf(
  { records, heads, today }: PlanQuestion,
  schedule: Schedule,
  problem: PlanProblem,
): PlanAnswer {
  const described = ofKind(records, 'head');
  const open = withTodayOpen(problem);
  const histories = new Map(heads.map(({ head: { headId } }) => [headId, historyOf(records, headId)]));
  return {
    ...plansOf(schedule),
    today: heads.map(({ head: { headId }, state }, index) => ({
      headId,
      ...todayAnswer(open, index, state, histories.get(headId) ?? NOTHING_DONE),
    })),
    shelf: shelfNotes(records, today),
    agreed: heads.flatMap(({ head: { headId }, agreement }) => {
      const plan = schedule.plans.find((each: Plan) => each.headId === headId);
      const history = histories.get(headId);
      if (!plan || !history) return [];
      const count = described.filter((head) => head.headId === headId).length;
      const planned = problem.heads.find((each) => each.head.headId === headId);
      const whyNot = planned && whyNotIn(problem, planned, plan);
      return [{ headId, ...agreementAfter(agreement, plan, history, count, whyNot) }];
    }),
  };
}
