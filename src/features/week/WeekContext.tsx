import { createContext, useContext } from 'react';
import type { CalendarDay } from '@/core/base/measures';
import type { Assignment, Plan } from '@/core/plan/planning';
import type { WhatIfQuestion } from '@/core/plan/scheduling';
import type { Head } from '@/core/records/shapes';
import type { Decisions } from '../shared/useDecisions';
import type { WhatIf } from './useWhatIf';

/** What the parts of the week share. */
export interface WeekState {
  readonly head: Head;
  readonly today: CalendarDay;
  readonly plan: Plan;
  readonly decisions: Decisions;
  /** The treatment that is open, by its key. */
  readonly open: string | null;
  readonly toggle: (assignment: Assignment) => void;
  readonly done: (assignment: Assignment, day: CalendarDay) => void;
  /** The treatment that looks for another day. */
  readonly moving: Assignment | null;
  readonly startMove: (assignment: Assignment | null) => void;
  readonly moveTo: (day: CalendarDay) => void;
  /** The day that something is added to. */
  readonly adding: CalendarDay | null;
  readonly startAdd: (day: CalendarDay | null) => void;
  readonly whatIf: WhatIf;
  readonly ask: (whatIf: Omit<WhatIfQuestion, 'headId'>) => void;
}

const WeekContext = createContext<WeekState | null>(null);
export const WeekProvider = WeekContext.Provider;

export function useWeek(): WeekState {
  const value = useContext(WeekContext);
  if (!value) throw new Error('useWeek needs a WeekProvider above it.');
  return value;
}
