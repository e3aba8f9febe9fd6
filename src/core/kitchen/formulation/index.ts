export { densityOf } from './density';
export { isTooGuessed, judgedText, toldHeadline, type Judged, type JudgedText } from './judgedText';
export { JOINING_C, type Formula, type FormulaFinding } from './formula';
