import type { School } from '@/core/records/shapes';
import { useHead } from './useHead';

/** What counts as protein for who is on screen; before there is anybody, what hair itself decides. */
export function useSchool(): School {
  return useHead()?.school ?? 'my-hair';
}
