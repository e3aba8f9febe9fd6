export {
  breachesOf,
  chanceTooFirm,
  checkBeats,
  checkPlan,
  needsMoisture,
  type Breach,
  type Standing,
} from './checkPlan';
export {
  eveningIsHers,
  freeMinutesOn,
  minutesOf,
  moving,
  needsEvening,
  sharedMinutesOn,
  timedMinutes,
  washWindow,
  type Draft,
} from './draft';
export { explained, type Answered } from './explain';
export { forecastOn, outOfLane } from './forecast';
export {
  MOST_WEEKS,
  PLAIN_WASH_ID,
  type AgreedBeat,
  type Beat,
  type Due,
  type HeadProblem,
  type PastUse,
  type Plan,
  type PlanDay,
  type PlanProblem,
  type PrepTask,
  type Reason,
  type ScoreParts,
  type Treatment,
  type UnmetRule,
} from './plan';
export { countedDays, EMPTY_KITCHEN, planProblem, type Kitchen, type PlannedHead } from './problem';
export {
  FIXED_RULES,
  LEANING_WORDS,
  RULE_KEYS,
  RULES,
  WEIGHTS,
  type Rule,
  type RuleKey,
  type WeightKey,
} from './rules';
export {
  agreedSpan,
  baseOf,
  cadences,
  canPrePoo,
  countsFor,
  dayFactor,
  isOverdueable,
  lastUse,
  LOOK_BEYOND_DAYS,
  LOOK_EVERY,
  pathOf,
  scoreOf,
  scoreParts,
  spanOf,
  styleWants,
  type Span,
} from './score';
