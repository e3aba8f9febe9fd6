import { useEffect } from 'react';
import type { HairState } from '@/core/hair/state';
import {
  answerWanted,
  selectAnswer,
  selectHairState,
  useAppDispatch,
  useAppSelector,
  type HeadAnswer,
} from '@/store';

function useWanted(what: 'states' | 'plan'): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    dispatch(answerWanted(what));
  }, [dispatch, what]);
}

/** The plan of the head on screen; null before there is one. From the first screen that asks on it is kept up to date. */
export function useHairAnswer(): HeadAnswer | null {
  useWanted('plan');
  return useAppSelector(selectAnswer);
}

/** The state of the head on screen; null before it is known. Looking at it starts no plan. */
export function useHairState(): HairState | null {
  useWanted('states');
  return useAppSelector(selectHairState);
}
