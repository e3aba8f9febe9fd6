import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { TryoutRhythmId } from '@/core/plan/scheduling';

export const rhythmLabels = perLanguage(
  (): Readonly<Record<TryoutRhythmId, { readonly label: string; readonly why: string }>> => ({
    plan: { label: t`The plan`, why: t`What the planner would do.` },
    'without-pre-poos': {
      label: t`The plan, no pre-poos`,
      why: t`The same washes, with nothing before the shampoo.`,
    },
    'strong-weekly': { label: t`Strong protein weekly`, why: t`The strongest protein, every week.` },
    'light-weekly': { label: t`Light protein weekly`, why: t`A light protein, every week.` },
    'moisture-only': { label: t`Moisture only`, why: t`The strongest moisture, every week.` },
    nothing: { label: t`Nothing`, why: t`Water alone.` },
    own: { label: t`Your own`, why: t`What you put together.` },
  }),
);
