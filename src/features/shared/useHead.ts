import type { Head } from '@/core/records/shapes';
import { selectHead, useAppSelector } from '@/store';

/** The head on screen: the chosen one, or the first; undefined before there is any. */
export function useHead(): Head | undefined {
  return useAppSelector(selectHead);
}
