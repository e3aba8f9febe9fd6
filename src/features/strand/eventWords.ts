import type { EventKind } from '@/core/readings';

/** What happened, as it is chosen and as it is listed. */
export const EVENT_WORDS: Record<EventKind, { readonly label: string; readonly note: string }> = {
  heat: { label: 'heat styling', note: 'An iron, a hot dryer, or work before a fire.' },
  swim: { label: 'swim', note: 'Pool or sea.' },
  bleach: { label: 'bleach', note: 'By a licensed stylist, best; it opens and weakens the strand.' },
  dye: { label: 'dye', note: 'Colour of any lasting kind.' },
  relaxer: { label: 'relaxer', note: 'By a licensed stylist, best; it breaks bonds for good.' },
  'style-in': {
    label: 'style goes in',
    note: 'Braids, twists, locs, a weave. It should not hurt: tight styles pull hair out.',
  },
  'style-out': { label: 'style comes out', note: 'Expect the shed hairs of all those weeks at once.' },
  'dry-air': { label: 'dry air', note: 'Frost outside, heating inside, wind.' },
  'humid-air': { label: 'humid air', note: 'Sultry days, rain.' },
  'hard-water': { label: 'hard water', note: 'Travel, a new flat, a well.' },
  illness: {
    label: 'illness',
    note: 'Fever, an operation, a new medicine: shedding may follow two or three months later. Ask a doctor about it.',
  },
};
