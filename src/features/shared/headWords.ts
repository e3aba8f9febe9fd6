import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import {
  COMPLAINTS,
  type AGE_BANDS,
  type CHEMISTRY,
  type Complaint,
  type HEALTH,
  type Head,
  type Region,
} from '@/core/records/shapes';

export const ageWords = perLanguage((): Readonly<Record<(typeof AGE_BANDS)[number], string>> => ({
  baby: t`under three`,
  child: t`three to twelve`,
  teen: t`thirteen to nineteen`,
  adult: t`grown up`,
  older: t`sixty or more`,
}));

export const chemistryWords = perLanguage((): Readonly<Record<(typeof CHEMISTRY)[number], string>> => ({
  coloured: t`coloured`,
  bleached: t`bleached`,
  relaxed: t`relaxed`,
  permed: t`permed`,
  henna: t`henna`,
}));

export const healthWords = perLanguage((): Readonly<Record<(typeof HEALTH)[number], string>> => ({
  pregnant: t`pregnant or nursing`,
  'scalp-condition': t`a scalp that is ill or sore`,
  medicine: t`medicine that changes hair or skin`,
}));

export const densityWords = perLanguage((): Readonly<Record<Head['density'], string>> => ({
  thin: t({ message: 'thin', context: 'how many strands there are' }),
  medium: t({ message: 'medium', context: 'how many strands there are' }),
  thick: t({ message: 'thick', context: 'how many strands there are' }),
}));

export const strandWords = perLanguage((): Readonly<Record<Head['strand'], string>> => ({
  fine: t({ message: 'fine', context: 'of one strand' }),
  medium: t({ message: 'medium', context: 'of one strand' }),
  coarse: t({ message: 'coarse', context: 'of one strand' }),
}));

export const complaintWords = perLanguage((): Readonly<Record<Complaint, string>> => ({
  breaks: t`it breaks`,
  sheds: t`it sheds`,
  dry: t`it's dry`,
  tangles: t`it tangles`,
  frizz: t`frizz`,
  limp: t`limp, gummy`,
  stiff: t`stiff, like straw`,
  edges: t`thinning edges`,
  scalp: t`itchy or flaky scalp`,
  greasy: t`greasy`,
  length: t`doesn't keep its length`,
}));
export const complaintOptions = perLanguage(() =>
  COMPLAINTS.map((value) => ({ value, label: complaintWords()[value] })),
);

export const placeLabels = perLanguage((): Record<Region, string> => ({
  front: t`Front`,
  crown: t`Crown`,
  sides: t`Side`,
  nape: t`Nape`,
}));
