export {
  agreedSchema,
  type Agreed,
  type AgreedBeat,
  type Agreement,
  type PlanChange,
  type PlanNote,
} from './agreement';
export { BEDTIME_MINUTE } from './bedtime';
export { calendarExportSchema, type CalendarEntry, type CalendarExport } from './calendarExport';
export {
  challengeSchema,
  challengeState,
  type Challenge,
  type ChallengeCounts,
  type ChallengeState,
  type ChallengeWeek,
} from './challenge';
export {
  decisionSchema,
  isAvoided,
  isSmall,
  placedBy,
  PLAIN_WASH_ID,
  type Decision,
  type Slot,
} from './decision';
export {
  FIXED_RULES,
  holdsUnder,
  LEANING_WORDS,
  overdueFactor,
  patchTestDays,
  RHYTHMS,
  RULE_KEYS,
  RULES,
  rulesInForce,
  rulesOfHead,
  WEIGHTS,
  weightsInForce,
  type Rule,
  type RuleKey,
  type RuleValues,
  type WeightKey,
  type WeightValues,
} from './rules';
export { effortLimits, EFFORTS, effortSchema, type Effort, type EffortLimits } from './effort';
export { isOn, OCCASIONS, occasionSchema, occasionsOf, type Occasion, type OccasionKind } from './occasion';
export {
  choicesOf,
  LEANING_MOST,
  LEANINGS,
  planSettingsSchema,
  USUAL_CHOICES,
  type Leaning,
  type PlanChoices,
  type PlanSettings,
} from './planSettings';
export {
  contactAt,
  KIT,
  KIT_WORDS,
  kitSchema,
  lacksOf,
  minutesWithoutHeat,
  type Kit,
  type KitItem,
} from './kit';
