import { useMemo } from 'react';
import { historyFrom } from '@/core/exchange';
import type { HeadHistory } from '@/core/hair';
import { CATALOGUE_LARDER } from '@/core/recipes';
import { selectLarder, selectLiveRecords, useAppSelector } from '@/store';

const NOTHING: HeadHistory = {
  recipes: [],
  readings: [],
  sessions: [],
  events: [],
  patchTests: [],
  trials: [],
  trialWashes: [],
  larder: CATALOGUE_LARDER,
};

/** What is known of one head. */
export function useHistory(headId: string | undefined): HeadHistory {
  const live = useAppSelector(selectLiveRecords);
  const larder = useAppSelector(selectLarder);
  return useMemo(
    () => (headId === undefined ? NOTHING : historyFrom(live, larder, headId)),
    [live, larder, headId],
  );
}
