import { addDays, clamp, daysBetween, sum, weekdayOf, type CalendarDay } from '../../base/measures';
import type { Occasion, RecipeUse, Rhythm, Slot } from '../../records/shapes';
import { PLAIN_WASH_ID } from './decision';

/** What a rhythm looks at in a treatment that was done or is planned. */
export interface Counted {
  readonly recipeId: string;
  /** What it was used as. */
  readonly use: RecipeUse;
  readonly firms: boolean;
  readonly strong: boolean;
  readonly moistens: boolean;
}

/** What a recipe is used as in each slot. */
export const USE_OF_SLOT: Readonly<Record<Slot, RecipeUse>> = {
  'pre-poo': 'pre-poo',
  main: 'mask',
  'follow-up': 'mask',
  refresh: 'rinse',
  mist: 'mist',
  scalp: 'scalp-oil',
  serum: 'serum',
  'leave-in': 'leave-in',
};

/** The slot that each use is planned in. */
export const SLOT_OF_USE: Readonly<Record<RecipeUse, Slot>> = {
  mask: 'main',
  'pre-poo': 'pre-poo',
  rinse: 'refresh',
  mist: 'mist',
  'scalp-oil': 'scalp',
  serum: 'serum',
  'leave-in': 'leave-in',
};

/** Where a recipe of these uses can stand in a plan: a mask also as what follows another. */
export function slotsOfUses(uses: readonly RecipeUse[]): Slot[] {
  return uses.flatMap((use): Slot[] => (use === 'mask' ? ['main', 'follow-up'] : [SLOT_OF_USE[use]]));
}

/** Whether a treatment is what a rhythm is about. */
export function countsFor(of: Rhythm['of'], treatment: Counted): boolean {
  if ('recipeId' in of) return treatment.recipeId === of.recipeId;
  switch (of.sort) {
    case 'main':
      return treatment.use === 'mask' && treatment.recipeId !== PLAIN_WASH_ID;
    case 'moisture':
      return treatment.moistens;
    case 'protein':
      return treatment.firms;
    case 'strong-protein':
      return treatment.strong;
    default:
      return treatment.use === of.sort;
  }
}

/** A stretch of days, both ends in it, in which so many are asked for. */
export interface RhythmWindow {
  readonly from: CalendarDay;
  readonly to: CalendarDay;
  readonly wanted: number;
}

/** Of what is due every so many days, a fifth of that earlier or later is still in time (working assumption). */
const SLACK_SHARE = 5;
/** From so many days on there is slack: every three days is every three days. */
const SLACK_FROM = 5;
export const slackDays = (days: number) => (days < SLACK_FROM ? 0 : Math.floor(days / SLACK_SHARE));

type Timing = Pick<Rhythm, 'when' | 'startsOn' | 'until' | 'endedOn' | 'notIn'>;

/** The last day on which it holds. */
export function lastDayOf({ until, endedOn }: Pick<Rhythm, 'until' | 'endedOn'>): CalendarDay | null {
  if (until === null || endedOn === null) return until ?? endedOn;
  return until < endedOn ? until : endedOn;
}

/** Whether it holds on a day at all: begun, not over, and not in a month in which it rests. */
export function holdsOn(rhythm: Timing, day: CalendarDay): boolean {
  const last = lastDayOf(rhythm);
  return (
    day >= rhythm.startsOn &&
    (last === null || day <= last) &&
    !rhythm.notIn.includes(Number(day.slice(5, 7)))
  );
}

/**
 * The stretches in which a rhythm asks for something, in order. None for what goes with each wash, which has no days of its own.
 * @param upTo windows that begin later are not listed
 * @param doneOn days on which it was done, in order: what is due every so many days is counted on from them
 * @param styles protective styles
 */
export function windowsOf(
  rhythm: Timing,
  upTo: CalendarDay,
  doneOn: readonly CalendarDay[],
  styles: readonly Pick<Occasion, 'what' | 'from'>[] = [],
): RhythmWindow[] {
  const last = lastDayOf(rhythm);
  const end = last !== null && last < upTo ? last : upTo;
  return allWindows(rhythm, end, doneOn, styles).flatMap((window) => clipped(rhythm, window));
}

function allWindows(
  { when, startsOn }: Timing,
  end: CalendarDay,
  doneOn: readonly CalendarDay[],
  styles: readonly Pick<Occasion, 'what' | 'from'>[],
): RhythmWindow[] {
  switch (when.every) {
    case 'wash':
      return [];
    case 'night':
      return daysFrom(startsOn, end, () => true);
    case 'weekdays':
      return daysFrom(
        startsOn,
        end,
        (day) =>
          when.weekdays.includes(weekdayOf(day)) &&
          Math.floor(daysBetween(startsOn, day) / 7) % when.weeks === 0,
      );
    case 'week':
      return stretches(startsOn, end, 7, when.times);
    case 'days':
      return dueWindows(startsOn, end, when.days, doneOn);
    case 'month':
      return monthParts(startsOn, end, when.times);
    case 'style':
      return styles
        .filter(
          ({ what, from }) => what === 'style' && from >= startsOn && from <= addDays(end, when.daysBefore),
        )
        .map(({ from }) => ({ from: addDays(from, -when.daysBefore), to: from, wanted: 1 }))
        .sort((a, b) => (a.from < b.from ? -1 : 1));
  }
}

function daysFrom(from: CalendarDay, end: CalendarDay, is: (day: CalendarDay) => boolean): RhythmWindow[] {
  const found: RhythmWindow[] = [];
  for (let day = from; day <= end; day = addDays(day, 1))
    if (is(day)) found.push({ from: day, to: day, wanted: 1 });
  return found;
}

function stretches(from: CalendarDay, end: CalendarDay, days: number, wanted: number): RhythmWindow[] {
  const found: RhythmWindow[] = [];
  for (let start = from; start <= end; start = addDays(start, days))
    found.push({ from: start, to: addDays(start, days - 1), wanted });
  return found;
}

/** Counted on from the last time it was done; where it was missed, from the day on which it was due. */
function dueWindows(
  startsOn: CalendarDay,
  end: CalendarDay,
  days: number,
  doneOn: readonly CalendarDay[],
): RhythmWindow[] {
  const slack = slackDays(days);
  const found: RhythmWindow[] = [];
  const before = doneOn.filter((day) => day < addDays(startsOn, -slack)).at(-1);
  const counted = before === undefined ? startsOn : addDays(before, days);
  let due = counted < startsOn ? startsOn : counted;
  while (addDays(due, -slack) <= end) {
    const window = { from: addDays(due, -slack), to: addDays(due, slack), wanted: 1 };
    found.push(window);
    const done = doneOn.find((day) => day >= window.from && day <= window.to);
    due = addDays(done ?? due, days);
  }
  return found;
}

const firstOfMonth = (day: CalendarDay) => addDays(day, 1 - Number(day.slice(8)));

/** Each month in as many parts as it is asked for, so that two a month are not two on one weekend. */
function monthParts(from: CalendarDay, end: CalendarDay, times: number): RhythmWindow[] {
  const found: RhythmWindow[] = [];
  for (let first = firstOfMonth(from); first <= end; first = firstOfMonth(addDays(first, 31))) {
    const length = daysBetween(first, firstOfMonth(addDays(first, 31)));
    for (let part = 0; part < times; part++) {
      const start = Math.floor((part * length) / times);
      const after = Math.floor(((part + 1) * length) / times);
      found.push({ from: addDays(first, start), to: addDays(first, after - 1), wanted: 1 });
    }
  }
  return found.filter((window) => window.to >= from && window.from <= end);
}

/** What of a window lies within the rhythm; a part of a longer one asks for its share. */
function clipped({ when, startsOn, notIn, until }: Timing, window: RhythmWindow): RhythmWindow[] {
  // What is due around a day may come some days before the first: it is the day that has to lie within.
  const from = when.every === 'days' || when.every === 'style' ? window.from : later(window.from, startsOn);
  const to = until === null ? window.to : earlier(window.to, until);
  if (to < from || notIn.includes(Number(from.slice(5, 7)))) return [];
  const share = (daysBetween(from, to) + 1) / (daysBetween(window.from, window.to) + 1);
  const wanted = share === 1 ? window.wanted : Math.round(window.wanted * share);
  return wanted === 0 ? [] : [{ from, to, wanted: clamp(wanted, 1, daysBetween(from, to) + 1) }];
}

const later = (a: CalendarDay, b: CalendarDay) => (a > b ? a : b);
const earlier = (a: CalendarDay, b: CalendarDay) => (a < b ? a : b);

/** One stretch of a rhythm, and what became of it. */
export interface RhythmPeriod extends RhythmWindow {
  readonly done: number;
  /** "open": it has not ended and wants more; "before": it lies before she told of it, and nothing is logged. */
  readonly state: 'kept' | 'missed' | 'open' | 'ahead' | 'before';
}

export interface RhythmState {
  readonly rhythm: Rhythm;
  readonly periods: readonly RhythmPeriod[];
  readonly kept: number;
  readonly missed: number;
  /** Kept in a row up to now; a missed one ends it, and no later effort fills it up. */
  readonly streak: number;
  readonly longest: number;
  readonly over: boolean;
  /** Times that it was done since its first day. */
  readonly done: number;
  /** Still wanted in the stretch that runs, 0 when none runs. */
  readonly wanted: number;
  /** The week that runs, counted from 1, and of how many; null before its first day, after its end, or where it has none. */
  readonly week: { readonly now: number; readonly of: number | null } | null;
  /** What this week is about. */
  readonly theme: string | null;
}

/** So many days ahead are listed of a rhythm without an end. */
const SHOWN_AHEAD_DAYS = 56;

/** A wash that was done, and whether what goes with each wash went with it. */
export interface WashOf {
  readonly day: CalendarDay;
  readonly hadIt: boolean;
}

/**
 * Where a rhythm stands. A treatment counts on the day on which it was done, however many there are on it, and never for
 * another stretch.
 * @param doneOn days on which it was done
 * @param washes of this head; only what goes with each wash looks at them
 */
export function rhythmState(
  rhythm: Rhythm,
  doneOn: readonly CalendarDay[],
  today: CalendarDay,
  { styles = [], washes = [] }: { styles?: readonly Occasion[]; washes?: readonly WashOf[] } = {},
): RhythmState {
  const { startsOn, themes } = rhythm;
  const lived = livedUntil(rhythm, today);
  const days = [...new Set(doneOn)].filter((day) => day <= lived).sort();
  const done = days.filter((day) => day >= startsOn).length;
  const periods = periodsOf(rhythm, days, today, { styles, washes });
  const settled = periods.filter(({ state }) => state === 'kept' || state === 'missed');
  const runs = runsOf(settled);
  const over = isOver(rhythm, done, today);
  const open = over ? [] : periods.filter(({ state }) => state === 'open');
  const week = over || today < startsOn ? null : Math.floor(daysBetween(startsOn, today) / 7) + 1;
  return {
    rhythm,
    periods,
    kept: settled.filter(({ state }) => state === 'kept').length,
    missed: settled.filter(({ state }) => state === 'missed').length,
    streak: settled.at(-1)?.state === 'kept' ? (runs.at(-1) ?? 0) : 0,
    longest: Math.max(0, ...runs),
    over,
    done,
    wanted: sum(open.map(({ wanted, done: had }) => wanted - had)),
    week: week === null ? null : { now: week, of: weeksOf(rhythm) },
    theme: themes.find((each) => each.week === week)?.text ?? null,
  };
}

function periodsOf(
  rhythm: Rhythm,
  days: readonly CalendarDay[],
  today: CalendarDay,
  { styles, washes }: { readonly styles: readonly Occasion[]; readonly washes: readonly WashOf[] },
): RhythmPeriod[] {
  const lived = livedUntil(rhythm, today);
  const withIt = new Set(washes.filter(({ hadIt }) => hadIt).map(({ day }) => day));
  const goesWithWash = rhythm.when.every === 'wash';
  const windows = goesWithWash
    ? washes
        .filter(({ day }) => day <= today && holdsOn(rhythm, day))
        .map(({ day }) => ({ from: day, to: day, wanted: 1 }))
    : windowsOf(rhythm, lastDayOf(rhythm) ?? addDays(today, SHOWN_AHEAD_DAYS), days, styles);
  return windows.map((window): RhythmPeriod => {
    const count = goesWithWash
      ? Number(withIt.has(window.from))
      : days.filter((day) => day >= window.from && day <= window.to).length;
    return { ...window, done: count, state: stateOf(rhythm, window, count, lived) };
  });
}

function isOver(rhythm: Rhythm, done: number, today: CalendarDay): boolean {
  const { times, endedOn } = rhythm;
  const last = lastDayOf(rhythm);
  return (
    (times !== null && done >= times) ||
    (endedOn !== null && endedOn <= today) ||
    (last !== null && last < today)
  );
}

const livedUntil = ({ endedOn }: Pick<Rhythm, 'endedOn'>, today: CalendarDay) =>
  endedOn !== null && endedOn < today ? endedOn : today;

/** @param lived the last day that counts: today, or the day on which it was given up */
function stateOf(
  { endedOn, toldOn }: Rhythm,
  { from, to, wanted }: RhythmWindow,
  done: number,
  lived: CalendarDay,
): RhythmPeriod['state'] {
  if (done >= wanted) return 'kept';
  const ended = to < lived || (endedOn === lived && to === lived);
  if (ended) return to < toldOn ? 'before' : 'missed';
  return from <= lived ? 'open' : 'ahead';
}

const weeksOf = ({ startsOn, until }: Rhythm) =>
  until === null ? null : Math.ceil((daysBetween(startsOn, until) + 1) / 7);

/** Lengths of the runs of kept stretches, in order. */
function runsOf(periods: readonly RhythmPeriod[]): number[] {
  const runs: number[] = [];
  let run = 0;
  for (const { state } of periods) {
    run = state === 'kept' ? run + 1 : 0;
    if (run === 1) runs.push(1);
    else if (run > 1) runs[runs.length - 1] = run;
  }
  return runs;
}
