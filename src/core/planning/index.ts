export { checkBeats, checkPlan } from './checkPlan';
export { breachesOf, chanceTooFirm, needsMoisture } from './permits';
export {
  draftOf,
  eveningIsHers,
  freeMinutesOn,
  minutesOf,
  moving,
  sharedMinutesOn,
  handsMinutes,
  timedMinutes,
  waitingMinutesOf,
  washWindow,
  withPortion,
  type Draft,
} from './draft';
export { explained, type Answered } from './explain';
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
  overdueWeight,
  lastUse,
  LOOK_BEYOND_DAYS,
  LOOK_EVERY,
  scoreOf,
  scoreParts,
  spanOf,
  styleWants,
  type Span,
} from './score';
