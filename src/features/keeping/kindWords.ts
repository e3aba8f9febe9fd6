import type { RecordKind, StoredRecord } from '@/core/exchange';

const KIND_WORDS: Readonly<Record<RecordKind, readonly [one: string, more: string]>> = {
  head: ['description of a head', 'descriptions of heads'],
  recipe: ['version of a recipe', 'versions of recipes'],
  reading: ['reading', 'readings'],
  session: ['treatment', 'treatments'],
  'wash-day': ['wash day', 'wash days'],
  event: ['event', 'events'],
  ingredient: ['ingredient of your own', 'ingredients of your own'],
  pantry: ['pantry entry', 'pantry entries'],
  batch: ['batch', 'batches'],
  'batch-event': ['use of a batch', 'uses of batches'],
  'patch-test': ['patch test', 'patch tests'],
  trial: ['trial', 'trials'],
  'trial-wash': ['wash of a trial', 'washes of trials'],
  photo: ['picture', 'pictures'],
  decision: ['decision about the plan', 'decisions about the plan'],
  occasion: ['day or stretch of days', 'days and stretches of days'],
  'plan-settings': ['setting of the plan', 'settings of the plan'],
  challenge: ['challenge', 'challenges'],
  kit: ['list of what the house has', 'lists of what the house has'],
  'calendar-export': ['calendar file', 'calendar files'],
  withdrawal: ['thing taken back', 'things taken back'],
};

/** "3 readings", "1 wash day": how many of each kind, the most first. */
export function kindCounts(records: readonly Pick<StoredRecord, 'kind'>[]): string[] {
  const counts = new Map<RecordKind, number>();
  for (const { kind } of records) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([kind, count]) => `${count} ${KIND_WORDS[kind][count === 1 ? 0 : 1]}`);
}

const UNITS = ['bytes', 'KB', 'MB', 'GB'] as const;

/** "3.4 MB", in thousands. */
export function sizeText(bytes: number): string {
  let size = bytes;
  let unit = 0;
  while (size >= 1000 && unit < UNITS.length - 1) {
    size /= 1000;
    unit++;
  }
  return `${unit === 0 || size >= 100 ? Math.round(size) : size.toFixed(1)} ${UNITS[unit] ?? ''}`;
}
