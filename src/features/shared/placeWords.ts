import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { Place } from '@/core/records/shapes';

/** Where a batch stands. */
export const placeWords = perLanguage((): Record<Place, string> => ({
  room: t`at room warmth`,
  fridge: t`in the fridge`,
  freezer: t`frozen`,
}));
