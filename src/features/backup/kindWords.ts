import { plural, t } from '@lingui/core/macro';
import { fixed, perLanguage } from '@/core/base/language';
import type { RecordKind, StoredRecord } from '@/core/records/shapes';

/** So many of a kind. */
const COUNTED: Readonly<Record<RecordKind, (count: number) => string>> = {
  head: (count) => plural(count, { one: '# description of a person', other: '# descriptions of people' }),
  recipe: (count) => plural(count, { one: '# version of a recipe', other: '# versions of recipes' }),
  reading: (count) => plural(count, { one: '# check', other: '# checks' }),
  session: (count) => plural(count, { one: '# treatment', other: '# treatments' }),
  'wash-day': (count) => plural(count, { one: '# wash day', other: '# wash days' }),
  event: (count) => plural(count, { one: '# event', other: '# events' }),
  ingredient: (count) =>
    plural(count, { one: '# ingredient of your own', other: '# ingredients of your own' }),
  pantry: (count) => plural(count, { one: '# pantry entry', other: '# pantry entries' }),
  batch: (count) => plural(count, { one: '# batch', other: '# batches' }),
  'batch-event': (count) => plural(count, { one: '# use of a batch', other: '# uses of batches' }),
  'patch-test': (count) => plural(count, { one: '# patch test', other: '# patch tests' }),
  trial: (count) => plural(count, { one: '# trial', other: '# trials' }),
  forecast: (count) => plural(count, { one: '# forecast', other: '# forecasts' }),
  'trial-wash': (count) => plural(count, { one: '# wash of a trial', other: '# washes of trials' }),
  photo: (count) => plural(count, { one: '# picture', other: '# pictures' }),
  decision: (count) =>
    plural(count, { one: '# decision about the plan', other: '# decisions about the plan' }),
  occasion: (count) =>
    plural(count, { one: '# day or stretch of days', other: '# days and stretches of days' }),
  'plan-settings': (count) =>
    plural(count, { one: '# setting of the plan', other: '# settings of the plan' }),
  rhythm: (count) => plural(count, { one: '# rhythm', other: '# rhythms' }),
  leftover: (count) => plural(count, { one: '# thing left over', other: '# things left over' }),
  science: (count) => plural(count, { one: '# choice of what counts', other: '# choices of what counts' }),
  kit: (count) =>
    plural(count, { one: '# list of what the house has', other: '# lists of what the house has' }),
  'calendar-export': (count) => plural(count, { one: '# calendar file', other: '# calendar files' }),
  withdrawal: (count) => plural(count, { one: '# thing removed', other: '# things removed' }),
};

/** "3 readings", "1 wash day": how many of each kind, the most first. */
export function kindCounts(records: readonly Pick<StoredRecord, 'kind'>[]): string[] {
  const counts = new Map<RecordKind, number>();
  for (const { kind } of records) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1]).map(([kind, count]) => COUNTED[kind](count));
}

const sizeUnits = perLanguage(() => [t`bytes`, 'KB', 'MB', 'GB'] as const);

/** "3.4 MB", in thousands. */
export function sizeText(bytes: number): string {
  let size = bytes;
  let unit = 0;
  while (size >= 1000 && unit < sizeUnits().length - 1) {
    size /= 1000;
    unit++;
  }
  const figure = unit === 0 || size >= 100 ? String(Math.round(size)) : fixed(size, 1);
  return `${figure} ${sizeUnits()[unit] ?? ''}`;
}
