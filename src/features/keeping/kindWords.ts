import { fixed, t } from '@/core/base/language';
import type { RecordKind, StoredRecord } from '@/core/records/shapes';

const KIND_WORDS: Readonly<Record<RecordKind, readonly [one: string, more: string]>> = {
  head: [t`description of a head`, t`descriptions of heads`],
  recipe: [t`version of a recipe`, t`versions of recipes`],
  reading: [t`reading`, t`readings`],
  session: [t`treatment`, t`treatments`],
  'wash-day': [t`wash day`, t`wash days`],
  event: [t`event`, t`events`],
  ingredient: [t`ingredient of your own`, t`ingredients of your own`],
  pantry: [t`pantry entry`, t`pantry entries`],
  batch: [t`batch`, t`batches`],
  'batch-event': [t`use of a batch`, t`uses of batches`],
  'patch-test': [t`patch test`, t`patch tests`],
  trial: [t`trial`, t`trials`],
  'trial-wash': [t`wash of a trial`, t`washes of trials`],
  photo: [t`picture`, t`pictures`],
  decision: [t`decision about the plan`, t`decisions about the plan`],
  occasion: [t`day or stretch of days`, t`days and stretches of days`],
  'plan-settings': [t`setting of the plan`, t`settings of the plan`],
  challenge: [t`challenge`, t`challenges`],
  kit: [t`list of what the house has`, t`lists of what the house has`],
  'calendar-export': [t`calendar file`, t`calendar files`],
  withdrawal: [t`thing taken back`, t`things taken back`],
};

/** "3 readings", "1 wash day": how many of each kind, the most first. */
export function kindCounts(records: readonly Pick<StoredRecord, 'kind'>[]): string[] {
  const counts = new Map<RecordKind, number>();
  for (const { kind } of records) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([kind, count]) => t`${count} ${KIND_WORDS[kind][count === 1 ? 0 : 1]}`);
}

const UNITS = [t`bytes`, 'KB', 'MB', 'GB'] as const;

/** "3.4 MB", in thousands. */
export function sizeText(bytes: number): string {
  let size = bytes;
  let unit = 0;
  while (size >= 1000 && unit < UNITS.length - 1) {
    size /= 1000;
    unit++;
  }
  return t`${unit === 0 || size >= 100 ? Math.round(size) : fixed(size, 1)} ${UNITS[unit] ?? ''}`;
}
