export {
  answersOnThePageFrom,
  askCode,
  askJudgement,
  askEstimator,
  askScheduler,
  askSolver,
  askVision,
  ringAfter,
  stopScheduler,
  warmWorkers,
  type LarderContents,
} from './client';
export type { ChangedVerdict } from './estimating';
export type { SeenSheet } from './seeing';
export type { PlanNews } from './solving';
