export {
  answersOnThePageFrom,
  askJudgement,
  askEstimator,
  askScheduler,
  askSolver,
  ringAfter,
  stopScheduler,
  warmWorkers,
  type LarderContents,
} from './client';
export type { PlanNews } from './solving';
