import { useCallback } from 'react';
import type { RunEvent } from '@/core/hair/history';
import { withEvent } from '@/core/plan/washday';
import { selectWashRuns, useAppStore, washChanged } from '@/store';

/** Lets something happen on the wash day of a head, as it stands that moment: two taps may come before one is drawn. */
export function useHappen(): (headId: string, event: RunEvent) => void {
  const store = useAppStore();
  return useCallback(
    (headId, event) => {
      const run = selectWashRuns(store.getState())[headId];
      const next = run && withEvent(run, event);
      if (next && next !== run) store.dispatch(washChanged(next));
    },
    [store],
  );
}
