import { t } from '@lingui/core/macro';
import { perLanguage } from '../../base/language';
import type { TreatmentKind } from './schoolVerdict';

/** Kinds within a sentence. */
export const kindNames = perLanguage((): Record<TreatmentKind, string> => ({
  protein: t`protein`,
  moisture: t`moisture`,
  balanced: t`balanced`,
  oil: t`oil`,
  rinse: t`a rinse`,
}));
