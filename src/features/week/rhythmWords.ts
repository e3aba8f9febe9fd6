import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { TryoutRhythmId } from '@/core/plan/scheduling';

export const rhythmLabels = perLanguage(
  (): Readonly<Record<TryoutRhythmId, { readonly label: string; readonly why: string }>> => ({
    plan: { label: t`Today’s advice`, why: t`A stroke of the hand on each free day, then what Today says.` },
    'weekly-check': { label: t`Checked once a week`, why: t`The same advice, with a check a week.` },
    'no-check': { label: t`Never checked`, why: t`The same advice, from what is known today.` },
    'strong-weekly': { label: t`Strong protein weekly`, why: t`The strongest protein, every week.` },
    'light-weekly': { label: t`Light protein weekly`, why: t`A light protein, every week.` },
    'moisture-only': { label: t`Moisture only`, why: t`The strongest moisture, every week.` },
    nothing: { label: t`Nothing`, why: t`Water alone.` },
    own: { label: t`Your own`, why: t`What you put together.` },
  }),
);
