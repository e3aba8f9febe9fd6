import { t } from '@/core/base/language';
import type { Place } from '@/core/records/shapes';

/** Where a batch stands. */
export const PLACE_WORDS: Record<Place, string> = {
  room: t`at room warmth`,
  fridge: t`in the fridge`,
  freezer: t`frozen`,
};
