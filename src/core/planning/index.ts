export { checkPlan, type Breach } from './checkPlan';
export { placeInWords } from './explain';
export {
  MOST_WEEKS,
  type Beat,
  type Plan,
  type PlanDay,
  type Planner,
  type PlanProblem,
  type PrepTask,
  type Reason,
  type Slot,
  type Treatment,
  type UnmetRule,
} from './plan';
export { planProblem } from './problem';
export { RULES, type Rule } from './rules';
export { weekSearch } from './weekSearch';
