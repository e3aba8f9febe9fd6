/** The screen of safe keeping, fetched with the others. */
export { KeepingScreen } from './KeepingScreen';
