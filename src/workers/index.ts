export { askEstimator, askPlanner, askSolver, warmWorkers } from './client';
export type { HairQuestion } from './compute';
