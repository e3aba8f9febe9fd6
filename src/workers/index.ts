export {
  askEstimator,
  askPlanner,
  askScheduler,
  askSolver,
  ringAfter,
  stopScheduler,
  warmWorkers,
} from './client';
export { Stopped, TookTooLong } from './clientOf';
export type { HairQuestion } from './compute';
export type { PlanAnswer, PlanQuestion, ShelfNote } from './planning';
