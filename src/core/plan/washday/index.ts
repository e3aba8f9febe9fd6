export {
  inMinutes,
  insteadOfMain,
  plannedMinutes,
  stepsAhead,
  withoutHeat,
  type ChangedPlan,
} from './changes';
export { lateMinutes, quietSince, runState, withEvent } from './replay';
export { usualSections, washScript } from './script';
export { type Traits } from './traits';
export type { DayUse, WashPlan, WashSides } from './washPlan';
