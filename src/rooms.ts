/**
 * Every screen but Today in one file, fetched when the first of them is opened, and what computes where no worker can start. What two files share comes with
 * the first screen of the application, so that many small files would make that one heavy.
 */
export * from './features/bench/screens';
export * from './features/heads/screens';
export * from './features/keeping/screens';
export * from './features/keys/screens';
export * from './features/pantry/screens';
export * from './features/session/screens';
export * from './features/shelf/screens';
export * from './features/strand/screens';
export * from './features/week/screens';
export { estimatorApi } from './workers/estimating';
export { solverApi } from './workers/solving';
