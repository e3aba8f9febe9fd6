/** What answers where no worker can start: one file, so that nothing of it comes with the first screen. */
export { estimatorApi } from './estimating';
export { solverApi } from './solving';
