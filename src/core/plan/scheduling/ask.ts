import { plural, t } from '@lingui/core/macro';
import {
  addDays,
  daysBetween,
  formatDay,
  rounded,
  weekdayOrDate,
  type CalendarDay,
} from '../../base/measures';
import type { SolveProgramme } from '../../base/programme';
import { effortLimits, type Effort, type EffortLimits, type PlanChange } from '../agenda';
import {
  draftOf,
  scoreOf,
  type HeadProblem,
  type Plan,
  type PlanProblem,
  type ScoreParts,
} from '../planning';
import { changesBetween } from './changes';
import type { Demand } from './demand';
import { neverBecause } from './neverRelaxed';
import { relaxPlan, type RelaxOutcome, type Relaxation } from './relax';
import { trySolving, type ScheduleOptions } from './schedule';
import { weekSearch } from './weekSearch';

/** A question about the plan: why not this on that day, or what if this is left out. */
export interface WhatIfQuestion {
  readonly headId: string;
  readonly what: 'why-not' | 'without';
  readonly slot: Demand['slot'];
  readonly recipeId: string;
  readonly day: CalendarDay;
}

/** What the plan would be, against what it is; or what stands in the way. */
export interface WhatIfAnswer {
  readonly possible: boolean;
  /** Of the recipe that it is about. */
  readonly name: string;
  /** The answer in a sentence. */
  readonly headline: string;
  readonly reasons: readonly string[];
  /** What else would change. */
  readonly changes: readonly PlanChange[];
  /** Which rules would have to give way; empty where none do. */
  readonly relaxations: readonly Relaxation[];
  /** The nearest day on which it fits as the rules are; null where it was possible, or fits on none. */
  readonly nearest: BetterDay | null;
  /** The head's plan that would be; null where there is none. */
  readonly plan: Plan | null;
}

export interface BetterDay {
  readonly day: CalendarDay;
  readonly text: string;
}

/** She waits for the answer with the question open, and one percent of the score changes no sentence of it. */
export function questionLimits(effort: Effort, weeks: number): EffortLimits {
  const { seconds, gap } = effortLimits(effort, weeks);
  return { seconds: seconds / 2, gap: 2 * gap };
}

/** Differences of the objective that are worth a word, in days at one step outside the comfort zone. */
const WORTH_SAYING = 0.05;

/**
 * Answers by solving again with the treatment forced, or forbidden.
 * @param current the plan that it is held against
 */
export function answerWhatIf(
  problem: PlanProblem,
  current: readonly Plan[],
  { headId, what, slot, recipeId, day }: WhatIfQuestion,
  solve: SolveProgramme,
  options: ScheduleOptions = questionLimits('usual', problem.weeks),
): WhatIfAnswer {
  const head = problem.heads.findIndex((each) => each.head.headId === headId);
  const at = daysBetween(problem.from, day);
  const demand: Demand = {
    head,
    is: what === 'why-not' ? 'placed' : 'absent',
    slot,
    recipeId,
    first: at,
    last: at,
  };
  const name = problem.heads[head]?.treatments.find((known) => known.recipeId === recipeId)?.name ?? t`This`;
  const on = weekdayOrDate(day, problem.from);
  const first = weekSearch(wishedFor(problem, head, demand, day));
  const other = trySolving(problem, solve, options, [demand], first);
  const before = current.find((plan) => plan.headId === headId);
  const after = other.status === 'solved' ? other.schedule.plans[head] : undefined;
  if (!after || !before) {
    const loose =
      other.status === 'unanswered' ? other : relaxPlan(problem, [demand], solve, options.seconds);
    return {
      possible: false,
      name,
      headline: whyImpossible(name, on, loose, problem, demand),
      reasons: [],
      changes: [],
      relaxations: loose.status === 'relaxed' ? loose.relaxations : [],
      nearest:
        what === 'why-not' && loose.status !== 'unanswered' ? nearestDay(problem, demand, solve) : null,
      plan: null,
    };
  }
  const difference = scoreOf(after.parts) - scoreOf(before.parts);
  return {
    possible: true,
    name,
    headline: headlineOf(what, name, on, difference),
    reasons: differences(before, after),
    changes: changesBetween(before, after, problem.from),
    relaxations: [],
    nearest: null,
    plan: after,
  };
}

/** The question as if she had decided so, for the search: its answer is what the solver begins with. */
function wishedFor(
  problem: PlanProblem,
  index: number,
  { is, slot, recipeId }: Demand,
  day: CalendarDay,
): PlanProblem {
  const decide = (head: HeadProblem): HeadProblem => ({
    ...head,
    decisions: [
      ...head.decisions,
      {
        id: 'what-if',
        recordedAt: '1970-01-01T00:00:00Z',
        kind: 'decision',
        headId: head.head.headId,
        day,
        slot,
        what: is === 'placed' ? 'place' : 'avoid',
        recipeId,
      },
    ],
  });
  return { ...problem, heads: problem.heads.map((each, at) => (at === index ? decide(each) : each)) };
}

function whyImpossible(
  name: string,
  on: string,
  loose: RelaxOutcome,
  problem: PlanProblem,
  { head: index, recipeId, slot, first }: Demand,
): string {
  const head = problem.heads[index];
  const treatment = head?.treatments.find((known) => known.recipeId === recipeId);
  const never =
    head && treatment
      ? neverBecause(problem, head, draftOf(addDays(problem.from, first), treatment, slot))
      : null;
  if (never) return t`${name} cannot be on ${on}. ${never}`;
  switch (loose.status) {
    case 'relaxed': {
      const { length } = loose.relaxations;
      return t`${name} does not fit on ${on}: ${plural({ rules: length }, { one: 'one rule stands', other: '# rules stand' })} in the way.`;
    }
    case 'impossible':
      return t`${name} cannot be on ${on}: it needs moisture on the same day, and none that is saved fits there. Save a moisture mask, or give the day more minutes.`;
    case 'unanswered':
      return t`Whether ${name} fits on ${on} could not be worked out in time: ask again, or look at fewer weeks.`;
  }
}

function headlineOf(what: WhatIfQuestion['what'], name: string, on: string, difference: number): string {
  const lead = what === 'why-not' ? t`${name} on ${on}` : t`Without ${name} on ${on}`;
  if (difference > WORTH_SAYING) return t`${lead} is possible, and the plan would be a little worse.`;
  if (difference < -WORTH_SAYING) return t`${lead} would be better than what was planned.`;
  return t`${lead} would be about as good.`;
}

const PART_WORDS: Readonly<
  Record<keyof ScoreParts, (difference: number, before: Plan, after: Plan) => string | null>
> = {
  outOfLane: (_, before, after) => {
    const days = rounded(daysOutside(after) - daysOutside(before), 1);
    return days === 0
      ? null
      : t`${{ days: daysText(days) }} outside the comfort zone, as far as can be foreseen`;
  },
  overload: (difference) =>
    difference > 0 ? t`More risk of being too firm` : t`Less risk of being too firm`,
  breakage: (difference) => (difference > 0 ? t`More broken pieces` : t`Fewer broken pieces`),
  porosity: () => null,
  hour: (_, before, after) => {
    const minutes = Math.round(minutesOf(after) - minutesOf(before));
    return minutes === 0
      ? null
      : minutes > 0
        ? plural(minutes, { one: '# minute more of your time', other: '# minutes more of your time' })
        : plural(
            { minutes: -minutes },
            { one: '# minute less of your time', other: '# minutes less of your time' },
          );
  },
  money: (_, before, after) => {
    const cost = rounded(costOf(after) - costOf(before), 1);
    if (cost === 0) return null;
    return cost > 0 ? t`${cost} dearer` : t`${{ cost: -cost }} cheaper`;
  },
  waste: (difference) =>
    difference > 0 ? t`A portion on the shelf would spoil` : t`Less on the shelf would spoil`,
  overdue: (difference) =>
    difference > 0 ? t`Something would be overdue for longer` : t`Less would be overdue`,
  noPrePoo: (difference) => (difference > 0 ? t`A wash without a pre-poo` : t`One wash more with a pre-poo`),
  style: (difference) =>
    difference > 0 ? t`No protein around the protective style` : t`Protein around the protective style`,
  rhythm: (difference) =>
    difference > 0 ? t`A rhythm of yours would not be kept` : t`A rhythm of yours would be kept`,
  trialDelay: (difference) => (difference > 0 ? t`The trial would wait` : t`The trial would go on sooner`),
  change: () => null,
};

/** What one plan has more or less of than another, in words, the weightiest first. */
export function differences(before: Plan, after: Plan): string[] {
  return (Object.keys(PART_WORDS) as (keyof ScoreParts)[])
    .map((part) => ({ part, difference: after.parts[part] - before.parts[part] }))
    .filter(({ difference }) => Math.abs(difference) > WORTH_SAYING / 2)
    .sort((a, b) => Math.abs(b.difference) - Math.abs(a.difference))
    .flatMap(({ part, difference }) => PART_WORDS[part](difference, before, after) ?? []);
}

function daysText(days: number): string {
  return days > 0
    ? plural(days, { one: '# day more', other: '# days more' })
    : plural({ days: -days }, { one: '# day less', other: '# days less' });
}

/** Days that are expected outside the comfort zone, each by its chance of being there. */
function daysOutside({ days }: Plan): number {
  return days.reduce((total, { outside }) => total + outside, 0);
}

const assignmentsOf = ({ days }: Plan) => days.flatMap(({ assignments }) => assignments);
const minutesOf = (plan: Plan) => assignmentsOf(plan).reduce((total, { minutes }) => total + minutes, 0);
const costOf = (plan: Plan) => assignmentsOf(plan).reduce((total, { cost }) => total + (cost ?? 0), 0);

/** Days before and after in which another day is looked for. */
const LOOK_AROUND_DAYS = 7;

/** Any plan answers whether it fits; a limit for a device on which even that takes long. */
const FITS = { seconds: 10, gap: 0.5 } as const;

/**
 * Where something does not fit on its day: the nearest day on which it does, the later of two; null where there is none, or where it
 * could not be told in time of a nearer one.
 */
function nearestDay(problem: PlanProblem, wanted: Demand, solve: SolveProgramme): BetterDay | null {
  const last = 7 * problem.weeks - 1;
  for (let away = 1; away <= LOOK_AROUND_DAYS; away++) {
    for (const at of [wanted.first + away, wanted.first - away]) {
      if (at < 0 || at > last) continue;
      const demand: Demand = { ...wanted, first: at, last: at };
      const { status } = trySolving(problem, solve, FITS, [demand]);
      if (status === 'unanswered') return null;
      if (status === 'impossible') continue;
      const day = addDays(problem.from, at);
      return { day, text: t`It fits on ${{ day: formatDay(day, 'EEEE d MMMM') }}` };
    }
  }
  return null;
}
