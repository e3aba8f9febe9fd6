import { effortLimits, type EffortLimits } from '../agenda';
import { addDays } from '../measures';
import { explained, type Answered, type Draft, type Plan, type PlanProblem } from '../planning';
import type { SolveProgramme, SolveProgress } from '../programme';
import type { Demand } from './demand';
import { loosened, looseningsIn, type Loosening } from './loosen';
import { readDrafts } from './readDrafts';
import { smallBeats } from './smallBeats';
import { weekProgramme, type WeekProgramme } from './weekProgramme';
import { weekSearch } from './weekSearch';

export interface ScheduleOptions extends EffortLimits {
  readonly onProgress?: (progress: SolveProgress) => void;
}

/** The plans of all heads that one person looks after, and how good they are. */
export interface Schedule {
  readonly plans: readonly Plan[];
  readonly drafts: readonly (readonly Draft[])[];
  /** Rules that these plans do not keep, because what she decided allows no plan that keeps them all. */
  readonly loosenings: readonly Loosening[];
}

/** What crosses from a worker to the page: the drafts stay behind. */
export type Plans = Omit<Schedule, 'drafts'>;

export function plansOf({ plans, loosenings }: Schedule): Plans {
  return { plans, loosenings };
}

/** The plan that the search finds without a solver. @param drafts what it has found already */
export function searched(problem: PlanProblem, drafts = weekSearch(problem)): Schedule {
  return {
    ...put(problem, drafts, { planner: 'week-search', gap: null }),
    loosenings: looseningsIn(problem, drafts),
  };
}

/**
 * The best plan, by the solver. Where it cannot answer, the search does, and says so.
 * @param first what the search has found: the solver begins with it
 */
export function scheduled(
  problem: PlanProblem,
  solve: SolveProgramme,
  options: ScheduleOptions = effortLimits('usual', problem.weeks),
  first = weekSearch(problem),
): Schedule {
  const best = solved(problem, solve, options, [], first);
  if (best.status === 'solved') return best.schedule;
  const loose = best.status === 'impossible' ? loosened(problem, [], solve, options.seconds) : best;
  if (loose.status !== 'loosened') return searched(problem, first);
  return {
    ...put(problem, loose.drafts, { planner: 'programme', gap: null }),
    loosenings: loose.loosenings,
  };
}

/** What solving came to: plans, the proof that there are none, or neither, because the solver broke off or ran out of time. */
export type Solved =
  | { readonly status: 'solved'; readonly schedule: Schedule }
  | { readonly status: 'impossible' }
  | { readonly status: 'unanswered' };

/** As {@link scheduled}, with what the plan has to hold beside its rules; nothing gives way. */
export function solved(
  problem: PlanProblem,
  solve: SolveProgramme,
  options: ScheduleOptions,
  demands: readonly Demand[],
  first: readonly (readonly Draft[])[] = [],
): Solved {
  const programme = weekProgramme(problem, demands);
  const { status, values, objective, bound } = solve(programme.rows.programme(), {
    ...options,
    start: startOf(problem, programme, first),
  });
  if (status === 'infeasible') return { status: 'impossible' };
  if (status === 'failed') return { status: 'unanswered' };
  const gap = Math.max(0, (objective - bound) / Math.max(1e-9, Math.abs(objective)));
  const schedule = put(problem, readDrafts(problem, programme, values), { planner: 'programme', gap });
  return { status: 'solved', schedule };
}

function put(problem: PlanProblem, washes: readonly (readonly Draft[])[], answered: Answered): Schedule {
  const drafts = problem.heads.reduce<Draft[][]>((planned, head, index) => {
    const own = washes[index] ?? [];
    const elsewhere = [...planned, ...washes.slice(index + 1)].flat();
    return [...planned, [...own, ...smallBeats(problem, head, own, elsewhere)]];
  }, []);
  return {
    drafts,
    loosenings: [],
    plans: problem.heads.map((head, index) => explained(problem, head, drafts[index] ?? [], answered)),
  };
}

/** The search's plan as values to begin with. */
function startOf(
  { from }: PlanProblem,
  { placements }: WeekProgramme,
  first: readonly (readonly Draft[])[],
): Record<string, number> {
  if (first.length === 0) return {};
  const isChosen = (head: number, day: string, slot: string, recipeId: string, overnight: boolean) =>
    (first[head] ?? []).some(
      (draft) =>
        draft.day === day &&
        draft.slot === slot &&
        draft.recipeId === recipeId &&
        draft.overnight === overnight,
    );
  return Object.fromEntries(
    placements.map(({ name, head, at, slot, treatment, overnight }) => [
      name,
      isChosen(head, addDays(from, at), slot, treatment.recipeId, overnight) ? 1 : 0,
    ]),
  );
}
