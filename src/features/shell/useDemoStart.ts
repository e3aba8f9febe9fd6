import { router, useGlobalSearchParams } from 'expo-router';
import { useEffect } from 'react';
import { selectHeads, selectStatus, useAppDispatch, useAppSelector } from '@/store';
import { loadDemo } from '../shared/demo';

/** The address ?start=demo opens the demo where nothing is stored yet; where something is, it changes nothing. */
export function useDemoStart(): void {
  const { start } = useGlobalSearchParams<{ start?: string }>();
  const dispatch = useAppDispatch();
  const status = useAppSelector(selectStatus);
  const isEmpty = useAppSelector(selectHeads).length === 0;
  useEffect(() => {
    if (start !== 'demo' || status === 'loading') return;
    if (isEmpty) void loadDemo(dispatch);
    router.setParams({ start: undefined });
  }, [start, status, isEmpty, dispatch]);
}
