import type { RhythmId } from '@/core/scheduling';

export const RHYTHM_LABELS: Readonly<Record<RhythmId, { readonly label: string; readonly why: string }>> = {
  plan: { label: 'The plan', why: 'What the planner would do.' },
  'without-pre-poos': {
    label: 'The plan, no pre-poos',
    why: 'The same washes, with nothing before the shampoo.',
  },
  'strong-weekly': { label: 'Strong protein weekly', why: 'The strongest protein, every week.' },
  'light-weekly': { label: 'Light protein weekly', why: 'A light protein, every week.' },
  'moisture-only': { label: 'Moisture only', why: 'The strongest moisture, every week.' },
  nothing: { label: 'Nothing', why: 'Water alone.' },
  own: { label: 'Your own', why: 'What you put together.' },
};
