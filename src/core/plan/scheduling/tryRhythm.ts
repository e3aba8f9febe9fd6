import { jStat } from 'jstat';
import { addDays, dayRange, mean, sum, type CalendarDay } from '../../base/measures';
import { FIXED_RULES, PLAIN_WASH_ID, PLAN_RULES } from '../agenda';
import {
  checkAssignments,
  draftOf,
  freeMinutesOn,
  minutesOf,
  type PlanDraft,
  type HeadProblem,
  type PlanProblem,
  type Treatment,
} from '../planning';
import { liveAhead, type Habit, type LivedWeeks } from './liveAhead';

/** Rhythms that can be tried without living them: what the tool says on each free day, with checks or without, and habits. */
export const TRYOUT_RHYTHMS = [
  'plan',
  'weekly-check',
  'no-check',
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

/** Lives of each rhythm: through them a difference of two days in twelve weeks is seen (docs/model.md). */
const LIVES = 24;
/** Any: every rhythm meets the same lives. */
const SEED = 4211;
/** Of a hundred lives, those left out below and above. */
const TAIL = 0.05;

/** What a rhythm would do to her hair, as far as the model knows it. */
export interface RhythmTryout {
  readonly id: TryoutRhythmId;
  readonly days: readonly {
    readonly day: CalendarDay;
    /** Firmness, over the lives. */
    readonly mean: number;
    readonly sd: number;
    /** What is done that day in at least half of them. */
    readonly uses: readonly Pick<Treatment, 'kind' | 'strength'>[];
  }[];
  /** Days outside the comfort zone on the average, and of these too firm. */
  readonly daysOutside: number;
  readonly daysTooFirm: number;
  /** Days outside in all but the best and the worst lives. */
  readonly outsideRange: { readonly low: number; readonly high: number };
  /** The day from which on it is more likely too firm than not; null where that never comes. */
  readonly overloadFrom: CalendarDay | null;
  /** Broken pieces a day, at the start and at the end. */
  readonly brokenFirst: number;
  readonly brokenLast: number;
  /** Of all the weeks, on the average of the lives. */
  readonly minutes: number;
  readonly cost: number;
  readonly uses: number;
  /** Rules that it would break, and how often. */
  readonly breaks: readonly { readonly label: string; readonly times: number }[];
}

/**
 * Lives a rhythm on the model of one head: what the tool says is decided anew on each free day after a stroke of the hand, a habit
 * goes on whatever the rules say. All rhythms meet the same lives, so what differs is the rhythm.
 */
export function tryRhythm(
  problem: PlanProblem,
  index: number,
  id: TryoutRhythmId,
  own: readonly OwnPart[] = [],
): RhythmTryout | null {
  const head = problem.heads[index];
  if (!head) return null;
  const habit = habitOf(problem, head, id, own);
  if (!habit) return null;
  const lives = liveAhead(problem, index, habit, LIVES, SEED);
  const { low, high } = head.signals.firmness.comfortZone;
  const isSoft = (level: number) => low !== null && level < low;
  const isFirm = (level: number) => high !== null && level > high;
  const ofLives = (of: (life: LivedWeeks) => number) => mean(lives.map(of));
  const outside = lives
    .map(({ firmness }) => firmness.filter((level) => isSoft(level) || isFirm(level)).length)
    .sort((a, b) => a - b);
  const days = dayRange(problem.from, 7 * problem.weeks);
  const over = days.findIndex(
    (_, at) => ofLives(({ firmness }) => (isFirm(firmness[at] ?? 0) ? 1 : 0)) > 0.5,
  );
  const broken = (of: (levels: readonly number[]) => readonly number[]) =>
    Math.exp(ofLives(({ breakage }) => mean(of(breakage))));
  return {
    id,
    days: days.map((day, at) => {
      const levels = lives.map(({ firmness }) => firmness[at] ?? 0);
      return { day, mean: mean(levels), sd: jStat.stdev(levels, true), uses: usualOn(lives, day) };
    }),
    daysOutside: mean(outside),
    daysTooFirm: ofLives(({ firmness }) => firmness.filter(isFirm).length),
    outsideRange: {
      low: outside[Math.floor(TAIL * LIVES)] ?? 0,
      high: outside[LIVES - 1 - Math.floor(TAIL * LIVES)] ?? 0,
    },
    overloadFrom: days[over] ?? null,
    brokenFirst: broken((levels) => levels.slice(0, 7)),
    brokenLast: broken((levels) => levels.slice(-7)),
    minutes: ofLives(({ drafts }) => sum(drafts.map((draft) => minutesOf(head, draft)))),
    cost: ofLives(({ drafts }) => sum(drafts.map(({ treatment }) => treatment.cost ?? 0))),
    uses: ofLives(({ drafts }) => drafts.length),
    breaks: 'drafts' in habit ? rulesBroken(problem, head, habit.drafts) : [],
  };
}

/** What is done on this day in at least half of the lives. */
function usualOn(lives: readonly LivedWeeks[], day: CalendarDay): Pick<Treatment, 'kind' | 'strength'>[] {
  const times = new Map<string, { treatment: Treatment; count: number }>();
  for (const { drafts } of lives)
    for (const { treatment } of drafts.filter((draft) => draft.day === day)) {
      const known = times.get(treatment.recipeId);
      times.set(treatment.recipeId, { treatment, count: (known?.count ?? 0) + 1 });
    }
  return [...times.values()]
    .filter(({ count }) => 2 * count >= lives.length)
    .map(({ treatment: { kind, strength } }) => ({ kind, strength }));
}

/** Rules that a habit would break, and how often. */
function rulesBroken(
  problem: PlanProblem,
  head: HeadProblem,
  drafts: readonly PlanDraft[],
): RhythmTryout['breaks'] {
  const alone = { ...problem, heads: [{ ...head, decisions: [], trial: null }] };
  const times = new Map<string, number>();
  for (const { rule } of checkAssignments(alone, new Map([[head.head.headId, drafts]])))
    times.set(rule, (times.get(rule) ?? 0) + 1);
  return [...times].flatMap(([rule, count]) => {
    const label = Object.values(PLAN_RULES).find(({ id }) => id === rule)?.label ?? FIXED_RULES[rule]?.label;
    return label ? [{ label, times: count }] : [];
  });
}

function habitOf(
  problem: PlanProblem,
  head: HeadProblem,
  id: TryoutRhythmId,
  own: readonly OwnPart[],
): Habit | null {
  const masks = head.treatments.filter(
    ({ uses, recipeId }) => uses.includes('mask') && recipeId !== PLAIN_WASH_ID,
  );
  const strongest = (is: (treatment: Treatment) => boolean) =>
    masks.filter(is).sort((a, b) => b.strength - a.strength)[0];
  const weekly = (treatment: Treatment | undefined) =>
    treatment ? { drafts: everyWeek(problem, head, treatment) } : null;
  switch (id) {
    case 'plan':
      return { checksEvery: 1 };
    case 'weekly-check':
      return { checksEvery: 7 };
    case 'no-check':
      return { checksEvery: null };
    case 'strong-weekly':
      return weekly(strongest(({ kind }) => kind === 'protein'));
    case 'light-weekly':
      return weekly(strongest(({ firms, strong }) => firms && !strong));
    case 'moisture-only':
      return weekly(strongest(({ kind }) => kind === 'moisture'));
    case 'nothing':
      return { drafts: [] };
    case 'own':
      return { drafts: own.flatMap((part) => ownUses(problem, masks, part)) };
  }
}

function ownUses(
  { from, weeks }: PlanProblem,
  masks: readonly Treatment[],
  { recipeId, everyDays }: OwnPart,
): PlanDraft[] {
  const treatment = masks.find((known) => known.recipeId === recipeId);
  if (!treatment) return [];
  const count = Math.ceil((7 * weeks) / Math.max(1, everyDays));
  return Array.from({ length: count }, (_, turn) => use(treatment, addDays(from, turn * everyDays)));
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
