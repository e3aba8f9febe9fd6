import { t } from '@/core/base/language';
import type { AGE_BANDS, CHEMISTRY, HEALTH, Head, Region } from '@/core/records/shapes';

export const AGE_WORDS: Readonly<Record<(typeof AGE_BANDS)[number], string>> = {
  baby: t`under three`,
  child: t`three to twelve`,
  teen: t`thirteen to nineteen`,
  adult: t`grown up`,
  older: t`sixty or more`,
};

export const CHEMISTRY_WORDS: Readonly<Record<(typeof CHEMISTRY)[number], string>> = {
  coloured: t`coloured`,
  bleached: t`bleached`,
  relaxed: t`relaxed`,
  permed: t`permed`,
  henna: t`henna`,
};

export const HEALTH_WORDS: Readonly<Record<(typeof HEALTH)[number], string>> = {
  pregnant: t`pregnant or nursing`,
  'scalp-condition': t`a scalp that is ill or sore`,
  medicine: t`medicine that changes hair or skin`,
};

export const DENSITY_WORDS: Readonly<Record<Head['density'], string>> = {
  thin: t`thin`,
  medium: t`medium`,
  thick: t`thick`,
};

export const STRAND_WORDS: Readonly<Record<Head['strand'], string>> = {
  fine: t`fine`,
  medium: t`medium`,
  coarse: t`coarse`,
};

export const PLACE_LABELS: Record<Region, string> = {
  front: t`Front`,
  crown: t`Crown`,
  sides: t`Side`,
  nape: t`Nape`,
};
