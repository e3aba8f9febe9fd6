export { agreementAfter, agreementSchema, type Agreement, type PlanNote } from './agreement';
export { nearestDay, wondered, type BetterDay, type Wondered, type Wondering } from './ask';
export { agreedOf, changesBetween, mainsOf, replanned, type News, type PlanChange } from './changes';
export { loosened, type Fix, type Loosening } from './loosen';
export {
  plansOf,
  scheduled,
  searched,
  usualOptions,
  type Plans,
  type Schedule,
  type ScheduleOptions,
} from './schedule';
