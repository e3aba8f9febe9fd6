import { sum, type CalendarDay } from '../../base/measures';
import { zoneProbabilities } from '../../hair/state';
import { isAvoided, PLAIN_WASH_ID } from '../agenda';
import {
  baseOf,
  breachesOf,
  dosesOf,
  draftOf,
  freeMinutesOn,
  minutesOf,
  needsMoisture,
  outOfLane,
  withPortion,
  type HeadProblem,
  type PlanDraft,
  type PlanProblem,
  type Treatment,
} from '../planning';
import { followUpsOf } from './placements';

/**
 * What is weighed when a day is decided by itself, from what was read on it. Found on seeds that the benchmark does not use; see
 * docs/model.md.
 */
export const TODAY = {
  /** Days that are looked at, today among them: until about then nothing else is sure to be done. */
  days: 7,
  /** Of a day at one step outside the comfort zone, on top of the day: hair that is far off is worth a step that does not bring it in. */
  distance: 0.3,
  /** Of a day at one step of firmness above the comfort zone, on top of both: what overload costs. */
  overload: 0.4,
  /** Of a day at one unit of the logarithm of breakage above its comfort zone: as in the plan. */
  breakage: 0.4,
  /** Days outside the comfort zone that an hour of hers is worth. */
  hour: 0.25,
} as const;

/** One way to do something today, with what is expected of it. */
export interface TodayOption {
  /** The main treatment, and the moisture that has to follow it; none for nothing. */
  readonly drafts: readonly PlanDraft[];
  readonly minutes: number;
  /** Days outside the comfort zone to be expected of the next ones, if nothing else is done. */
  readonly outside: number;
  /** With her time and overload. */
  readonly cost: number;
}

type Weights = { readonly [Key in keyof typeof TODAY]: number };

/** All that may be done today, the best first; nothing is always among them. */
export function todayOptions(problem: PlanProblem, index: number, weights: Weights = TODAY): TodayOption[] {
  const head = problem.heads[index] as HeadProblem;
  const day = problem.from;
  const value = new TodayValue(head, day, weights);
  return [[], ...washesToday(problem, head, day)]
    .map((drafts) => value.of(drafts))
    .sort((a, b) => a.cost - b.cost);
}

/** A day that is promised to something else by her or by a trial has that and nothing else. */
function promisedOn(head: HeadProblem, day: CalendarDay): string | null {
  const placed = head.decisions.find(
    (each) => each.what === 'place' && each.slot === 'main' && each.day === day,
  );
  if (placed) return placed.recipeId;
  const { trial } = head;
  if (!trial || day > trial.endsBy) return null;
  // Its next wash may be one without any treatment.
  return (day >= trial.from ? trial.recipeIds[0] : null) ?? NOTHING_ELSE;
}

/** No recipe is called this. */
const NOTHING_ELSE = '';

function washesToday(problem: PlanProblem, head: HeadProblem, day: CalendarDay): PlanDraft[][] {
  const free = freeMinutesOn(head, day);
  const promised = promisedOn(head, day);
  const masks = head.treatments.filter(
    ({ uses, recipeId }) =>
      uses.includes('mask') && recipeId !== PLAIN_WASH_ID && (promised === null || recipeId === promised),
  );
  const decided = decidedAfter(head, day);
  return masks.flatMap((mask) => {
    const followed = needsMoisture(head, mask) ? followUpsOf(head) : [null];
    return followed.flatMap((moisture) => {
      const made = (main: Treatment): PlanDraft[] => [
        withPortion(draftOf(day, main, 'main')),
        ...(moisture ? [withPortion(draftOf(day, moisture, 'follow-up'))] : []),
      ];
      const usual = made(mask);
      const all = [...usual, ...decided];
      const isForbidden = usual.some(
        (draft) => isAvoided(head.decisions, draft) || breachesOf(problem, head, all, draft).length > 0,
      );
      if (isForbidden) return [];
      // A trial compares what is written, not a part of it.
      return (head.trial && promised !== null ? [mask] : dosesOf(head, mask))
        .map(made)
        .filter((drafts) => minutesOfAll(head, drafts) <= free);
    });
  });
}

/** Washes that she put on later days: today's has to leave them their room. */
function decidedAfter({ decisions, treatments }: HeadProblem, today: CalendarDay): PlanDraft[] {
  return decisions
    .filter(({ what, slot, day }) => what === 'place' && slot === 'main' && day > today)
    .flatMap(({ day, recipeId }) =>
      treatments
        .filter((treatment) => treatment.recipeId === recipeId)
        .map((treatment) => draftOf(day, treatment, 'main')),
    );
}

function minutesOfAll(head: HeadProblem, drafts: readonly PlanDraft[]): number {
  return sum(drafts.map((draft) => minutesOf(head, draft)));
}

class TodayValue {
  private readonly base: readonly { readonly mean: number; readonly sd: number }[];
  private readonly breakage: readonly { readonly mean: number; readonly sd: number }[];

  constructor(
    private readonly head: HeadProblem,
    day: CalendarDay,
    private readonly weights: Weights,
  ) {
    this.base = baseOf(head, 'firmness', day, weights.days);
    this.breakage = baseOf(head, 'breakage', day, weights.days);
  }

  of(drafts: readonly PlanDraft[]): TodayOption {
    const { head, weights } = this;
    const { retentionPerDay, comfortZone } = head.signals.firmness;
    const moved = sum(drafts.map(({ treatment }) => treatment.effect.firmness.mean));
    const spread = sum(drafts.map(({ treatment }) => treatment.effect.firmness.sd ** 2));
    const minutes = minutesOfAll(head, drafts);
    let outside = 0;
    let distance = 0;
    let overload = 0;
    this.base.forEach(({ mean, sd }, at) => {
      const left = retentionPerDay ** at;
      const estimate = { mean: mean + left * moved, sd: Math.sqrt(sd ** 2 + left ** 2 * spread) };
      outside += 1 - zoneProbabilities(estimate, comfortZone).within;
      const { below, above } = outOfLane(comfortZone, estimate);
      distance += below + above;
      overload += above;
    });
    return {
      drafts,
      minutes,
      outside,
      cost:
        outside +
        weights.distance * distance +
        weights.overload * overload +
        weights.breakage * this.brokenBy(drafts) +
        (weights.hour * minutes) / 60,
    };
  }

  /** Logarithm of breakage above its comfort zone that is to be expected, summed over the days. */
  private brokenBy(drafts: readonly PlanDraft[]): number {
    const { retentionPerDay, comfortZone } = this.head.signals.breakage;
    const moved = sum(drafts.map(({ treatment }) => treatment.effect.breakage.mean));
    const spread = sum(drafts.map(({ treatment }) => treatment.effect.breakage.sd ** 2));
    return sum(
      this.breakage.map(({ mean, sd }, at) => {
        const left = retentionPerDay ** at;
        return outOfLane(comfortZone, {
          mean: mean + left * moved,
          sd: Math.sqrt(sd ** 2 + left ** 2 * spread),
        }).above;
      }),
    );
  }
}
