import { perLanguage } from '@/core/base/language';
import { allergenWords } from '@/core/kitchen/batches';
import { ALLERGIES } from '@/core/records/shapes';

/** What a head can react to and an ingredient can be marked with, to choose from. */
export const allergyOptions = perLanguage(() =>
  ALLERGIES.map((value) => ({ value, label: allergenWords(value) })),
);
