export { arrangedMethod, type Arranging } from './arrange';
export { gritOf, type Grit } from './grit';
export { methodKind, type Tool } from './kinds';
export {
  methodOfRecipe,
  methodOfText,
  shownMethod,
  type Method,
  type MethodLine,
  type MethodStep,
} from './method';
export { leadTasksOf, type LeadTask } from './lead';
export { warningsOf, type MethodWarning } from './warnings';
