export {
  answersOnThePageFrom,
  askEstimator,
  askScheduler,
  askSolver,
  ringAfter,
  stopScheduler,
  warmWorkers,
} from './client';
export type { PlanNews } from './solving';
