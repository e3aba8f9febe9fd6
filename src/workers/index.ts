export { askEstimator, askPlanner, warmWorkers } from './client';
export type { HairQuestion } from './compute';
