import type { WashDayStep } from '@/core/sessions';

/** What became of a step that was not done. */
export const NOT_DONE_WORDS: Readonly<Record<Exclude<WashDayStep['outcome'], 'done'>, string>> = {
  skipped: 'skipped',
  'left-out': 'not needed',
  'not-reached': 'not reached',
};
