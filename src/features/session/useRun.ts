import { useMemo } from 'react';
import type { RunEvent, RunState, WashRun } from '@/core/hair/history';
import { runState } from '@/core/plan/washday';
import { selectWashRuns, useAppSelector } from '@/store';
import { useNow } from '../shared/useNow';
import { useHappen } from './useHappen';

const LOOK_EVERY_MS = 500;

type Happening = RunEvent extends infer Event
  ? Event extends RunEvent
    ? Omit<Event, 'at'> & { readonly at?: string }
    : never
  : never;

export interface LiveRun {
  readonly run: WashRun;
  readonly state: RunState;
  readonly now: string;
  /** Now, where no other time is given. */
  readonly happen: (event: Happening) => void;
}

/** The wash day of a head that is under way, second by second; null where none is. */
export function useRun(headId: string): LiveRun | null {
  const run = useAppSelector(selectWashRuns)[headId];
  const letHappen = useHappen();
  const time = useNow(LOOK_EVERY_MS, run !== undefined);
  return useMemo(() => {
    if (!run) return null;
    const now = new Date(time).toISOString();
    return {
      run,
      now,
      state: runState(run, now),
      happen: (event) => letHappen(headId, { at: new Date().toISOString(), ...event } as RunEvent),
    };
  }, [run, time, letHappen, headId]);
}
