import { proxy } from 'comlink';
import { createContext, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Agreed, Effort } from '@/core/agenda';
import { recordsFor, type StoredRecord } from '@/core/exchange';
import type { HairState, Head } from '@/core/hair';
import { t } from '@/core/language';
import type { CalendarDay } from '@/core/measures';
import type { Plan } from '@/core/planning';
import type { Loosening } from '@/core/scheduling';
import {
  planAgreed,
  selectAgreed,
  selectAllRecords,
  selectHeads,
  selectPrefs,
  useAppDispatch,
  useAppSelector,
} from '@/store';
import {
  askEstimator,
  askPlanner,
  askScheduler,
  Stopped,
  stopScheduler,
  TookTooLong,
  type PlanAnswer,
  type PlanQuestion,
  type ShelfNote,
} from '@/workers';
import { useHead } from './useHead';
import { useToday } from './useToday';

/** Weeks that are planned ahead, and as far as can be looked on the overview. */
export const USUAL_WEEKS = 4;

export interface HairAnswer {
  readonly today: CalendarDay;
  /** The last answer, perhaps of a moment ago; null before the first. */
  readonly answer: HeadAnswer | null;
  /** A newer answer is being computed. */
  readonly pending: boolean;
  readonly failure: string | null;
  /** While a better plan is looked for: how far the best so far may be from the best possible; null when nothing runs. */
  readonly search: { readonly gap: number } | null;
  /** Takes the plan that stands, and looks no further. */
  readonly stopSearch: () => void;
  /** Looks for a better plan for as long as a minute. */
  readonly searchOn: () => void;
  /** She took the plan before the solver was done. */
  readonly taken: boolean;
  readonly weeks: number;
  readonly lookAhead: (weeks: number) => void;
}

/** What is known of the head on screen. */
export interface HeadAnswer {
  readonly state: HairState;
  readonly plan: Plan;
  /** Rules that the plan does not keep, because what she decided allows none that keeps them all. */
  readonly loosenings: readonly Loosening[];
  /** Everything that the plan was made of, for questions about it. */
  readonly question: PlanQuestion;
  readonly plans: readonly Plan[];
  /** What stands on the shelf and has to be used or thrown out. */
  readonly shelf: readonly ShelfNote[];
}

interface Asked {
  readonly head: Head;
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
  readonly weeks: number;
  readonly effort: Effort;
}

interface Computed extends HeadAnswer {
  /** What was asked; a newer question is on its way while it differs from what is on screen. */
  readonly asked: Asked;
}

const HairAnswerContext = createContext<HairAnswer | null>(null);

interface KnownState {
  readonly records: readonly StoredRecord[];
  readonly today: CalendarDay;
  readonly state: HairState;
}

const isSame = (a: readonly unknown[], b: readonly unknown[]) =>
  a.length === b.length && a.every((each, index) => each === b[index]);

/** Whether two questions differ in nothing but how long their answer is looked for. */
const isSameQuestion = (a: Asked, b: Asked) =>
  isSame([a.head, a.records, a.today, a.weeks], [b.head, b.records, b.today, b.weeks]);

/**
 * Computes state and plan whenever records change, off the main thread, once for all screens. The heads share one person's
 * hours, so they are planned together. The first plan comes from the search, at once; the solver's takes its place.
 */
export function HairAnswerProvider({ children }: { children: ReactNode }) {
  const head = useHead();
  const heads = useAppSelector(selectHeads);
  const records = useAppSelector(selectAllRecords);
  const agreed = useAppSelector(selectAgreed);
  const dispatch = useAppDispatch();
  const today = useToday();
  const [weeks, setWeeks] = useState(USUAL_WEEKS);
  const [computed, setComputed] = useState<Computed | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const [search, setSearch] = useState<{ gap: number } | null>(null);
  const [taken, setTaken] = useState(false);
  const { effort: usualEffort } = useAppSelector(selectPrefs);
  // Of these records, and no others, she wants the plan looked for longer.
  const [longerFor, setLongerFor] = useState<readonly StoredRecord[] | null>(null);
  const effort = longerFor === records ? 'long' : usualEffort;
  const states = useRef(new Map<string, KnownState>());
  // A plan that is agreed is no reason to plan again.
  const lastAgreed = useRef<Agreed>(agreed);
  useEffect(() => {
    lastAgreed.current = agreed;
  }, [agreed]);
  const shown = useRef<{ readonly asked: Asked; readonly answer: PlanAnswer } | null>(null);

  useEffect(() => {
    if (!head) return;
    let current = true;
    const asked: Asked = { head, records, today, weeks, effort };
    const show = (question: PlanQuestion, answer: PlanAnswer) => {
      const { plans, loosenings, shelf } = answer;
      const plan = plans.find(({ headId }) => headId === head.headId);
      const state = question.heads.find((each) => each.head.headId === head.headId)?.state;
      if (!current || !plan || !state) return;
      shown.current = { asked, answer };
      setComputed({ asked, state, plan, plans, question, loosenings, shelf });
      setFailure(null);
    };
    const compute = async () => {
      setTaken(false);
      const planned = recordsFor(
        records,
        heads.map(({ headId }) => headId),
      );
      const question: PlanQuestion = {
        heads: await Promise.all(
          heads.map(async (each) => ({
            head: each,
            state: await stateOf(states.current, each, planned, today),
            agreement: lastAgreed.current[each.headId]?.agreement ?? null,
          })),
        ),
        records: planned,
        today,
        weeks,
        effort,
      };
      if (!current) return;
      // With a plan on screen the better one is waited for; without one anything is better than nothing.
      const before = shown.current;
      const isShown = before?.asked.head.headId === head.headId && before.asked.weeks === weeks;
      const first = isShown ? null : await askPlanner('firstPlan', question);
      if (first) show(question, first);
      if (!current) return;
      const best = await solvedPlan(question, (gap) => current && setSearch({ gap })).catch(async (error) => {
        // Given up because something newer is asked, it wants no answer; given up by her, the search's will do.
        if (error instanceof Stopped && !current) throw error;
        if (error instanceof Stopped) {
          setTaken(true);
          // A plan that answers the same question is no worse for not having been bettered.
          if (before && isSameQuestion(before.asked, asked)) return before.answer;
        }
        return first ?? (await askPlanner('firstPlan', question));
      });
      if (!current) return;
      show(question, best);
      setSearch(null);
      dispatch(planAgreed(best.agreed));
    };
    compute().catch((error: unknown) => {
      if (!current) return;
      setSearch(null);
      if (error instanceof TookTooLong) setFailure(error.message);
      else if (!(error instanceof Stopped)) setFailure(t`The week could not be computed: ${String(error)}`);
    });
    return () => {
      current = false;
      stopScheduler();
    };
  }, [head, heads, records, today, weeks, effort, dispatch]);

  const answer = computed && computed.asked.head.headId === head?.headId ? computed : null;
  const pending =
    computed?.asked.head !== head ||
    computed?.asked.records !== records ||
    computed?.asked.today !== today ||
    computed?.asked.weeks !== weeks ||
    computed?.asked.effort !== effort;
  const value = useMemo(
    () => ({
      today,
      answer,
      pending,
      failure,
      search,
      stopSearch: stopScheduler,
      searchOn: () => setLongerFor(records),
      taken,
      weeks,
      lookAhead: setWeeks,
    }),
    [today, answer, pending, failure, search, records, taken, weeks],
  );
  return <HairAnswerContext.Provider value={value}>{children}</HairAnswerContext.Provider>;
}

function solvedPlan(question: PlanQuestion, onGap: (gap: number) => void): Promise<PlanAnswer> {
  onGap(Infinity);
  return askScheduler(
    'plan',
    question,
    proxy(({ gap }: { gap: number }) => onGap(gap)),
  );
}

/** The state of a head, computed again only when something of it is new. */
async function stateOf(
  known: Map<string, KnownState>,
  head: Head,
  all: readonly StoredRecord[],
  today: CalendarDay,
): Promise<HairState> {
  const records = recordsFor(all, [head.headId]).filter(({ kind }) => MOVES_STATE.has(kind));
  const before = known.get(head.headId);
  if (before && before.today === today && isSame(before.records, records)) return before.state;
  const state = await askEstimator('estimate', { head, records, today });
  known.set(head.headId, { records, today, state });
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
  'withdrawal',
]);

export function useHairAnswer(): HairAnswer {
  const value = useContext(HairAnswerContext);
  if (!value) throw new Error('useHairAnswer needs a HairAnswerProvider above it.');
  return value;
}
