import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import { countsFor, holdsOn, isSmall, type RhythmWindow } from '../agenda';
import { countedAs, moving, type PlanDraft } from './draft';
import type { HeadProblem, RhythmDemand } from './plan';
import type { Span } from './span';

/**
 * How many times more a rhythm counts that goes before other wishes, and a day on which the planner would use what she asked for
 * on other days only: more than a week far outside the comfort zone.
 */
export const FIRM_FACTOR = 15;

export const rhythmFactor = ({ rhythm: { firm } }: RhythmDemand): number => (firm ? FIRM_FACTOR : 1);

/** Whether it moves the forecast: what stands between the washes is put around them. */
export function isBig({ slots }: Pick<RhythmDemand, 'slots'>): boolean {
  return slots.some((slot) => !isSmall({ slot }));
}

/** The wash that a treatment belongs to. */
export function washDayOf({
  slot,
  day,
  overnight,
}: Pick<PlanDraft, 'slot' | 'day' | 'overnight'>): CalendarDay {
  return slot === 'pre-poo' && overnight ? addDays(day, 1) : day;
}

/** What of a plan meets a rhythm within a stretch. */
function meeting(
  { rhythm }: RhythmDemand,
  { from, to }: Pick<RhythmWindow, 'from' | 'to'>,
  drafts: readonly PlanDraft[],
): PlanDraft[] {
  return drafts.filter(
    (draft) => draft.day >= from && draft.day <= to && countsFor(rhythm.of, countedAs(draft)),
  );
}

const daysOf = (drafts: readonly PlanDraft[]) => new Set(drafts.map(({ day }) => day)).size;

/** Days of a stretch on which what is asked for is planned. */
export const daysKept = (...of: Parameters<typeof meeting>): number => daysOf(meeting(...of));

/** Washes of the plan that what goes with each wash does not go with. */
export function washesWithout({ rhythm }: RhythmDemand, drafts: readonly PlanDraft[]): PlanDraft[] {
  const withIt = new Set(drafts.filter((draft) => countsFor(rhythm.of, countedAs(draft))).map(washDayOf));
  return drafts.filter(({ slot, day }) => slot === 'main' && holdsOn(rhythm, day) && !withIt.has(day));
}

/** Whether a recipe with a rhythm of its own stands here although she asked for it on other days only. */
export function isOutside(
  { exact, rhythm, windows }: Pick<RhythmDemand, 'exact' | 'rhythm' | 'windows'>,
  day: CalendarDay,
): boolean {
  if (!exact || !holdsOn({ ...rhythm, notIn: [] }, day)) return false;
  return !windows.some(({ from, to }) => day >= from && day <= to);
}

/** Treatments short of what the rhythms ask for, and beyond what a recipe's own rhythm allows; the firm ones count more. */
export function rhythmShort(
  { rhythms }: HeadProblem,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  { start, end }: Span,
): number {
  if (rhythms.length === 0) return 0;
  const acting = moving(drafts);
  let short = 0;
  for (const demand of rhythms) {
    if (!isBig(demand)) continue;
    const factor = rhythmFactor(demand);
    const inSpan = (day: CalendarDay) => {
      const at = daysBetween(from, day);
      return at >= start && at < end;
    };
    if (demand.rhythm.when.every === 'wash') {
      short += factor * washesWithout(demand, acting).filter(({ day }) => inSpan(day)).length;
      continue;
    }
    for (const window of demand.windows) {
      if (daysBetween(from, window.from) >= end || daysBetween(from, window.to) < start) continue;
      const kept = meeting(demand, window, acting);
      short += factor * Math.max(0, window.wanted - daysOf(kept));
      if (demand.exact) short += FIRM_FACTOR * Math.max(0, kept.length - window.wanted);
    }
    short +=
      FIRM_FACTOR *
      acting.filter(
        (draft) =>
          inSpan(draft.day) && countsFor(demand.rhythm.of, countedAs(draft)) && isOutside(demand, draft.day),
      ).length;
  }
  return short;
}
