/**
 * Every screen but Today in one file, fetched when the first of them is opened, and what computes where no worker can start. What two files share comes with
 * the first screen of the application, so that many small files would make that one heavy.
 */
export * from './features/recipes/screens';
export * from './features/people/screens';
export * from './features/backup/screens';
export * from './features/keys/screens';
export * from './features/pantry/screens';
export * from './features/session/screens';
export * from './features/shelf/screens';
export * from './features/shell/screens';
export * from './features/hair/screens';
export * from './features/week/screens';
export { estimatorApi } from './workers/estimating';
export { solverApi } from './workers/solving';
