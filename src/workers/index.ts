export { estimateInWorker, planInWorker, readBackupInWorker } from './client';
