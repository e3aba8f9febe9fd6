import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { EventKind } from '@/core/records/shapes';

/** What happened, as it is chosen and as it is listed. */
export const eventWords = perLanguage(
  (): Record<EventKind, { readonly label: string; readonly note: string }> => ({
    heat: { label: t`heat styling`, note: t`An iron, a hot dryer, or work before a fire.` },
    swim: { label: t`swim`, note: t`Pool or sea.` },
    bleach: { label: t`bleach`, note: t`By a licensed stylist, best; it opens and weakens the strand.` },
    dye: { label: t`dye`, note: t`Colour of any lasting kind.` },
    relaxer: { label: t`relaxer`, note: t`By a licensed stylist, best; it breaks bonds for good.` },
    perm: { label: t`perm`, note: t`Curls or waves set with chemicals; it weakens the strand.` },
    'heat-damage': {
      label: t`heat damage`,
      note: t`Curls that no longer spring back after an iron. It stays until that hair is cut off.`,
    },
    'style-in': {
      label: t`style goes in`,
      note: t`Braids, twists, locs, a weave. It should not hurt: tight styles pull hair out.`,
    },
    'style-out': { label: t`style comes out`, note: t`Expect the shed hairs of all those weeks at once.` },
    'dry-air': { label: t`dry air`, note: t`Frost outside, heating inside, wind.` },
    'humid-air': { label: t`humid air`, note: t`Sultry days, rain.` },
    'hard-water': { label: t`hard water`, note: t`Travel, a new flat, a well.` },
    illness: {
      label: t`illness`,
      note: t`Fever, an operation, a new medicine: shedding may follow two or three months later. Ask a doctor about it.`,
    },
  }),
);
