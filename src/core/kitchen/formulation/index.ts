export { densityOf } from './density';
export { checkFormula, isFormula, JOINING_C, type Formula, type FormulaFinding } from './formula';
