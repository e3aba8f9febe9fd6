import { t } from '@/core/base/language';
import type { WashDayStep } from '@/core/records/shapes';

/** What became of a step that was not done. */
const NOT_DONE_WORDS: Readonly<Record<Exclude<WashDayStep['outcome'], 'done'>, string>> = {
  skipped: t`skipped`,
  'left-out': t`not needed`,
  'not-reached': t`not reached`,
};

/** Planned against done: "60 min planned, 95 done". */
export function stepOutcomeWords({ outcome, planned, real }: WashDayStep): string {
  if (outcome !== 'done') return NOT_DONE_WORDS[outcome];
  return t`${planned} min planned, ${real === null ? t`not timed` : t`${Math.round(real)} done`}`;
}
