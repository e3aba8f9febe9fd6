export { checkBeats, checkPlan } from './checkPlan';
export {
  draftOf,
  isFreeEvening,
  freeMinutesOn,
  handsMinutes,
  minutesOf,
  moving,
  sharedMinutesOn,
  timedMinutes,
  waitingMinutesOf,
  washWindow,
  withPortion,
  type PlanDraft,
} from './draft';
export { explainPlans, type PlanSource } from './explain';
export { breachesOf, chanceTooFirm, needsMoisture } from './permits';
export {
  MOST_WEEKS,
  type Beat,
  type Breach,
  type Due,
  type HeadProblem,
  type PastUse,
  type Plan,
  type PlanDay,
  type PlanProblem,
  type PrepTask,
  type Reason,
  type ScoreParts,
  type Standing,
  type Treatment,
  type UnmetRule,
} from './plan';
export { EMPTY_KITCHEN, planProblem, type Kitchen, type PlannedHead } from './problem';
export {
  agreedSpan,
  baseOf,
  cadences,
  canPrePoo,
  countsFor,
  dayFactor,
  lastUse,
  LOOK_BEYOND_DAYS,
  LOOK_EVERY,
  overdueWeight,
  scoreOf,
  scoreParts,
  spanOf,
  styleWants,
  type Span,
} from './score';
