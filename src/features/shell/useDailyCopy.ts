import { useEffect } from 'react';
import { copyKept, selectStatus, useAppDispatch, useAppSelector } from '@/store';
import { newStamp } from '../shared/stamp';
import { whenIdle } from './whenIdle';

/** Keeps the copy of the day, when the page has nothing better to do. A browser without room says so when something is saved. */
export function useDailyCopy(): void {
  const isReady = useAppSelector(selectStatus) === 'ready';
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!isReady) return;
    const keep = () => {
      const { id, recordedAt: now } = newStamp();
      void dispatch(copyKept({ id, now }));
    };
    return whenIdle(keep);
  }, [isReady, dispatch]);
}
