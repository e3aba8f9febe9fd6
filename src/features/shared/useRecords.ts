import { useCallback } from 'react';
import type { StoredRecord } from '@/core/exchange';
import { recordsAdded, useAppDispatch } from '@/store';
import { newStamp } from './stamp';
import { offerUndo } from './undo';

/** Adds records and offers to take them back; taking back is a record too. */
export function useAddRecords(): (records: readonly StoredRecord[], said: string) => void {
  const dispatch = useAppDispatch();
  return useCallback(
    (records, said) => {
      dispatch(recordsAdded(records));
      offerUndo(said, () => {
        dispatch(
          recordsAdded(
            records.map((record) => ({ ...newStamp(), kind: 'withdrawal' as const, withdraws: record.id })),
          ),
        );
      });
    },
    [dispatch],
  );
}
