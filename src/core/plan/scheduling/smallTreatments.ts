import { addDays, dayRange, daysBetween, type CalendarDay } from '../../base/measures';
import type { Slot } from '../../records/shapes';
import { holdsOn, isAvoided, isSmall, PLAIN_WASH_ID, USE_OF_SLOT } from '../agenda';
import {
  draftOf,
  isBig,
  lastUse,
  washWindow,
  withPortion,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
  type Treatment,
} from '../planning';

/**
 * The treatments between the washes, which move no forecast and ask for no free day: placed around the washes that stand. Taking
 * each as late as its rule allows is the fewest that keep it.
 * @param elsewhere what other heads take from the shelf
 */
export function smallTreatments(
  problem: PlanProblem,
  head: HeadProblem,
  washes: readonly PlanDraft[],
  elsewhere: readonly PlanDraft[] = [],
): PlanDraft[] {
  const days = dayRange(problem.from, 7 * problem.weeks);
  const washDays = new Set(washes.filter(({ slot }) => slot === 'main').map(({ day }) => day));
  const asked = askedTreatments(problem, head, days, washDays);
  // What has a rhythm of hers goes by it, and by nothing else.
  const isAsked = (slot: Slot) =>
    head.rhythms.some((demand) => !isBig(demand) && demand.slots.includes(slot));
  const habits = [
    ...spaced(problem, head, days, washDays, {
      slot: 'refresh',
      use: 'rinse',
      every: head.rules.refreshEvery,
    }),
    ...spaced(problem, head, days, washDays, { slot: 'mist', use: 'mist', every: 1 }),
    ...spaced(problem, head, days, washDays, { slot: 'serum', use: 'serum', every: 1 }),
    ...scalpTreatments(problem, head, days, washDays),
    ...leaveIns(problem, head, days, washDays),
  ].filter(({ slot }) => !isAsked(slot));
  const wanted = [...decidedTreatments(head, days), ...asked];
  const isSame = (a: PlanDraft, b: PlanDraft) =>
    a.day === b.day && a.slot === b.slot && a.recipeId === b.recipeId;
  const assignments = [
    ...wanted.filter((assignment, index) => wanted.findIndex((other) => isSame(other, assignment)) === index),
    ...habits.filter(
      (assignment, index) =>
        ![...wanted, ...habits.slice(0, index)].some(
          (other) => other.day === assignment.day && other.slot === assignment.slot,
        ),
    ),
  ];
  return fromShelf(assignments, [...washes, ...elsewhere]);
}

/** The earliest first, as long as there are portions. */
function fromShelf(assignments: readonly PlanDraft[], taken: readonly PlanDraft[]): PlanDraft[] {
  const found: PlanDraft[] = [];
  for (const assignment of [...assignments].sort((a, b) => daysBetween(b.day, a.day)))
    found.push(withPortion(assignment, [...taken, ...found]));
  return found;
}

function decidedTreatments(
  { decisions, treatments }: HeadProblem,
  days: readonly CalendarDay[],
): PlanDraft[] {
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
      treatment.uses.includes(use) &&
      (!treatment.isNew || treatment.patchTest === 'clear') &&
      treatment.allowedFrom <= from,
  );
  const soonest = ({ batches }: Treatment) => batches[0]?.useBy ?? '9999-12-31';
  return [...ready].sort((a, b) => (soonest(a) < soonest(b) ? -1 : soonest(a) > soonest(b) ? 1 : 0))[0];
}

/** What her rhythms ask for between the washes. */
function askedTreatments(
  problem: PlanProblem,
  head: HeadProblem,
  days: readonly CalendarDay[],
  washDays: ReadonlySet<CalendarDay>,
): PlanDraft[] {
  return head.rhythms.flatMap((demand): PlanDraft[] => {
    const { rhythm, windows, slots } = demand;
    const [slot] = slots;
    if (slot === undefined || isBig(demand)) return [];
    const { of } = rhythm;
    const treatment =
      'recipeId' in of
        ? head.treatments.find(({ recipeId }) => recipeId === of.recipeId)
        : chosen(head, USE_OF_SLOT[slot], problem.from);
    if (!treatment) return [];
    const may = (day: CalendarDay) =>
      day >= treatment.allowedFrom && !isAvoided(head.decisions, { day, slot, recipeId: treatment.recipeId });
    const on =
      rhythm.when.every === 'wash'
        ? [...washDays]
            .map((day) => (slot === 'scalp' ? addDays(day, -1) : day))
            .filter((day) => days.includes(day) && holdsOn(rhythm, day) && may(day))
        : windows.flatMap(({ from, to, wanted }) =>
            spread(
              days.filter((day) => day >= from && day <= to && may(day)),
              wanted,
              // What is washed out is best put on the evening before.
              slot === 'scalp' ? (day) => washDays.has(addDays(day, 1)) : () => false,
            ),
          );
    return on.map((day) => draftOf(day, treatment, slot));
  });
}

/** So many of these days, as evenly as they lie; those that are liked best first. */
function spread(
  days: readonly CalendarDay[],
  wanted: number,
  isLiked: (day: CalendarDay) => boolean,
): CalendarDay[] {
  const taken = days.filter(isLiked).slice(0, wanted);
  const rest = days.filter((day) => !taken.includes(day));
  const more = Math.min(wanted - taken.length, rest.length);
  for (let index = 0; index < more; index++) {
    const day = rest[Math.floor(((index + 0.5) * rest.length) / more)];
    if (day !== undefined) taken.push(day);
  }
  return taken;
}

/** It goes in after a wash and stays until the next one, topped up as often as hair is refreshed. */
function leaveIns(
  problem: PlanProblem,
  head: HeadProblem,
  days: readonly CalendarDay[],
  washDays: ReadonlySet<CalendarDay>,
): PlanDraft[] {
  const treatment = chosen(head, 'leave-in', problem.from);
  if (!treatment) return [];
  const topUps = spaced(problem, head, days, washDays, {
    slot: 'leave-in',
    use: 'leave-in',
    every: head.rules.refreshEvery,
  });
  const fresh = [...washDays].filter(
    (day) => !isAvoided(head.decisions, { day, slot: 'leave-in', recipeId: treatment.recipeId }),
  );
  return [...fresh.map((day) => draftOf(day, treatment, 'leave-in')), ...topUps];
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
function scalpTreatments(
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
