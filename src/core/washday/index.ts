export { usualSections, washScript } from './script';
export { traitsOf, type Traits } from './traits';
export type { DayUse, WashPlan } from './washPlan';
export {
  inMinutes,
  insteadOfMain,
  plannedMinutes,
  stepsAhead,
  withoutHeat,
  type ChangedPlan,
} from './changes';
