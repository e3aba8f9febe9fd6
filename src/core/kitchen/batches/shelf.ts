import { t } from '@lingui/core/macro';
import { addDays, daysBetween, invariant, type CalendarDay } from '../../base/measures';
import { weighedLines, type Larder, type WeighedLine } from '../../recipe/larder';
import {
  USE_FIRST_DAYS,
  type Batch,
  type BatchEvent,
  type Place,
  type RecipeVersion,
} from '../../records/shapes';
import { keepingOf, THAWED_DAYS } from './keeping';

export interface ShelfItem {
  readonly batch: Batch;
  readonly name: string;
  /** Portions that are left, in halves. */
  readonly left: number;
  readonly place: Place;
  readonly useBy: CalendarDay;
  /** Days from today to the last day; negative when it is past. */
  readonly daysLeft: number;
  readonly thawed: boolean;
  /** What spoils first, and why it does. */
  readonly limitedBy: string;
  readonly why: string;
  /** How spoilage shows. */
  readonly signs: string;
  /** Shaken before use: oil and water part in it. */
  readonly shakeFirst: boolean;
  readonly state: 'good' | 'use-first' | 'past' | 'gone';
}

/** Everything that was made, what is left of it and until when, the most pressing first and what is gone last. */
export function shelfOf(
  batches: readonly Batch[],
  events: readonly BatchEvent[],
  larder: Larder,
  today: CalendarDay,
): ShelfItem[] {
  const byBatch = new Map<string, BatchEvent[]>();
  for (const event of events) byBatch.set(event.batchId, [...(byBatch.get(event.batchId) ?? []), event]);
  return batches
    .map((batch) => shelfItem(batch, byBatch.get(batch.batchId) ?? [], larder, today))
    .sort((a, b) => ORDER[a.state] - ORDER[b.state] || a.daysLeft - b.daysLeft);
}

const ORDER = { past: 0, 'use-first': 1, good: 2, gone: 3 } as const;

function shelfItem(
  batch: Batch,
  events: readonly BatchEvent[],
  larder: Larder,
  today: CalendarDay,
): ShelfItem {
  const recipe = larder.used(batch);
  const lines = batchLines(batch, recipe, larder);
  let left = batch.portions;
  let stay: { place: Place; since: CalendarDay; thawed: boolean } = {
    place: batch.place,
    since: batch.madeOn,
    thawed: false,
  };
  for (const event of [...events].sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))) {
    if (event.what === 'moved' && event.place) stay = moved(stay, event.place, event.day);
    else left = Math.max(0, left - (event.portions ?? left));
  }
  const { days, limitedBy, why, signs, separates } = keepingOf(lines, stay.place);
  const useBy = addDays(stay.since, stay.thawed ? Math.min(days, THAWED_DAYS) : days);
  const daysLeft = daysBetween(today, useBy);
  return {
    batch,
    name: recipe?.name ?? t`A recipe that is no longer here`,
    left,
    place: stay.place,
    useBy,
    daysLeft,
    thawed: stay.thawed,
    limitedBy: stay.thawed ? 'thawing' : limitedBy,
    why: stay.thawed ? t`What was frozen is used within a day and never frozen again.` : why,
    signs,
    shakeFirst: separates,
    state: stateOf(left, daysLeft, stay.place),
  };
}

/** The last portion in the freezer is easily forgotten: it is to be used in its last weeks, days. */
const LAST_FROZEN_DAYS = 21;

function stateOf(left: number, daysLeft: number, place: Place): ShelfItem['state'] {
  if (left === 0) return 'gone';
  if (daysLeft < 0) return 'past';
  const isLastFrozen = place === 'freezer' && left <= 1;
  return daysLeft <= (isLastFrozen ? LAST_FROZEN_DAYS : USE_FIRST_DAYS) ? 'use-first' : 'good';
}

/** Cold slows spoiling, it does not turn it back: time already spent counts when it only moves between warm and cold. */
function moved(
  stay: { place: Place; since: CalendarDay; thawed: boolean },
  place: Place,
  day: CalendarDay,
): typeof stay {
  if (stay.place === 'freezer' && place !== 'freezer') return { place, since: day, thawed: true };
  return place === 'freezer' ? { place, since: day, thawed: false } : { ...stay, place };
}

/** What may not be done with what is left, in words; undefined where all is well. */
export function movingForbidden(item: ShelfItem, place: Place): string | undefined {
  if (place === 'freezer' && item.thawed) return t`It was frozen once: never freeze it again.`;
  if (place === 'freezer' && item.state === 'past')
    return t`It is past its day: freezing does not bring it back.`;
  return undefined;
}

/** The ingredients of a batch with what really went in. */
export function batchLines(batch: Batch, recipe: RecipeVersion | undefined, larder: Larder): WeighedLine[] {
  if (!recipe) return [];
  const real = recipe.lines.map((line, index) => {
    const grams = batch.weighed[index];
    return grams === null || grams === undefined ? line : { ...line, grams };
  });
  const weighed = weighedLines(real, larder);
  invariant(
    weighed.ok || weighed.problems[0].code === 'cycle' || weighed.problems[0].code === 'too-deep',
    'only a recipe of itself cannot be weighed',
  );
  return weighed.ok ? weighed.value : [];
}
