import { t } from '@lingui/core/macro';
import { perLanguage } from '@/core/base/language';
import type { WashDayStep } from '@/core/records/shapes';

/** What became of a step that was not done. */
const notDoneWords = perLanguage((): Readonly<Record<Exclude<WashDayStep['outcome'], 'done'>, string>> => ({
  skipped: t`skipped`,
  'left-out': t`not needed`,
  'not-reached': t`not reached`,
}));

/** Planned against done: "60 min planned, 95 done". */
export function stepOutcomeWords({ outcome, planned, real }: WashDayStep): string {
  if (outcome !== 'done') return notDoneWords()[outcome];
  return real === null
    ? t`${planned} min planned, not timed`
    : t`${planned} min planned, ${{ real: Math.round(real) }} done`;
}
