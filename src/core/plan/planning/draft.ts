import { addDays, sum, weekdayOf, type CalendarDay } from '../../base/measures';
import { isChild } from '../../recipe/safety';
import type { Slot } from '../../records/shapes';
import { isOn, isSmall, USE_OF_SLOT, type Counted } from '../agenda';
import type { Placed } from './forecast';
import type { HeadProblem, PlanProblem, Treatment } from './plan';

/** A treatment while planning: where it stands and what it is. */
export interface PlanDraft extends Placed {
  readonly slot: Slot;
  readonly recipeId: string;
  /** Put on the evening before, and left on for the night. */
  readonly overnight: boolean;
  readonly batchId: string | null;
}

/** A treatment that is made anew. */
export function draftOf(day: CalendarDay, treatment: Treatment, slot: Slot, overnight = false): PlanDraft {
  return { day, treatment, recipeId: treatment.recipeId, slot, overnight, batchId: null };
}

/**
 * The same treatment with a portion of the first batch that is good and not used up.
 * @param usedBy what takes portions already
 */
export function withPortion(draft: PlanDraft, usedBy: readonly PlanDraft[] = []): PlanDraft {
  const ready = draft.treatment.batches.find(
    ({ batchId, portions, useBy }) =>
      useBy >= draft.day && usedBy.filter((other) => other.batchId === batchId).length < portions,
  );
  return { ...draft, batchId: ready?.batchId ?? null };
}

/** Whether it is what today's check decided. */
export function isDecidedToday(
  { decidedToday }: Pick<HeadProblem, 'decidedToday'>,
  { treatment }: Pick<PlanDraft, 'treatment'>,
): boolean {
  return treatment === decidedToday?.main || treatment === decidedToday?.followUp;
}

/** Those that move the forecast; the small treatments between washes are too small for it. */
export function moving(drafts: readonly PlanDraft[]): PlanDraft[] {
  return drafts.filter((draft) => !isSmall(draft));
}

/** A child’s hair and protein-sensitive hair get no strong protein. */
export function takesNoStrong({ head }: Pick<HeadProblem, 'head'>): boolean {
  return isChild(head) || head.proteinSensitive;
}

/** Her minutes for a treatment. What works overnight costs only its putting on, and a portion from the shelf no making. */
export function minutesOf({ rules }: Pick<HeadProblem, 'rules'>, draft: Omit<PlanDraft, 'day'>): number {
  const { slot, overnight, treatment, batchId } = draft;
  const making = batchId === null ? treatment.makeMinutes : 0;
  switch (slot) {
    case 'main':
      return (rules.washMinutes ?? 0) + treatment.contactMinutes + making;
    case 'follow-up':
      return treatment.contactMinutes + making;
    case 'pre-poo': {
      const least = rules.prePooMinutes ?? 0;
      return (overnight ? least : Math.max(least, treatment.contactMinutes)) + making;
    }
    default:
      return rules.refreshMinutes ?? 0;
  }
}

/** Of its minutes those in which it works by itself, and the hands are free for another head. */
export function waitingMinutesOf(
  { rules }: Pick<HeadProblem, 'rules'>,
  draft: Omit<PlanDraft, 'day'>,
): number {
  const { slot, overnight, treatment } = draft;
  if (slot === 'main' || slot === 'follow-up') return treatment.contactMinutes;
  return slot === 'pre-poo' && !overnight
    ? Math.max(0, treatment.contactMinutes - (rules.prePooMinutes ?? 0))
    : 0;
}

/** Minutes of a day; a small treatment takes minutes that need no free day. */
export interface TimedMinutes {
  readonly all: number;
  /** Of these, those in which the hands are free. */
  readonly waiting: number;
}

export function timedMinutes(
  problem: Pick<HeadProblem, 'rules'>,
  drafts: readonly PlanDraft[],
): TimedMinutes {
  const timed = moving(drafts);
  return {
    all: sum(timed.map((draft) => minutesOf(problem, draft))),
    waiting: sum(timed.map((draft) => waitingMinutesOf(problem, draft))),
  };
}

/**
 * Minutes that one pair of hands needs for several heads on a day: its work on each, one after the other, and the longest
 * wait. That always suffices: all are started in turn, wait side by side, and are finished in turn.
 */
export function handsMinutes(heads: readonly TimedMinutes[]): number {
  return sum(heads.map(({ all, waiting }) => all - waiting)) + Math.max(0, ...heads.map((of) => of.waiting));
}

/** A treatment as rhythms count it. */
export function countedAs({
  treatment: { recipeId, firms, strong, moistens },
  slot,
}: Pick<PlanDraft, 'treatment' | 'slot'>): Counted {
  return { recipeId, firms, strong, moistens, use: USE_OF_SLOT[slot] };
}

/** Protein goes before the shampoo only where her school says so; oil and slip may. */
export function mayPrePoo({ choices }: Pick<HeadProblem, 'choices'>, { uses, firms }: Treatment): boolean {
  return uses.includes('pre-poo') && (choices.prePoo === 'any' || !firms);
}

/** Minutes of a day for one head: what the weekday has, or other hours if she said so, less a take-down. */
export function freeMinutesOn(problem: HeadProblem, day: CalendarDay): number {
  const { head, occasions, rules } = problem;
  const other = occasions.findLast((occasion) => occasion.what === 'hours' && isOn(occasion, day));
  const free = other?.minutes ?? head.freeMinutes[weekdayOf(day)] ?? 0;
  return Math.max(0, free - takeDownMinutesOn({ occasions, rules }, day));
}

/** Minutes of a day that go into taking a style down: the hours she gave, over its last days, or the usual on its last. */
export function takeDownMinutesOn(
  { occasions, rules }: Pick<HeadProblem, 'occasions' | 'rules'>,
  day: CalendarDay,
): number {
  const minutes = occasions
    .filter(
      ({ what, to, takeDown }) => what === 'style' && day <= to && day > addDays(to, -(takeDown?.days ?? 1)),
    )
    .map(({ takeDown }) =>
      takeDown ? Math.round((60 * takeDown.hours) / takeDown.days) : (rules.takeDownMinutes ?? 0),
    );
  return Math.max(0, ...minutes);
}

/** Minutes that all heads together have on a day: one person's hours, so the longest of them, not their sum. */
export function sharedMinutesOn({ heads }: PlanProblem, day: CalendarDay): number {
  return Math.max(0, ...heads.map((head) => freeMinutesOn(head, day)));
}

/** Hours from which on something has to be begun the evening before. */
const SAME_DAY_HOURS = 4;

export function needsEvening({ leadTasks }: Pick<Treatment, 'leadTasks'>): boolean {
  return leadTasks.some(({ leadHours }) => leadHours > SAME_DAY_HOURS);
}

/** Whether the evening of this day is hers: to set something to soak, or to put oil on. */
export function isFreeEvening({ head, occasions, decisions }: HeadProblem, day: CalendarDay): boolean {
  // She said so herself.
  if (decisions.some((each) => each.what === 'place' && each.overnight && each.day === day)) return true;
  const away = occasions.some(
    ({ what, minutes, ...span }) => what === 'hours' && minutes === 0 && isOn(span, day),
  );
  return !away && (head.nights[weekdayOf(day)] ?? true);
}

/** Why no wash may fall on this day, if it may not. */
export function washWindow({ occasions }: HeadProblem, day: CalendarDay): 'no-wash' | 'style' | undefined {
  for (const { what, from, to } of occasions) {
    if (what === 'no-wash' && isOn({ from, to }, day)) return 'no-wash';
    // On the day it goes in and on the day it comes out she may wash.
    if (what === 'style' && from < day && day < to) return 'style';
  }
  return undefined;
}
