import type { Place } from '@/core/batches';
import { t } from '@/core/language';

/** Where a batch stands. */
export const PLACE_WORDS: Record<Place, string> = {
  room: t`at room warmth`,
  fridge: t`in the fridge`,
  freezer: t`frozen`,
};
