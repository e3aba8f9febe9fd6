import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import type { TreatmentKind } from './schoolVerdict';

/** A kind by itself; within a sentence it is written small. */
export const kindLabels = perLanguage((): Record<TreatmentKind, string> => ({
  protein: t`Protein`,
  moisture: t`Moisture`,
  balanced: t`Balanced`,
  oil: t`Oil`,
  rinse: t`A rinse`,
}));
