export { labelTroubleWords, sheetTroubleWords } from './troubleWords';
