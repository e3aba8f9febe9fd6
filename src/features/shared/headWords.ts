import type { AGE_BANDS, CHEMISTRY, HEALTH } from '@/core/hair';

export const AGE_WORDS: Readonly<Record<(typeof AGE_BANDS)[number], string>> = {
  baby: 'under three',
  child: 'three to twelve',
  teen: 'thirteen to nineteen',
  adult: 'grown up',
  older: 'sixty or more',
};

export const CHEMISTRY_WORDS: Readonly<Record<(typeof CHEMISTRY)[number], string>> = {
  coloured: 'coloured',
  bleached: 'bleached',
  relaxed: 'relaxed',
  permed: 'permed',
  henna: 'henna',
};

export const HEALTH_WORDS: Readonly<Record<(typeof HEALTH)[number], string>> = {
  pregnant: 'pregnant or nursing',
  'scalp-condition': 'a scalp that is ill or sore',
  medicine: 'medicine that changes hair or skin',
};
