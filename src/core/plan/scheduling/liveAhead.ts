import { randomLcg, randomNormal } from 'd3-random';
import { addDays, type CalendarDay } from '../../base/measures';
import { FEEL } from '../../hair/checks';
import type { DatedEstimate, SignalState } from '../../hair/state';
import type { SignalId } from '../../records/shapes';
import { baseOf, freeMinutesOn, type HeadProblem, type PlanDraft, type PlanProblem } from '../planning';
import { TODAY, todayOptions } from './today';

/** What somebody does: what stands here already, or what the tool says on each free day, with a check on some of them. */
export type Habit =
  | { readonly drafts: readonly PlanDraft[] }
  /** Days that go by before the hair is felt again; null for never. */
  | { readonly checksEvery: number | null };

/** Some weeks as they may come. */
export interface LivedWeeks {
  /** Firmness as it truly is, in the evening of each day. */
  readonly firmness: readonly number[];
  /** Logarithm of broken pieces a day. */
  readonly breakage: readonly number[];
  readonly drafts: readonly PlanDraft[];
}

/** Whatever may be known of one recipe is drawn once for a life: the errors of its uses add up and do not average out. */
interface Draw {
  readonly start: number;
  readonly daily: readonly number[];
  readonly checks: readonly number[];
  readonly effects: ReadonlyMap<string, number>;
}

/**
 * Lives the coming weeks of one head as often as asked: where the hair stands, how it wanders and what each recipe does are drawn from
 * what is known of them, and every habit meets the same draws. A check is felt with its error and believed as far as it deserves.
 * What a recipe does is not learned on the way: it is what is known of it today.
 * @param seed of the draws
 * @returns one for each life
 */
export function liveAhead(
  problem: PlanProblem,
  index: number,
  habit: Habit,
  lives: number,
  seed: number,
): LivedWeeks[] {
  const head = problem.heads[index] as HeadProblem;
  const days = 7 * problem.weeks;
  const normal = randomNormal.source(randomLcg(seed))();
  const several = (count: number) => Array.from({ length: count }, () => normal());
  const draws = Array.from({ length: lives }, (): Draw => ({
    start: normal(),
    daily: several(days),
    checks: several(days),
    effects: new Map(head.treatments.map(({ recipeId }) => [recipeId, normal()])),
  }));
  return draws.map((draw) => new AheadLife(problem, index, draw).live(habit));
}

class AheadLife {
  private readonly head: HeadProblem;
  private readonly base: readonly { readonly mean: number; readonly sd: number }[];
  private readonly breakageBase: readonly { readonly mean: number; readonly sd: number }[];
  private readonly kept: number;
  private readonly days: number;
  private readonly done: PlanDraft[] = [];
  /** Departure of the true firmness from its expected course, and of breakage. */
  private truth: number;
  private broken = 0;
  /** What is believed of that departure. */
  private believed = { mean: 0, variance: 0 };
  private lastCheck = -Infinity;

  constructor(
    private readonly problem: PlanProblem,
    private readonly index: number,
    private readonly draw: Draw,
  ) {
    const head = problem.heads[index] as HeadProblem;
    this.days = 7 * problem.weeks;
    // What takes a night is begun in time; batches and what was decided are this week's, not the habit's.
    this.head = {
      ...head,
      decisions: [],
      trial: null,
      treatments: head.treatments.map((treatment) => ({ ...treatment, leadTasks: [], batches: [] })),
    };
    this.base = baseOf(head, 'firmness', problem.from, this.days + TODAY.days);
    this.breakageBase = baseOf(head, 'breakage', problem.from, this.days + TODAY.days);
    this.kept = head.signals.firmness.retentionPerDay;
    const sd = this.base[0]?.sd ?? 0;
    this.truth = sd * draw.start;
    this.believed = { mean: 0, variance: sd ** 2 };
  }

  live(habit: Habit): LivedWeeks {
    const firmness: number[] = [];
    const breakage: number[] = [];
    for (let at = 0; at < this.days; at++) {
      if (at > 0) this.sleep(at);
      const day = addDays(this.problem.from, at);
      const drafts =
        'drafts' in habit ? habit.drafts.filter((draft) => draft.day === day) : this.decide(habit, day, at);
      for (const draft of drafts) this.use(draft);
      firmness.push((this.base[at]?.mean ?? 0) + this.truth);
      breakage.push((this.breakageBase[at]?.mean ?? 0) + this.broken);
    }
    return { firmness, breakage, drafts: this.done };
  }

  private sleep(at: number): void {
    const variance = this.wanders(at);
    this.truth = this.kept * this.truth + Math.sqrt(variance) * (this.draw.daily[at] ?? 0);
    this.believed = {
      mean: this.kept * this.believed.mean,
      variance: this.kept ** 2 * this.believed.variance + variance,
    };
    this.broken *= this.head.signals.breakage.retentionPerDay;
  }

  /** Variance that a day adds. */
  private wanders(at: number): number {
    const [before, now] = [this.base[at - 1]?.sd ?? 0, this.base[at]?.sd ?? 0];
    return Math.max(0, now ** 2 - this.kept ** 2 * before ** 2);
  }

  private decide({ checksEvery }: { checksEvery: number | null }, day: CalendarDay, at: number): PlanDraft[] {
    if (freeMinutesOn(this.head, day) <= 0) return [];
    if (checksEvery !== null && at - this.lastCheck >= checksEvery) this.check(at);
    const [best] = todayOptions(this.problemOn(day, at), this.index);
    return [...(best?.drafts ?? [])];
  }

  /** A stroke of the hand. */
  private check(at: number): void {
    const error = FEEL.sd * this.head.signals.firmness.errorFactor;
    const felt = this.truth + error * (this.draw.checks[at] ?? 0);
    const { mean, variance } = this.believed;
    const gain = variance / (variance + error ** 2);
    this.believed = { mean: mean + gain * (felt - mean), variance: (1 - gain) * variance };
    this.lastCheck = at;
  }

  private use(draft: PlanDraft): void {
    const { firmness, breakage } = draft.treatment.effect;
    const { mean, variance } = this.believed;
    this.truth += firmness.mean + firmness.sd * (this.draw.effects.get(draft.recipeId) ?? 0);
    this.believed = { mean: mean + firmness.mean, variance: variance + firmness.sd ** 2 };
    this.broken += breakage.mean;
    this.done.push(draft);
  }

  /** The question as it stands on that morning. */
  private problemOn(day: CalendarDay, at: number): PlanProblem {
    const { head } = this;
    const ahead: DatedEstimate[] = [];
    const brokenAhead: DatedEstimate[] = [];
    let { mean: departure, variance } = this.believed;
    let { broken } = this;
    for (let step = 1; step < TODAY.days; step++) {
      departure *= this.kept;
      variance = this.kept ** 2 * variance + this.wanders(at + step);
      broken *= head.signals.breakage.retentionPerDay;
      const next = addDays(day, step);
      ahead.push({ day: next, mean: (this.base[at + step]?.mean ?? 0) + departure, sd: Math.sqrt(variance) });
      const { mean = 0, sd = 0 } = this.breakageBase[at + step] ?? {};
      brokenAhead.push({ day: next, mean: mean + broken, sd });
    }
    const now = (signal: SignalId, mean: number, sd: number, later: DatedEstimate[]): SignalState => ({
      ...head.signals[signal],
      mean,
      sd,
      ahead: later,
    });
    const { mean: breakage = 0, sd: breakageSd = 0 } = this.breakageBase[at] ?? {};
    const today: HeadProblem = {
      ...head,
      asOf: day,
      signals: {
        ...head.signals,
        firmness: now(
          'firmness',
          (this.base[at]?.mean ?? 0) + this.believed.mean,
          Math.sqrt(this.believed.variance),
          ahead,
        ),
        breakage: now('breakage', breakage + this.broken, breakageSd, brokenAhead),
      },
      past: [
        ...head.past,
        ...this.done.map(({ day: on, recipeId, treatment: { use, firms, strong, moistens, doseShare } }) => ({
          day: on,
          recipeId,
          use,
          firms,
          strong,
          moistens,
          doseShare,
        })),
      ],
      lastReading: this.lastCheck >= 0 ? addDays(this.problem.from, this.lastCheck) : head.lastReading,
    };
    return {
      ...this.problem,
      from: day,
      weeks: 1,
      heads: this.problem.heads.map((each, i) => (i === this.index ? today : each)),
    };
  }
}
