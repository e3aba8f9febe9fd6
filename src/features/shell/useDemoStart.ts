import { t } from '@lingui/core/macro';
import { router, useGlobalSearchParams } from 'expo-router';
import { useEffect } from 'react';
import { selectAllRecords, selectStatus, undoOffered, useAppDispatch, useAppSelector } from '@/store';
import { loadDemo } from '../shared/demo';

/** The address ?start=demo opens the demo where nothing is stored yet; where something is, it changes nothing. */
export function useDemoStart(): void {
  const { start } = useGlobalSearchParams<{ start?: string }>();
  const dispatch = useAppDispatch();
  const status = useAppSelector(selectStatus);
  const isEmpty = useAppSelector(selectAllRecords).length === 0;
  useEffect(() => {
    if (start !== 'demo' || status === 'loading') return;
    if (isEmpty) void loadDemo(dispatch);
    else
      dispatch(
        undoOffered({
          said: t`The demo was not opened: something of yours is stored here, and it stays as it is.`,
          recordIds: [],
        }),
      );
    router.setParams({ start: undefined });
  }, [start, status, isEmpty, dispatch]);
}
