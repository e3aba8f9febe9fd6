import { plural, t } from '@lingui/core/macro';
import { amountFactor } from '../../hair/state';
import { doseOf, type Warmth } from '../../recipe/classification';
import { SIGNAL_IDS } from '../../records/shapes';
import type { Assignment, Dose, HeadProblem, Standing, Treatment } from './plan';

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

/** The dose of a treatment, where it is another than the recipe's. @param usual the treatment as its recipe says */
export function doseOfTreatment(treatment: Treatment, usual: Treatment): Assignment['dose'] {
  const { contactMinutes: minutes, warmth, amount } = treatment;
  const text = doseText({ minutes, warmth, amount }, usual);
  return text === '' ? null : { minutes, warmth, amount, text };
}

/** What is other than the recipe says, in words: "10 minutes, without warmth, half the usual amount". */
function doseText(dose: Dose, usual: Pick<Treatment, 'contactMinutes' | 'warmth'>): string {
  const differs = [
    dose.minutes === usual.contactMinutes
      ? null
      : plural({ minutes: dose.minutes }, { one: '# minute', other: '# minutes' }),
    dose.warmth === usual.warmth ? null : t`without warmth`,
    dose.amount === 1 ? null : t`half the usual amount`,
  ];
  return differs.filter(Boolean).join(', ');
}

/** The treatment in this dose: what it does grows with how much gets into the hair. */
export function inDose({ head }: Pick<HeadProblem, 'head'>, treatment: Treatment, dose: Dose): Treatment {
  const { contactMinutes, warmth, effect } = treatment;
  const { minutes, amount } = dose;
  const usual = doseOf(contactMinutes, warmth, head.porosityGuess);
  if (usual <= 0) return treatment;
  const factor = (amountFactor(amount) * doseOf(minutes, dose.warmth, head.porosityGuess)) / usual;
  const scaled = SIGNAL_IDS.map((signal) => [
    signal,
    { mean: factor * effect[signal].mean, sd: Math.abs(factor) * effect[signal].sd },
  ]);
  return {
    ...treatment,
    contactMinutes: minutes,
    warmth: dose.warmth,
    amount,
    doseShare: factor,
    cost: treatment.cost === null ? null : amount * treatment.cost,
    effect: Object.fromEntries(scaled) as Treatment['effect'],
  };
}

/** What a treatment is of, in its dose; undefined where it is of no recipe that this head may be planned with. */
export function treatmentIn(
  head: HeadProblem,
  { treatment, recipeId, dose }: Standing,
): Treatment | undefined {
  if (treatment) return treatment;
  const known = head.treatments.find((each) => each.recipeId === recipeId);
  return known && dose ? inDose(head, known, dose) : known;
}

/** Minutes that a treatment may be on for: what a clock is set to. */
const MINUTES = [5, 10, 20, 30, 45, 60] as const;
/** Shares of the usual amount: all of it, or half. */
const AMOUNTS = [1, 0.5] as const;

/**
 * The ways in which a treatment may be done: shorter, without warmth, with half of it. Never longer, warmer or more than the recipe
 * says; what only moistens may stay on for an hour, because nothing in it sets.
 */
export function dosesOf(problem: Pick<HeadProblem, 'head'>, treatment: Treatment): Treatment[] {
  const { contactMinutes } = treatment;
  if (doseOf(contactMinutes, treatment.warmth, problem.head.porosityGuess) <= 0) return [treatment];
  const longest = treatment.moistens && !treatment.firms ? Math.max(contactMinutes, 60) : contactMinutes;
  const minutes = [...new Set([...MINUTES.filter((each) => each < longest), contactMinutes, longest])];
  const warmths: readonly Warmth[] = treatment.warmth === 'warm' ? ['warm', 'room'] : ['room'];
  return AMOUNTS.flatMap((amount) =>
    warmths.flatMap((warmth) =>
      minutes.map((each) => inDose(problem, treatment, { minutes: each, warmth, amount })),
    ),
  );
}
