import { rounded, sum } from '../../base/measures';
import { STEP_SLOTS, type Phase, type WashDay, type WashDayStep } from '../../records/shapes';
import type { RunState, StepState } from './washRun';

const REAL_DIGITS = 1;

/** What a run comes to, step by step; the one that it was ended in counts as not reached. */
export function stepsDone({ steps }: Pick<RunState, 'steps'>): WashDayStep[] {
  return steps.map(({ step, outcome, realMinutes }): WashDayStep => ({
    id: step.id,
    phase: step.phase,
    title: step.title,
    slot: step.slot,
    recipeId: step.recipeId,
    waits: step.waits,
    planned: step.minutes,
    real: realMinutes === null ? null : rounded(Math.min(1440, realMinutes), REAL_DIGITS),
    outcome: outcome === 'now' || outcome === 'ahead' ? 'not-reached' : outcome,
  }));
}

/** A treatment that was put on, with the minutes that it stayed on. */
export interface Worn {
  readonly slot: 'pre-poo' | 'main' | 'follow-up';
  readonly recipeId: string;
  readonly minutes: number;
}

/** What was really put on: a treatment whose applying was skipped or never reached was not. */
export function wornIn({ steps }: Pick<RunState, 'steps'>): Worn[] {
  return STEP_SLOTS.flatMap((slot): Worn[] => {
    const own = steps.filter(({ step }) => step.slot === slot);
    const applied = own.find(({ step, outcome }) => step.phase === 'apply' && outcome === 'done');
    const recipeId = applied?.step.recipeId;
    if (!recipeId) return [];
    return [{ slot, recipeId, minutes: contactMinutes(own) }];
  });
}

interface Tapped {
  /** Steps that were planned shorter can be that quick. */
  readonly fromMinutes: number;
  readonly share: number;
}
/** Waiting that ended within a thirtieth, and hands that took less than a tenth, were tapped through (working assumption). */
const WAIT_TAPPED: Tapped = { fromMinutes: 5, share: 1 / 30 };
const HANDS_TAPPED: Tapped = { fromMinutes: 2, share: 0.1 };
/** Of the planned minutes; with more of them tapped through the day tells nothing. */
const MOST_TAPPED = 0.25;

/** Whether a step was tapped through, perhaps long after it was done. */
function isTapped(planned: number, real: number, { fromMinutes, share }: Tapped): boolean {
  return planned >= fromMinutes && real < share * planned;
}

/** From when it was on to when it was rinsed: the waiting, and what she did before she came to the rinse. */
function contactMinutes(own: readonly StepState[]): number {
  const waited = own
    .filter(({ step }) => step.waits)
    // What was done unwatched, or only tapped through, is taken to have been as planned.
    .map(({ step, realMinutes, outcome }) =>
      realMinutes === null || (outcome === 'done' && isTapped(step.minutes, realMinutes, WAIT_TAPPED))
        ? outcome === 'done'
          ? step.minutes
          : 0
        : realMinutes,
    );
  return Math.max(1, Math.round(sum(waited)));
}

/** Steps of the wash itself: what the treatments ask for, and waiting, are planned by the recipe. */
const OF_THE_WASH: ReadonlySet<Phase> = new Set<Phase>([
  'detangle',
  'cleanse',
  'condition',
  'blot',
  'section',
  'apply',
  'rinse',
  'seal',
]);

/** A wash day that was done to its end tells how long this head takes; one that was cut short does not. */
function handsMinutesOf({ steps, endedEarly }: WashDay): number | null {
  const own = steps.filter(
    ({ phase, waits, slot }) => OF_THE_WASH.has(phase) && !waits && (slot === null || slot === 'main'),
  );
  const isUnwatched = own.some(({ outcome, real: took }) => outcome === 'done' && took === null);
  const done = own.filter(({ outcome }) => outcome === 'done');
  const tapped = done.filter(
    ({ planned, real: took }) => took !== null && isTapped(planned, took, HANDS_TAPPED),
  );
  if (minutesPlanned(tapped) > MOST_TAPPED * minutesPlanned(done)) return null;
  if (endedEarly || isUnwatched || own.some(({ outcome }) => outcome === 'skipped')) return null;
  const real = own.flatMap(({ real: took, outcome }) => (outcome === 'done' && took !== null ? [took] : []));
  return real.length === 0 ? null : sum(real);
}

const minutesPlanned = (steps: readonly WashDayStep[]) => sum(steps.map(({ planned }) => planned));

/** Wash days that the usual minutes are worth beside those of this head (working assumption). */
const USUAL_IS_WORTH = 2;
/** So many of the last ones are looked at: hair grows, hands get quicker. */
const LAST_DAYS = 6;
const STEP_MINUTES = 5;
const LEAST_MINUTES = 15;
const MOST_MINUTES = 240;

/**
 * Minutes that a wash of this head takes, waiting and making apart, learned from its last wash days.
 * @param usual minutes where nothing is known
 * @returns null where no wash day was done to its end
 */
export function learnedWashMinutes(
  days: readonly WashDay[],
  usual: number,
): { readonly minutes: number; readonly of: number } | null {
  const known = days.flatMap((day) => handsMinutesOf(day) ?? []).slice(-LAST_DAYS);
  if (known.length === 0) return null;
  const expected = (USUAL_IS_WORTH * usual + sum(known)) / (USUAL_IS_WORTH + known.length);
  const inSteps = STEP_MINUTES * Math.round(expected / STEP_MINUTES);
  return { minutes: Math.min(MOST_MINUTES, Math.max(LEAST_MINUTES, inSteps)), of: known.length };
}
