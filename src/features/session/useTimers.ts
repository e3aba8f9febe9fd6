import { useMemo } from 'react';
import type { TimerState } from '@/core/hair/history';
import { runState } from '@/core/plan/washday';
import { selectHeads, selectWashRuns, useAppSelector } from '@/store';
import { useNow } from '../shared/useNow';

export interface HeadTimer extends TimerState {
  readonly headId: string;
  readonly headName: string;
}

const LOOK_EVERY_MS = 500;

/** All clocks of all wash days that are under way, the next to ring first. */
export function useTimers(): { readonly timers: readonly HeadTimer[]; readonly now: string } {
  const runs = useAppSelector(selectWashRuns);
  const heads = useAppSelector(selectHeads);
  const time = useNow(LOOK_EVERY_MS, Object.keys(runs).length > 0);
  return useMemo(() => {
    const now = new Date(time).toISOString();
    const timers = Object.values(runs).flatMap((run) =>
      runState(run, now).timers.map((timer): HeadTimer => ({
        ...timer,
        headId: run.headId,
        headName: heads.find(({ headId }) => headId === run.headId)?.name ?? '',
      })),
    );
    return { now, timers: timers.sort((a, b) => (a.dueAt < b.dueAt ? -1 : 1)) };
  }, [runs, heads, time]);
}
