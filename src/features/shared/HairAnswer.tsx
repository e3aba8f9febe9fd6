import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import { recordsFor } from '@/core/exchange';
import type { HairState } from '@/core/hair';
import type { CalendarDay } from '@/core/measures';
import type { Plan } from '@/core/planning';
import { selectAllRecords, useAppSelector } from '@/store';
import { askEstimator, askPlanner, type HairQuestion } from '@/workers';
import { useHead } from './useHead';
import { useToday } from './useToday';

/** Weeks that are planned ahead. */
const WEEKS = 1;

export interface HairAnswer {
  readonly today: CalendarDay;
  /** The last answer, perhaps of a moment ago; null before the first. */
  readonly answer: { readonly state: HairState; readonly plan: Plan } | null;
  /** A newer answer is being computed. */
  readonly pending: boolean;
  readonly failure: string | null;
}

interface Computed {
  /** What was asked; a newer question is on its way while it differs from what is on screen. */
  readonly question: HairQuestion;
  readonly state: HairState;
  readonly plan: Plan;
}

const HairAnswerContext = createContext<HairAnswer | null>(null);

/** Computes state and plan of the head on screen whenever its records change, off the main thread, once for all screens. */
export function HairAnswerProvider({ children }: { children: ReactNode }) {
  const head = useHead();
  const records = useAppSelector(selectAllRecords);
  const today = useToday();
  const [computed, setComputed] = useState<Computed | null>(null);
  const [failure, setFailure] = useState<string | null>(null);

  useEffect(() => {
    if (!head) return;
    let current = true;
    const compute = async () => {
      const question = { head, records: recordsFor(records, head.headId), today };
      const state = await askEstimator('estimate', question);
      const plan = await askPlanner('plan', { ...question, state, weeks: WEEKS });
      if (!current) return;
      setComputed({ question: { head, records, today }, state, plan });
      setFailure(null);
    };
    compute().catch(
      (error: unknown) => current && setFailure(`The week could not be computed: ${String(error)}`),
    );
    return () => {
      current = false;
    };
  }, [head, records, today]);

  const answer = computed && computed.question.head.headId === head?.headId ? computed : null;
  const pending =
    computed?.question.head !== head ||
    computed?.question.records !== records ||
    computed?.question.today !== today;
  return (
    <HairAnswerContext.Provider value={{ today, answer, pending, failure }}>
      {children}
    </HairAnswerContext.Provider>
  );
}

export function useHairAnswer(): HairAnswer {
  const value = useContext(HairAnswerContext);
  if (!value) throw new Error('useHairAnswer needs a HairAnswerProvider above it.');
  return value;
}
