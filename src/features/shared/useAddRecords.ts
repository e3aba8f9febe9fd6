import { useCallback } from 'react';
import type { StoredRecord } from '@/core/exchange';
import { recordsAdded, undoOffered, useAppDispatch } from '@/store';

/** Adds records, says so, and offers to take them back. */
export function useAddRecords(): (records: readonly StoredRecord[], said: string) => void {
  const dispatch = useAppDispatch();
  return useCallback(
    (records, said) => {
      dispatch(recordsAdded(records));
      dispatch(undoOffered({ said, recordIds: records.map((record) => record.id) }));
    },
    [dispatch],
  );
}
