export { estimateInWorker, planInWorker, readBackupInWorker } from './client';
export type { HairQuestion } from './compute';
