import { clientOf } from './clientOf';
import type { EstimatorApi, PlannerApi } from './compute';
import type { SolvingApi } from './solving';

const estimator = clientOf<EstimatorApi>(
  () => new Worker(new URL('./estimator.worker', import.meta.url)),
  async () => (await import('./compute')).estimatorApi,
);

const planner = clientOf<PlannerApi>(
  () => new Worker(new URL('./planner.worker', import.meta.url)),
  async () => (await import('./compute')).plannerApi,
);

const solver = clientOf<SolvingApi>(
  () => new Worker(new URL('./solver.worker', import.meta.url)),
  async () => (await import('./solving')).solvingApi,
);

export const askSolver = solver.ask;
export const askEstimator = estimator.ask;
export const askPlanner = planner.ask;

/** Not the solver: it is large, and asked for rarely. */
export function warmWorkers(): void {
  estimator.warm();
  planner.warm();
}
