import { addDays } from '../../base/measures';
import type { SolveProgramme, SolveProgress } from '../../base/programme';
import { effortLimits, type EffortLimits } from '../agenda';
import { explainPlans, type PlanSource, type PlanDraft, type Plan, type PlanProblem } from '../planning';
import { withTodayOpen } from './decideToday';
import type { Demand } from './demand';
import { fitDoses } from './fitDoses';
import type { Placement } from './placements';
import { readDrafts } from './readDrafts';
import { relaxPlan, relaxationsIn, type Relaxation } from './relax';
import { smallTreatments } from './smallTreatments';
import { weekProgramme, type WeekProgramme } from './weekProgramme';
import { weekSearch } from './weekSearch';

export interface ScheduleOptions extends EffortLimits {
  readonly onProgress?: (progress: SolveProgress) => void;
}

/** The plans of all heads that one person looks after, and how good they are. */
export interface Schedule {
  readonly plans: readonly Plan[];
  readonly drafts: readonly (readonly PlanDraft[])[];
  /** Rules that these plans do not keep, because what she decided allows no plan that keeps them all. */
  readonly relaxations: readonly Relaxation[];
}

/** What crosses from a worker to the page: the drafts stay behind. */
export type Plans = Omit<Schedule, 'drafts'>;

export function plansOf({ plans, relaxations }: Schedule): Plans {
  return { plans, relaxations };
}

/** The plan that the search finds without a solver. @param drafts what it has found already */
export function searchSchedule(problem: PlanProblem, drafts = weekSearch(problem)): Schedule {
  const relaxations = relaxationsIn(problem, drafts);
  return {
    ...put(problem, drafts, { planner: 'week-search', gap: null }, relaxations.length === 0),
    relaxations,
  };
}

/**
 * The best plan, by the solver. Where it cannot answer, the search does, and says so.
 * @param first what the search has found: the solver begins with it
 */
export function solveSchedule(
  problem: PlanProblem,
  solve: SolveProgramme,
  options: ScheduleOptions = effortLimits('usual', problem.weeks),
  first = weekSearch(problem),
): Schedule {
  const best = trySolving(problem, solve, options, [], first);
  if (best.status === 'solved') return best.schedule;
  // What today's check decided stands only where all else that was decided leaves room for it.
  if (best.status === 'impossible' && problem.heads.some(({ decidedToday }) => decidedToday?.main))
    return solveSchedule(withTodayOpen(problem), solve, options, first);
  const loose = best.status === 'impossible' ? relaxPlan(problem, [], solve, options.seconds) : best;
  if (loose.status !== 'relaxed') return searchSchedule(problem, first);
  return {
    ...put(problem, loose.drafts, { planner: 'programme', gap: null }, false),
    relaxations: loose.relaxations,
  };
}

/** What solving came to: plans, the proof that there are none, or neither, because the solver broke off or ran out of time. */
export type SolveOutcome =
  | { readonly status: 'solved'; readonly schedule: Schedule }
  | { readonly status: 'impossible' }
  | { readonly status: 'unanswered' };

/** As {@link solveSchedule}, with what the plan has to hold beside its rules; nothing gives way. */
export function trySolving(
  problem: PlanProblem,
  solve: SolveProgramme,
  options: ScheduleOptions,
  demands: readonly Demand[],
  first: readonly (readonly PlanDraft[])[] = [],
): SolveOutcome {
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

/** @param isDosed whether doses are fitted; not where rules are broken, of which is said by how much */
function put(
  problem: PlanProblem,
  washes: readonly (readonly PlanDraft[])[],
  answered: PlanSource,
  isDosed = true,
): Schedule {
  const drafts = problem.heads.reduce<PlanDraft[][]>((planned, head, index) => {
    const whole = washes[index] ?? [];
    const own = isDosed ? fitDoses(problem, head, whole) : whole;
    const elsewhere = [...planned, ...washes.slice(index + 1)].flat();
    return [...planned, [...own, ...smallTreatments(problem, head, own, elsewhere)]];
  }, []);
  return {
    drafts,
    relaxations: [],
    plans: problem.heads.map((head, index) => explainPlans(problem, head, drafts[index] ?? [], answered)),
  };
}

/** The search's plan as values to begin with. */
function startOf(
  { from }: PlanProblem,
  { placements }: WeekProgramme,
  first: readonly (readonly PlanDraft[])[],
): Record<string, number> {
  if (first.length === 0) return {};
  const isChosen = ({ head, at, slot, treatment, overnight }: Placement) =>
    (first[head] ?? []).some(
      (draft) =>
        draft.day === addDays(from, at) &&
        draft.slot === slot &&
        draft.recipeId === treatment.recipeId &&
        draft.treatment.doseShare === treatment.doseShare &&
        draft.overnight === overnight,
    );
  return Object.fromEntries(placements.map((placement) => [placement.name, isChosen(placement) ? 1 : 0]));
}
