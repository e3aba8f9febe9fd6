import { addDays, dayRange, daysBetween, type CalendarDay } from '../../base/measures';
import type { Slot } from '../../records/shapes';
import { isAvoided, isSmall, PLAIN_WASH_ID } from '../agenda';
import {
  draftOf,
  lastUse,
  washWindow,
  withPortion,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
  type Treatment,
} from '../planning';

/**
 * The beats between the washes, which move no forecast and ask for no free day: placed around the washes that stand. Taking
 * each as late as its rule allows is the fewest that keep it.
 * @param elsewhere what other heads take from the shelf
 */
export function smallBeats(
  problem: PlanProblem,
  head: HeadProblem,
  washes: readonly PlanDraft[],
  elsewhere: readonly PlanDraft[] = [],
): PlanDraft[] {
  const days = dayRange(problem.from, 7 * problem.weeks);
  const washDays = new Set(washes.filter(({ slot }) => slot === 'main').map(({ day }) => day));
  const decided = decidedBeats(head, days);
  const beats = [
    ...decided,
    ...spaced(problem, head, days, washDays, {
      slot: 'refresh',
      use: 'rinse',
      every: head.rules.refreshEvery,
    }),
    ...spaced(problem, head, days, washDays, { slot: 'mist', use: 'mist', every: 1 }),
    ...spaced(problem, head, days, washDays, { slot: 'serum', use: 'serum', every: 1 }),
    ...scalpBeats(problem, head, days, washDays),
  ].filter(
    (beat, index, all) =>
      all.findIndex((other) => other.day === beat.day && other.slot === beat.slot) === index,
  );
  return fromShelf(beats, [...washes, ...elsewhere]);
}

/** The earliest first, as long as there are portions. */
function fromShelf(beats: readonly PlanDraft[], taken: readonly PlanDraft[]): PlanDraft[] {
  const found: PlanDraft[] = [];
  for (const beat of [...beats].sort((a, b) => daysBetween(b.day, a.day)))
    found.push(withPortion(beat, [...taken, ...found]));
  return found;
}

function decidedBeats({ decisions, treatments }: HeadProblem, days: readonly CalendarDay[]): PlanDraft[] {
  return decisions.flatMap(({ what, slot, day, recipeId }) => {
    const treatment = treatments.find((known) => known.recipeId === recipeId);
    return what === 'place' && isSmall({ slot }) && treatment && days.includes(day)
      ? [draftOf(day, treatment, slot)]
      : [];
  });
}

/** What is known to this head, or has passed its patch test, and among these what would spoil first. */
function chosen(
  { treatments }: HeadProblem,
  use: Treatment['use'],
  from: CalendarDay,
): Treatment | undefined {
  const ready = treatments.filter(
    (treatment) =>
      treatment.use === use &&
      (!treatment.isNew || treatment.patchTest === 'clear') &&
      treatment.allowedFrom <= from,
  );
  const soonest = ({ batches }: Treatment) => batches[0]?.useBy ?? '9999-12-31';
  return [...ready].sort((a, b) => (soonest(a) < soonest(b) ? -1 : soonest(a) > soonest(b) ? 1 : 0))[0];
}

interface Habit {
  readonly slot: Slot;
  readonly use: Treatment['use'];
  /** Days from one to the next; null where the rule is off. */
  readonly every: number | null;
}

/** Every so many days since the last one or the last wash, and not on the day before a wash or on its day. */
function spaced(
  problem: PlanProblem,
  head: HeadProblem,
  days: readonly CalendarDay[],
  washDays: ReadonlySet<CalendarDay>,
  { slot, use, every }: Habit,
): PlanDraft[] {
  const treatment = chosen(head, use, problem.from);
  if (!treatment || every === null) return [];
  const found: PlanDraft[] = [];
  const isWash = (use: { readonly use: string }) => use.use === 'mask';
  let since = Math.min(
    every,
    -lastUse(head.past, (past) => isWash(past) || past.recipeId === treatment.recipeId, problem.from),
  );
  for (const day of days) {
    if (washDays.has(day)) since = 0;
    else if (
      since >= every &&
      !(every > 1 && washDays.has(addDays(day, 1))) &&
      !isAvoided(head.decisions, { day, slot, recipeId: treatment.recipeId })
    ) {
      found.push(draftOf(day, treatment, slot));
      since = 0;
    }
    since++;
  }
  return found;
}

/** Scalp oil is washed out: it goes on the evening before a wash, or where washes are far apart, when it is due. */
function scalpBeats(
  problem: PlanProblem,
  head: HeadProblem,
  days: readonly CalendarDay[],
  washDays: ReadonlySet<CalendarDay>,
): PlanDraft[] {
  const every = head.rules.scalpEvery;
  const treatment = chosen(head, 'scalp-oil', problem.from);
  if (!treatment || every === null || treatment.recipeId === PLAIN_WASH_ID) return [];
  const found: PlanDraft[] = [];
  let last = lastUse(head.past, ({ recipeId }) => recipeId === treatment.recipeId, problem.from);
  for (const day of days) {
    const at = daysBetween(problem.from, day);
    const isBeforeAWash = washDays.has(addDays(day, 1));
    const inStyle = washWindow(head, day) === 'style';
    const due = at - last >= every || (isBeforeAWash && at - last >= every - 1);
    if (
      !due ||
      !(isBeforeAWash || inStyle) ||
      isAvoided(head.decisions, { day, slot: 'scalp', recipeId: treatment.recipeId })
    )
      continue;
    found.push(draftOf(day, treatment, 'scalp'));
    last = at;
  }
  return found;
}
