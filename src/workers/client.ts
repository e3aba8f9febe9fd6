import { clientOf } from './clientOf';
import type { EstimatorApi, PlannerApi } from './compute';

const estimator = clientOf<EstimatorApi>(
  () => new Worker(new URL('./estimator.worker', import.meta.url)),
  async () => (await import('./compute')).estimatorApi,
);

const planner = clientOf<PlannerApi>(
  () => new Worker(new URL('./planner.worker', import.meta.url)),
  async () => (await import('./compute')).plannerApi,
);

export const askEstimator = estimator.ask;
export const askPlanner = planner.ask;

export function warmWorkers(): void {
  estimator.warm();
  planner.warm();
}
