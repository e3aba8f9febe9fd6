import { useCallback } from 'react';
import type { StoredRecord } from '@/core/records/shapes';
import {
  recordsAdded,
  recordsTaken,
  selectKnownStates,
  undoOffered,
  useAppDispatch,
  useAppStore,
} from '@/store';
import { forecastsBefore } from './forecastsBefore';
import { newStamp } from './stamp';

/**
 * Adds records, says so, and offers to take them back.
 * @param from "elsewhere": a file or a copy, whose records stay as they were written there
 */
export type AddRecords = (
  records: readonly StoredRecord[],
  said: string,
  from?: 'here' | 'elsewhere',
) => void;

export function useAddRecords(): AddRecords {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  return useCallback(
    (told, said, from = 'here') => {
      const records =
        from === 'here'
          ? [...forecastsBefore(told, selectKnownStates(store.getState()), newStamp), ...told]
          : told;
      dispatch(from === 'here' ? recordsAdded(records) : recordsTaken(records));
      dispatch(undoOffered({ said, recordIds: records.map((record) => record.id) }));
    },
    [dispatch, store],
  );
}
