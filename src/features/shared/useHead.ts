import type { Head } from '@/core/hair';
import { selectHeads, selectPrefs, useAppSelector } from '@/store';

/** The head on screen: the chosen one, or the first; undefined before there is any. */
export function useHead(): Head | undefined {
  const heads = useAppSelector(selectHeads);
  const { headId } = useAppSelector(selectPrefs);
  return heads.find((head) => head.headId === headId) ?? heads[0];
}
