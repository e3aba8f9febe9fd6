/** The screen of safe keeping, fetched with the others. */
export { BackupScreen } from './BackupScreen';
