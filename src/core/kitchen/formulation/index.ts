export { densityOf } from './density';
export { judgedText, type Judged, type JudgedText } from './judgedText';
export { checkFormula, isFormula, JOINING_C, type Formula, type FormulaFinding } from './formula';
