import type { Larder } from '@/core/recipe/larder';
import { selectLarder, useAppSelector } from '@/store';

/** The catalogue with her own ingredients and recipes. */
export function useLarder(): Larder {
  return useAppSelector(selectLarder);
}
