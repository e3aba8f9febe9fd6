export { arrangedMethod, type Arranging } from './arrange';
export { gritOf, type Grit } from './grit';
export { type Tool } from './kinds';
export {
  methodOfRecipe,
  methodOfText,
  shownMethod,
  toldSteps,
  type Method,
  type MethodLine,
  type MethodStep,
} from './method';
export { leftOversOf, nextUseOf, type LeftOver } from './leftovers';
export { leadTasksOf, type LeadTask } from './lead';
export { waysOf } from './ways';
export { warningsOf, type MethodWarning } from './warnings';
