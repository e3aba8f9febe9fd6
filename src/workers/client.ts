import type { ClockApi } from './clock';
import { clientOf } from './clientOf';
import type { EstimatorApi, PlannerApi } from './compute';
import type { SchedulingApi, SolvingApi } from './solving';

const estimator = clientOf<EstimatorApi>(
  () => new Worker(new URL('./estimator.worker', import.meta.url)),
  async () => (await import('./onThePage')).estimatorApi,
);

const planner = clientOf<PlannerApi>(
  () => new Worker(new URL('./planner.worker', import.meta.url)),
  async () => (await import('./onThePage')).plannerApi,
);

const solver = clientOf<SolvingApi>(
  () => new Worker(new URL('./solver.worker', import.meta.url)),
  async () => (await import('./onThePage')).solvingApi,
);

/** The solver in a thread of its own: a plan that is given up takes nothing else with it. */
const scheduler = clientOf<SchedulingApi>(
  () => new Worker(new URL('./scheduler.worker', import.meta.url)),
  async () => (await import('./onThePage')).schedulingApi,
);

export const askSolver = solver.ask;
export const askScheduler = scheduler.ask;
export const askEstimator = estimator.ask;
export const askPlanner = planner.ask;
/** Ends whatever plan is being worked at. */
export const stopScheduler = scheduler.stop;

const clock = clientOf<ClockApi>(
  () => new Worker(new URL('./clock.worker', import.meta.url)),
  async () => (await import('./clock')).clockApi,
);

/** Resolves after so many milliseconds, to the second even while the page is hidden. */
export const ringAfter = (milliseconds: number): Promise<void> => clock.ask('after', milliseconds);

/** Not the solver: it is large, and asked for rarely. */
export function warmWorkers(): void {
  estimator.warm();
  planner.warm();
}
