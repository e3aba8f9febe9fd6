/** What answers where no worker can start: one file, so that nothing of it comes with the first screen. */
export { estimatorApi, plannerApi } from './compute';
export { schedulingApi, solvingApi } from './solving';
