import { useMemo } from 'react';
import { historyOf } from '@/core/exchange';
import type { HeadHistory } from '@/core/hair';
import { CATALOGUE_LARDER } from '@/core/recipes';
import { selectAllRecords, useAppSelector } from '@/store';

const NOTHING: HeadHistory = {
  recipes: [],
  readings: [],
  sessions: [],
  events: [],
  patchTests: [],
  larder: CATALOGUE_LARDER,
};

/** What is known of one head. */
export function useHistory(headId: string | undefined): HeadHistory {
  const records = useAppSelector(selectAllRecords);
  return useMemo(() => (headId === undefined ? NOTHING : historyOf(records, headId)), [records, headId]);
}
