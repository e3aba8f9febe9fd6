import { amountFactor } from '../../hair/state';
import { doseOf, type Warmth } from '../../recipe/classification';
import { SIGNAL_IDS } from '../../records/shapes';
import type { HeadProblem, Treatment } from './plan';

/** A wash with less than this of a dose still counts so much against the washes of a week. */
const LEAST_WEEK_SHARE = 0.25;

/**
 * Days after a part of a dose: as many of the rule's as it was of the whole, because what the rule guards against adds up by dose.
 * @param gap days after a whole dose
 */
export function gapAfter(gap: number, doseShare: number): number {
  return Math.ceil(gap * Math.min(1, doseShare) - 1e-9);
}

/** What a main treatment counts among those of a week. */
export function weekShare(doseShare: number): number {
  return Math.min(1, Math.max(LEAST_WEEK_SHARE, doseShare));
}

/** Minutes that a treatment may be on for: what a clock is set to. */
const MINUTES = [5, 10, 20, 30, 45, 60] as const;
/** Shares of the usual amount: all of it, or half. */
const AMOUNTS = [1, 0.5] as const;

/**
 * The ways in which a treatment may be done: shorter, without warmth, with half of it. Never longer, warmer or more than the recipe
 * says; what only moistens may stay on for an hour, because nothing in it sets.
 */
export function dosesOf({ head }: Pick<HeadProblem, 'head'>, treatment: Treatment): Treatment[] {
  const { contactMinutes, warmth, effect } = treatment;
  const usual = doseOf(contactMinutes, warmth, head.porosityGuess);
  if (usual <= 0) return [treatment];
  const longest = treatment.moistens && !treatment.firms ? Math.max(contactMinutes, 60) : contactMinutes;
  const minutes = [...new Set([...MINUTES.filter((each) => each < longest), contactMinutes, longest])];
  const warmths: readonly Warmth[] = warmth === 'warm' ? ['warm', 'room'] : ['room'];
  return AMOUNTS.flatMap((amount) =>
    warmths.flatMap((warm) =>
      minutes.map((mins): Treatment => {
        const factor = (amountFactor(amount) * doseOf(mins, warm, head.porosityGuess)) / usual;
        const scaled = SIGNAL_IDS.map((signal) => [
          signal,
          { mean: factor * effect[signal].mean, sd: Math.abs(factor) * effect[signal].sd },
        ]);
        return {
          ...treatment,
          contactMinutes: mins,
          warmth: warm,
          amount,
          doseShare: factor,
          cost: treatment.cost === null ? null : amount * treatment.cost,
          effect: Object.fromEntries(scaled) as Treatment['effect'],
        };
      }),
    ),
  );
}
