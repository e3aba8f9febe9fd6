export { densityOf } from './density';
export { guessedShareOf, judgedText, MOST_GUESSED, type Judged, type JudgedText } from './judgedText';
export { JOINING_C, type Formula, type FormulaFinding } from './formula';
