import { useMemo } from 'react';
import { historyOf } from '@/core/exchange';
import type { HeadHistory } from '@/core/hair';
import { selectLiveRecords, useAppSelector } from '@/store';

const NOTHING: HeadHistory = { recipes: [], readings: [], sessions: [], events: [] };

/** What is known of one head. */
export function useHistory(headId: string | undefined): HeadHistory {
  const records = useAppSelector(selectLiveRecords);
  return useMemo(() => (headId === undefined ? NOTHING : historyOf(records, headId)), [records, headId]);
}
