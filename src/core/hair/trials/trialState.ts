import { t } from '@lingui/core/macro';
import { addDays, daysBetween, type CalendarDay } from '../../base/measures';
import type { Arm, HairSide, Reading, Trial, TrialWash } from '../../records/shapes';
import { DRY_READING_DAYS, isDryReadingDue } from '../checks';
import { firstSide, trialOrder } from './trial';

export type TrialStage =
  | { readonly what: 'wash'; readonly arm: Arm; readonly from: CalendarDay; readonly isDue: boolean }
  | { readonly what: 'over'; readonly why: string };

export interface TrialState {
  readonly trial: Trial;
  /** Washes done, in order. */
  readonly washes: readonly TrialWash[];
  readonly done: number;
  readonly of: number;
  readonly stage: TrialStage;
  /** A reading that is to be taken today: before the wash that is due, or dry after the last one. */
  readonly readingDue: 'before' | 'dry' | HairSide | null;
}

/** What is read for a trial: the whole head, or one side after the other. */
export const readingsFor = (
  { sides }: Pick<Trial, 'sides'>,
  {
    readings,
    sideReadings,
  }: { readonly readings: readonly Reading[]; readonly sideReadings: readonly Reading[] },
): readonly Reading[] => (sides ? sideReadings : readings);

/** The readings of a side that belong to a wash: of its day and the two after it. */
export function sideReadingOf(
  side: HairSide,
  wash: Pick<TrialWash, 'day'>,
  readings: readonly Reading[],
): Reading | undefined {
  return readings.findLast(
    (reading) =>
      reading.side === side &&
      reading.day >= wash.day &&
      daysBetween(wash.day, reading.day) <= DRY_READING_DAYS.to,
  );
}
/**
 * Where a trial stands on a day, and what is next.
 * @param readings those {@link readingsFor} it
 */
export function trialState(
  trial: Trial,
  allWashes: readonly TrialWash[],
  readings: readonly Reading[],
  today: CalendarDay,
): TrialState {
  const washes = allWashes
    .filter((wash) => wash.trialId === trial.trialId && wash.day <= today)
    .sort((a, b) => (a.day < b.day ? -1 : 1));
  const order = trialOrder(trial);
  const last = washes.at(-1);
  const stage = stageOf(trial, order, washes, last, today);
  return {
    trial,
    washes,
    done: washes.length,
    of: order.length,
    stage,
    // Breakage is counted at every detangle, whatever the wash.
    readingDue: trial.sides
      ? sideDue(trial, washes, readings, today)
      : trial.signal === 'breakage'
        ? null
        : readingDue(stage, last, readings, today),
  };
}

function stageOf(
  trial: Trial,
  order: readonly Arm[],
  washes: readonly TrialWash[],
  last: TrialWash | undefined,
  today: CalendarDay,
): TrialStage {
  if (trial.givenUpOn !== null) return { what: 'over', why: t`It was given up before its end.` };
  if (washes.length >= order.length) return { what: 'over', why: t`All rounds are done.` };
  if (today > trial.endsBy) return { what: 'over', why: t`Its last day has passed.` };
  const arm = trial.sides ? (order[washes.length] ?? 'a') : nextArm(order, washes);
  const from = last ? addDays(last.day, trial.washoutDays) : trial.startsOn;
  return { what: 'wash', arm, from, isDue: today >= from };
}

/** The arms of the washes that are still to come, in order. */
export function armsAhead({ trial, washes, stage }: TrialState): Arm[] {
  if (stage.what === 'over') return [];
  const order = trialOrder(trial);
  if (trial.sides) return order.slice(washes.length);
  const arms = washes.map(({ arm }) => ({ arm }));
  while (arms.length < order.length) arms.push({ arm: nextArm(order, arms) });
  return arms.slice(washes.length).map(({ arm }) => arm);
}

/** The side that is to be read now, in the order that was drawn; both on one day, so that the day cancels out. */
function sideDue(
  { trialId }: Trial,
  washes: readonly TrialWash[],
  readings: readonly Reading[],
  today: CalendarDay,
): HairSide | null {
  const last = washes.at(-1);
  if (!last || daysBetween(last.day, today) > DRY_READING_DAYS.to) return null;
  const first = firstSide(trialId, washes.length - 1);
  const order: readonly HairSide[] = first === 'left' ? ['left', 'right'] : ['right', 'left'];
  return order.find((side) => !sideReadingOf(side, last, readings)) ?? null;
}

/** The drawn order; where she did the other arm of a round first, what is left of the round. */
function nextArm(order: readonly Arm[], washes: readonly Pick<TrialWash, 'arm'>[]): Arm {
  const counts = { a: 0, b: 0 };
  for (const { arm } of washes) counts[arm]++;
  const planned = order[washes.length] ?? 'a';
  const other: Arm = planned === 'a' ? 'b' : 'a';
  const round = Math.floor(washes.length / 2) + 1;
  return counts[planned] >= round && counts[other] < round ? other : planned;
}

function readingDue(
  stage: TrialStage,
  last: TrialWash | undefined,
  readings: readonly Reading[],
  today: CalendarDay,
): TrialState['readingDue'] {
  if (last && isDryReadingDue(last.day, readings, today)) return 'dry';
  const isRead = readings.some(({ day, moment }) => day === today && moment === 'before');
  return stage.what === 'wash' && stage.isDue && !isRead ? 'before' : null;
}
