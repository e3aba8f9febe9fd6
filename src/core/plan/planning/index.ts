export { checkAssignments, checkPlan } from './checkPlan';
export {
  countedAs,
  draftOf,
  isDecidedToday,
  isFreeEvening,
  mayPrePoo,
  freeMinutesOn,
  handsMinutes,
  minutesOf,
  sharedMinutesOn,
  timedMinutes,
  waitingMinutesOf,
  washWindow,
  withPortion,
  type PlanDraft,
  type TimedMinutes,
} from './draft';
export { doseOfTreatment, dosesOf, inDose, weekShare, gapAfter } from './doses';
export { explainPlans, type PlanSource } from './explain';
export { breachesOf, chanceTooFirm, needsMoisture } from './permits';
export {
  MOST_WEEKS,
  type Assignment,
  type Breach,
  type DecidedDay,
  type Dose,
  type DayNote,
  type Due,
  type HeadProblem,
  type PastUse,
  type Plan,
  type PlanDay,
  type PlanProblem,
  type PrepTask,
  type Reason,
  type RhythmDemand,
  type ScoreParts,
  type Standing,
  type Treatment,
  type UnmetPromise,
  type UnmetRule,
} from './plan';
export { FIRM_FACTOR, isBig, isOutside, rhythmFactor, washDayOf } from './rhythms';
export { outOfLane } from './forecast';
export { EMPTY_KITCHEN, planProblem, type Kitchen, type PlannedHead } from './problem';
export {
  agreedSpan,
  baseOf,
  cadences,
  canPrePoo,
  dayFactor,
  lastUse,
  LOOK_BEYOND_DAYS,
  LOOK_EVERY,
  overdueWeight,
  scoreOf,
  scoreParts,
  spanOf,
  styleWants,
} from './score';
export type { Span } from './span';
