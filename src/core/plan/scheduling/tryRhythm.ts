import { addDays, dayRange, daysBetween, mean, sum, type CalendarDay } from '../../base/measures';
import { laneProbabilities, SIGNALS } from '../../hair/state';
import type { SignalId } from '../../records/shapes';
import { FIXED_RULES, PLAIN_WASH_ID, PLAN_RULES } from '../agenda';
import {
  baseOf,
  checkBeats,
  draftOf,
  freeMinutesOn,
  minutesOf,
  moving,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
  type Treatment,
} from '../planning';

/** Rhythms that can be tried without living them. */
export const TRYOUT_RHYTHMS = [
  'plan',
  'without-pre-poos',
  'strong-weekly',
  'light-weekly',
  'moisture-only',
  'nothing',
  'own',
] as const;
export type TryoutRhythmId = (typeof TRYOUT_RHYTHMS)[number];

/** One part of a rhythm of her own. */
export interface OwnPart {
  readonly recipeId: string;
  readonly everyDays: number;
}

/** What a rhythm would do to her hair, as far as the model knows it. */
export interface RhythmTryout {
  readonly id: TryoutRhythmId;
  readonly days: readonly {
    readonly day: CalendarDay;
    /** Firmness. */
    readonly mean: number;
    readonly sd: number;
    readonly uses: readonly Pick<Treatment, 'kind' | 'strength'>[];
  }[];
  /** Days that are expected outside the lane, and of these too firm. */
  readonly daysOutside: number;
  readonly daysTooFirm: number;
  /** The day from which on it is more likely too firm than not; null where that never comes. */
  readonly overloadFrom: CalendarDay | null;
  /** Broken pieces a day, at the start and at the end. */
  readonly brokenFirst: number;
  readonly brokenLast: number;
  readonly minutes: number;
  readonly cost: number;
  readonly uses: number;
  /** Rules that it would break, and how often. */
  readonly breaks: readonly { readonly label: string; readonly times: number }[];
}

/**
 * Lives a rhythm on the model of one head, whatever its rules say. What is not known of a recipe is the same on every use, so
 * the errors of its uses add up and do not average out: the fan of a rhythm that repeats one recipe is wider than the plan's.
 * @param planned the drafts of the plan that it is held against
 */
export function tryRhythm(
  problem: PlanProblem,
  index: number,
  id: TryoutRhythmId,
  planned: readonly PlanDraft[],
  own: readonly OwnPart[] = [],
): RhythmTryout | null {
  const head = problem.heads[index];
  if (!head) return null;
  const drafts = draftsOf(problem, head, id, moving(planned), own);
  if (!drafts) return null;
  const count = 7 * problem.weeks;
  const firmness = course(head, 'firmness', problem.from, drafts, count);
  const breakage = course(head, 'breakage', problem.from, drafts, count);
  const chances = firmness.map((level) => laneProbabilities(level, SIGNALS.firmness.lane));
  const over = chances.findIndex(({ above }) => above > 0.5);
  const beats = new Map([[head.head.headId, drafts]]);
  const alone = { ...problem, heads: [{ ...head, decisions: [], trial: null }] };
  return {
    id,
    days: firmness.map((level, at) => {
      const day = addDays(problem.from, at);
      return {
        day,
        ...level,
        uses: drafts
          .filter((draft) => draft.day === day)
          .map(({ treatment: { kind, strength } }) => ({ kind, strength })),
      };
    }),
    daysOutside: sum(chances.map(({ above, below }) => above + below)),
    daysTooFirm: sum(chances.map(({ above }) => above)),
    overloadFrom: over < 0 ? null : addDays(problem.from, over),
    brokenFirst: Math.exp(mean(breakage.slice(0, 7).map((level) => level.mean))),
    brokenLast: Math.exp(mean(breakage.slice(-7).map((level) => level.mean))),
    minutes: sum(drafts.map((draft) => minutesOf(head, draft))),
    cost: sum(drafts.map(({ treatment, batchId }) => (batchId === null ? (treatment.cost ?? 0) : 0))),
    uses: drafts.length,
    breaks: broken(checkBeats(alone, beats).map(({ rule }) => rule)),
  };
}

function broken(rules: readonly string[]): RhythmTryout['breaks'] {
  const times = new Map<string, number>();
  for (const rule of rules) times.set(rule, (times.get(rule) ?? 0) + 1);
  return [...times].flatMap(([rule, count]) => {
    const label = Object.values(PLAN_RULES).find(({ id }) => id === rule)?.label ?? FIXED_RULES[rule]?.label;
    return label ? [{ label, times: count }] : [];
  });
}

function draftsOf(
  problem: PlanProblem,
  head: HeadProblem,
  id: TryoutRhythmId,
  planned: readonly PlanDraft[],
  own: readonly OwnPart[],
): PlanDraft[] | null {
  const masks = head.treatments.filter(
    ({ uses, recipeId }) => uses.includes('mask') && recipeId !== PLAIN_WASH_ID,
  );
  const strongest = (is: (treatment: Treatment) => boolean) =>
    masks.filter(is).sort((a, b) => b.strength - a.strength)[0];
  const weekly = (treatment: Treatment | undefined) =>
    treatment ? everyWeek(problem, head, treatment) : null;
  switch (id) {
    case 'plan':
      return [...planned];
    case 'without-pre-poos':
      return planned.filter(({ slot }) => slot !== 'pre-poo');
    case 'strong-weekly':
      return weekly(strongest(({ kind }) => kind === 'protein'));
    case 'light-weekly':
      return weekly(strongest(({ firms, strong }) => firms && !strong));
    case 'moisture-only':
      return weekly(strongest(({ kind }) => kind === 'moisture'));
    case 'nothing':
      return [];
    case 'own':
      return own.flatMap(({ recipeId, everyDays }) => {
        const treatment = masks.find((known) => known.recipeId === recipeId);
        const count = Math.ceil((7 * problem.weeks) / Math.max(1, everyDays));
        return treatment
          ? Array.from({ length: count }, (_, turn) =>
              use(treatment, addDays(problem.from, turn * everyDays)),
            )
          : [];
      });
  }
}

/** On the freest day of each week. */
function everyWeek(problem: PlanProblem, head: HeadProblem, treatment: Treatment): PlanDraft[] {
  return Array.from({ length: problem.weeks }, (_, week) => {
    const days = dayRange(addDays(problem.from, 7 * week), 7);
    const free = (day: CalendarDay) => freeMinutesOn(head, day);
    const freest = days.reduce((best, day) => (free(day) > free(best) ? day : best), days[0] ?? problem.from);
    return use(treatment, freest);
  });
}

const use = (treatment: Treatment, day: CalendarDay) => draftOf(day, treatment, 'main');

/** A signal day by day, with the errors of one recipe's uses added before they are squared. */
function course(
  head: HeadProblem,
  signal: SignalId,
  from: CalendarDay,
  drafts: readonly PlanDraft[],
  days: number,
): { mean: number; sd: number }[] {
  const { retentionPerDay: kept } = head.signals[signal];
  const recipes = [...new Set(drafts.map(({ treatment }) => treatment))];
  const weights = recipes.map(() => 0);
  return baseOf(head, signal, from, days).map((level, at) => {
    recipes.forEach((treatment, index) => {
      const used = drafts.filter(
        (draft) => draft.treatment === treatment && daysBetween(from, draft.day) === at,
      );
      weights[index] = kept * (weights[index] ?? 0) + used.length;
    });
    const shift = sum(recipes.map(({ effect }, index) => (weights[index] ?? 0) * effect[signal].mean));
    const variance = sum(
      recipes.map(({ effect }, index) => ((weights[index] ?? 0) * effect[signal].sd) ** 2),
    );
    return { mean: level.mean + shift, sd: Math.sqrt(level.sd ** 2 + variance) };
  });
}
