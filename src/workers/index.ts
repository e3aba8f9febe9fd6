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
export type { ChangedVerdict } from './estimating';
export type { PlanNews } from './solving';
