/** The screens of a wash day in one file, fetched together. */
export { WashBar } from './WashBar';
export { WashScreen } from './WashScreen';
