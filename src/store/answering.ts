import { t } from '@lingui/core/macro';
import { createListenerMiddleware, type UnknownAction } from '@reduxjs/toolkit';
import { Stopped, TookTooLong } from '@/core/base/measures';
import { recordsFor } from '@/core/hair/history';
import type { HairState } from '@/core/hair/state';
import type { Agreed } from '@/core/plan/agenda';
import type { HairQuestion, PlanAnswer, PlanQuestion } from '@/core/plan/question';
import type { StoredRecord, Head } from '@/core/records/shapes';
import { planAgreed, selectAgreed } from './agreedSlice';
import {
  computingBegan,
  computingFailed,
  isSameAsked,
  isSameQuestion,
  planFound,
  planTaken,
  searchSeen,
  selectAsked,
  stateEstimated,
  type Asked,
  type HairRoot,
} from './hairSlice';
import { isSameRecords } from './recordsSlice';

/** Who computes: workers in the application, anything in a test. A question that was given up is refused with Stopped. */
export interface Answerer {
  readonly estimate: (question: HairQuestion) => Promise<HairState>;
  /** The plan that the search finds, at once. */
  readonly firstPlan: (question: PlanQuestion) => Promise<PlanAnswer>;
  /** The solver's plan. @param onFirst called with the search's until then; null where that is of no use */
  readonly plan: (
    question: PlanQuestion,
    onFirst: ((answer: PlanAnswer) => void) | null,
    onGap: (gap: number) => void,
  ) => Promise<PlanAnswer>;
  /** Gives up whatever plan is being worked at. */
  readonly stopPlan: () => void;
}

type Root = HairRoot & { readonly agreed: Agreed };

interface Computing {
  readonly dispatch: (action: UnknownAction) => unknown;
  readonly getState: () => Root;
  readonly signal: AbortSignal;
}

/**
 * Computes states and plans whenever what they depend on changes, and somebody wants to know. The heads share one person's
 * hours, so they are planned together. Only the newest question counts. With a plan on screen the better one is waited for;
 * without one, or where today was just looked at, the search's is better than nothing.
 */
export function answeringMiddleware(answerer: Answerer) {
  const listener = createListenerMiddleware<Root>();
  listener.startListening({
    predicate: (_, now, before) => !isSameAsked(selectAsked(now), selectAsked(before)),
    effect: async (_, api) => {
      api.cancelActiveListeners();
      answerer.stopPlan();
      const asked = selectAsked(api.getState());
      if (!asked || asked.wants === 'nothing') return;
      try {
        await computed(api, answerer, asked);
      } catch (error) {
        if (api.signal.aborted || error instanceof Stopped) return;
        api.dispatch(
          computingFailed(
            error instanceof TookTooLong
              ? error.message
              : t`The week could not be computed: ${{ error: String(error) }}`,
          ),
        );
      } finally {
        if (!api.signal.aborted) api.dispatch(searchSeen(null));
      }
    },
  });
  return listener.middleware;
}

async function computed(api: Computing, answerer: Answerer, asked: Asked): Promise<void> {
  const { dispatch, getState, signal } = api;
  dispatch(computingBegan());
  const states = await Promise.all(asked.heads.map((head) => stateOf(api, answerer, head, asked)));
  if (signal.aborted || asked.wants !== 'plan') return;
  const question = questionOf(asked, states, selectAgreed(getState()));
  const find = (answer: PlanAnswer) => dispatch(planFound({ asked, question, answer }));
  const before = getState().hair.planned;
  const isShown =
    before?.asked.weeks === asked.weeks &&
    checksOfToday(before.asked) === checksOfToday(asked) &&
    asked.heads.every(({ headId }) => before.answer.plans.some((plan) => plan.headId === headId));
  dispatch(searchSeen(Infinity));
  const best = await answerer
    .plan(
      question,
      isShown ? null : (answer) => !signal.aborted && find(answer),
      (gap) => !signal.aborted && dispatch(searchSeen(gap)),
    )
    .catch((error: unknown) => {
      // Given up because something newer is asked, it wants no answer; given up by her, what the search finds will do.
      if (signal.aborted || error instanceof TookTooLong) throw error;
      if (error instanceof Stopped) dispatch(planTaken());
      const known = getState().hair.planned;
      // A plan that answers the same question is no worse for not having been bettered.
      return known && isSameQuestion(known.asked, asked) ? known.answer : answerer.firstPlan(question);
    });
  if (signal.aborted) return;
  find(best);
  dispatch(planAgreed(best.agreed));
}

/** What is decided from today's check is wanted at once. */
function checksOfToday({ records, today }: Asked): number {
  return records.filter((record) => record.kind === 'reading' && record.day === today).length;
}

function questionOf(
  { heads, records, today, weeks, effort }: Asked,
  states: readonly HairState[],
  agreed: Agreed,
): PlanQuestion {
  return {
    heads: heads.flatMap((head, index) => {
      const state = states[index];
      return state ? [{ head, state, agreement: agreed[head.headId]?.agreement ?? null }] : [];
    }),
    records,
    today,
    weeks,
    effort,
  };
}

/** The state of a head, computed again only when something of it is new. */
async function stateOf(
  { dispatch, getState, signal }: Computing,
  answerer: Answerer,
  head: Head,
  { records: all, today }: Asked,
): Promise<HairState> {
  const records = recordsFor(all, [head.headId]).filter(({ kind }) => MOVES_STATE.has(kind));
  const known = getState().hair.estimated[head.headId];
  if (known && known.today === today && isSameRecords(known.records, records)) return known.state;
  const state = await answerer.estimate({ head, records, today });
  if (!signal.aborted) dispatch(stateEstimated({ headId: head.headId, records, today, state }));
  return state;
}

/** What the state of hair depends on; a decision about the plan is none of it. */
const MOVES_STATE: ReadonlySet<StoredRecord['kind']> = new Set<StoredRecord['kind']>([
  'head',
  'recipe',
  'reading',
  'session',
  'event',
  'ingredient',
  'batch',
  'batch-event',
  'forecast',
  'science',
  'withdrawal',
]);
